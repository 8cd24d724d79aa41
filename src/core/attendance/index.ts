export { adherence, type Adherence } from './adherence';
export { packDays, unpackDays } from './day-code';
export { foldAttendance, type AttendanceRecords } from './fold';
export { attendanceOf, isFading, isSilent, type Attendance } from './summary';

export { adherence, dayTally, isDue, together, type Adherence, type DayTally } from './adherence';
export { DROPPED_AFTER, endingOf, lastActiveDay, type Ending } from './ending';
export { extrasOf, type ExtraEntry, type Extras } from './extras';
export { packDays, unpackDays, withoutHealth } from './day-code';
export { projectFinish, type FinishChance } from './finish';
export { foldAttendance, type AttendanceRecords } from './fold';
export { streakOf } from './streak';
export { attendanceOf, isFading, isSilent, type Attendance } from './summary';

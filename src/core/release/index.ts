export { addDays, daysBetween, isDate, weekdayOf } from './dates';
export {
	DAY_KINDS,
	dayState,
	type CreditPolicy,
	type DayEntry,
	type DayKind,
	type DayResult,
	type DayState
} from './day-state';
export { dateOfDay, dueWindow, type DueWindow, type ReleasePolicy } from './window';
export { trainingStart } from './training-start';
export { dateIn, instantOf, isZone, minutesIn, offsetsOf } from './zone';

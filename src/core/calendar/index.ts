export { DAY_MS } from './units';
export { addDays, daysBetween, isDate, weekdayOf } from './dates';
export { calendarOf, type Calendar } from './frame';
export { dayInZone, FIRST_ZONE, LAST_ZONE, releasedTo } from './group-day';
export { DAY_KINDS, type DayKind } from './kinds';
export { milestonesOf, placeAmong, type Milestones } from './milestones';
export {
	dateOfDay,
	dueWindow,
	type DueWindow,
	type EarlierZone,
	windowOfMoved,
	windowToCatchUp,
	type CatchUp,
	type ReleasePolicy
} from './window';
export { trainingStart } from './training-start';
export { dateIn, instantOf, isZone, minutesIn, offsetsOf } from './zone';

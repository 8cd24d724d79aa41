export { creditOf, fullLog, type LoggedSet } from './credit';
export { type CreditPolicy, type DayEntry, type DayResult, type DayState } from './day-state';
export {
	appliesOn,
	personalSession,
	type Override,
	type OverrideChange,
	type OverrideTarget,
	type PersonalChange,
	type PersonalSession
} from './overrides';
export { isTheirs, personDay, type PersonDay } from './person-day';
export { entryOf, packEntry, type Strip } from './strip';

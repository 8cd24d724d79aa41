export { creditOf, fullLog, type LoggedSet } from './credit';
export {
	standingAt,
	type CreditPolicy,
	type DayEntry,
	type DayResult,
	type DayState,
	type Standing
} from './day-state';
export { personalSession, type Override, type PersonalChange, type PersonalSession } from './overrides';
export { personDay, type PersonDay } from './person-day';
export { entryOf, packEntry, type Strip } from './strip';
export { logWith, ownPieces, type OwnPiece } from './pieces';

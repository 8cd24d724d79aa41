export { addedTo, creditOf, fullLog, type LoggedSet } from './credit';
export {
	arrivalIn,
	instantOfDevice,
	standingAt,
	standingOfArrival,
	type Arrival,
	type CreditPolicy,
	type DayEntry,
	type DayResult,
	type DayState,
	type Standing
} from './day-state';
export { appliesOn, type Origin, type Override, type OverrideChange } from './overrides';
export { personalSession, type PersonalChange, type PersonalSession, type Unfit } from './personal';
export { personDay, type PersonDay } from './person-day';
export { fitDays, type FitCase, type FitResult } from './fit-days';
export type { AuditFinding } from './audit';
export { fitGroups, type Attention, type Difference } from './fit-groups';
export { fitRow, plannedParts, type FitRow, type PlannedPart } from './fit-row';
export { checkinTimes, entryOf, packEntry, type Strip } from './strip';
export { logWith, ownPieces, type OwnPiece } from './pieces';
export { partlyDone } from './partly-done';
export { shareThatFits } from './share-that-fits';

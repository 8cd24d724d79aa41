export { creditOf, fullLog, type LoggedSet } from './credit';
export { dayState, type CreditPolicy, type DayEntry, type DayResult, type DayState } from './day-state';
export { entryOf, packEntry, type Strip } from './strip';

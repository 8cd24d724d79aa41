export { balanceOf, type Balance } from './balance';
export { callSheetOf, type CallBlock } from './call-sheet';
export { checkSession } from './check-session';
export { coolDownFor, warmUpFor } from './checks/roles';
export { compareSessions } from './compare';
export type { Group, SessionFinding } from './finding';
export { fitToMinutes, type Fit, type Proposal } from './fit/fit';
export {
	muchText,
	outlineOf,
	partMark,
	roleTitle,
	type Outline,
	type OutlineBlock,
	type OutlinePart
} from './outline';

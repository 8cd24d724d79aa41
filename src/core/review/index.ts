export { balanceOf, type Balance } from './balance';
export { callSheetOf, type CallBlock } from './call-sheet';
export { checkSession } from './check-session';
export { coolDownFor, warmUpFor } from './checks/roles';
export { compareSessions } from './compare';
export { COMMON, type Finding, type Group } from './finding';
export { fitToMinutes, type Fit, type Proposal } from './fit/fit';
export {
	COUNT_RULES,
	countWords,
	cuesFor,
	DEFAULT_HOUSE,
	DEPTH_RULES,
	KNEE_RULES,
	optionsOf,
	type HouseRules
} from './house';
export {
	muchText,
	outlineOf,
	partMark,
	roleTitle,
	type Outline,
	type OutlineBlock,
	type OutlinePart
} from './outline';
export { turned } from './turned';
export { KIT_VIEWS, LEVEL_VIEWS, viewSession, type KitView, type LevelView, type View } from './views';

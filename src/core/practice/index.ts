export {
	COUNT_RULES,
	countWords,
	cuesFor,
	cuesSaidTo,
	DEFAULT_HOUSE,
	DEPTH_RULES,
	KNEE_RULES,
	LAST_REST_RULES,
	type HouseRules
} from './house';
export type { Practice } from './practice';
export { DEFAULT_TIMING, type Timing } from './timing';
export { plainOf, practiceFrom, type PlainPractice } from './plain';

import { libraryOf, STANDARD, type Exercise } from '$core/exercise';
import { formatLine, type Block } from '$core/session';
import { DEFAULT_HOUSE, DEFAULT_TIMING, type HouseRules, type Practice, type Timing } from '$core/practice';

/** A coach who has changed nothing: the library that ships, the usual rules and times. */
export const PRACTICE: Practice = { library: STANDARD, house: DEFAULT_HOUSE, timing: DEFAULT_TIMING };

/** A block as that coach sees it written. */
export const lineOf = (block: Block): string => formatLine(block, PRACTICE);

/** One who has exercises, rules or times of her own. */
export const practiceWith = (own: {
	exercises?: readonly Exercise[];
	house?: Partial<HouseRules>;
	timing?: Partial<Timing>;
}): Practice => ({
	library: own.exercises ? libraryOf(own.exercises) : STANDARD,
	house: { ...DEFAULT_HOUSE, ...own.house },
	timing: { ...DEFAULT_TIMING, ...own.timing }
});

import type { Kit, Limitation, Owned } from '../kit';
import type { Level } from '../people';
import type { Suits } from './fit-part';

/** What is known of somebody, as far as it decides what suits them. */
export interface Known {
	level: Level;
	kit: Kit;
	limits: readonly Limitation[];
	/** Whether they, or the coach for them, have answered what is asked before the start. */
	answered: boolean;
}

/** A carpet, a towel or a blanket: something soft to lie on is in every home. */
const SOFT: Owned = { kind: 'item', item: 'mat', count: 1 };

/**
 * What suits somebody by what is known of them. A kit of which nothing was ever said is not known to be empty; and whoever
 * was put on a list as a beginner has not said so themselves, so that nothing is made easier for them yet.
 *
 * @param planFor the level that the plan is made for
 */
export const suitsOf = ({ level, kit, limits, answered }: Known, planFor: Level): Suits => ({
	level,
	limits,
	kit: answered || kit.length > 0 ? [...kit, SOFT] : null,
	planFor: answered ? planFor : null
});

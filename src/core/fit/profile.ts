import type { Kit, Limitation, Owned } from '../kit';
import type { Level } from '../people';

/** What of a person decides which exercise, load and amount they get. */
export interface FitProfile {
	level: Level;
	/** The level that the plan is made for; null: levels are left alone. */
	planFor: Level | null;
	/** What they own; null: not known, whatever it takes. */
	kit: Kit | null;
	/** Hard limits; they take precedence over level and equipment. */
	limits: readonly Limitation[];
}

/** What is known of a person, as far as it decides what they get. */
export interface Known {
	level: Level;
	kit: Kit;
	limits: readonly Limitation[];
	/** Whether they, or the coach for them, have answered the questions before the start. */
	answered: boolean;
}

/** A carpet, a towel or a blanket: something soft to lie on is in every home. */
const SOFT: Owned = { kind: 'item', item: 'mat', count: 1 };

/**
 * The profile of a person. A kit of which nothing was ever said is not known to be empty; and a person who was put on a list
 * as a beginner has not said so themselves, so that nothing is made easier for them yet.
 *
 * @param planFor the level that the plan is made for
 */
export const profileOf = ({ level, kit, limits, answered }: Known, planFor: Level): FitProfile => ({
	level,
	limits,
	kit: answered || kit.length > 0 ? [...kit, SOFT] : null,
	planFor: answered ? planFor : null
});

import type { Exercise, Item } from '../exercise';
import {
	brokenLimits,
	isJump,
	kitOfItems,
	limitsOf,
	type Condition,
	type Kit,
	type Limitation
} from '../kit';
import type { Level } from './levels';

/** Whom a challenge is made for. */
export interface Audience {
	level: Level;
	/** What everyone is taken to have beyond the household. */
	items: readonly Item[];
	/** The heaviest single dumbbell or pack that is assumed; null: no bound. */
	heaviestKg: number | null;
	/** What is true of them all, or of some for whom everyone is spared. */
	conditions: readonly Condition[];
}

export const DEFAULT_AUDIENCE: Audience = {
	level: 'some experience',
	items: ['dumbbell', 'light dumbbell', 'band', 'mat'],
	heaviestKg: null,
	conditions: []
};

/** What an audience is taken to have, with dumbbells up to the heaviest. */
export const kitOf = ({ items, heaviestKg }: Audience): Kit => kitOfItems(items, heaviestKg);

/** Beginners are asked for no jumps, and for nothing airborne or large on one leg without something to hold. */
const BEGINNERS: readonly Limitation[] = ['no jumps', 'support for hard balance'];

/** What nobody of an audience must be asked for. */
export const limitsFor = ({ level, conditions }: Audience): Limitation[] => [
	...new Set([...conditions.flatMap(limitsOf), ...(level === 'beginner' ? BEGINNERS : [])])
];

/** A reason against an exercise: for whom, and which limit. */
export interface Against {
	who: Condition | 'beginners';
	limits: Limitation[];
}

/**
 * What speaks against an exercise for an audience; empty: nothing. A beginner may run, though not jump.
 */
export function againstFor(exercise: Exercise, { level, conditions }: Audience): Against[] {
	const found: Against[] = conditions.flatMap((who) => {
		const limits = brokenLimits(exercise, limitsOf(who));
		return limits.length > 0 ? [{ who, limits }] : [];
	});
	if (level !== 'beginner') return found;
	const limits = brokenLimits(exercise, BEGINNERS).filter(
		(limit) => limit !== 'no jumps' || isJump(exercise)
	);
	return limits.length > 0 ? [...found, { who: 'beginners', limits }] : found;
}

/** Reasons as one reads them: `Sore knee: no jumps, no deep knee bend. Beginners: no jumps.` */
export const againstText = (reasons: readonly Against[]): string =>
	reasons
		.map(({ who, limits }) => `${who.charAt(0).toUpperCase()}${who.slice(1)}: ${limits.join(', ')}.`)
		.join(' ');

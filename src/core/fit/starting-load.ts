/** What somebody begins with where nobody has said so yet. */
import type { Exercise } from '../exercise';
import { bandsIn, BAND_RANKS, KG_PER_LB, packsIn, weightsIn, type BandRank, type Kit } from '../kit';
import { LEVELS, type Level } from '../people';

/**
 * Pounds of a small dumbbell in circuits for the whole body, from … to, by level. Common practice, no source: 4 to 8 for
 * beginners, 8 to 12 with some experience, 12 to 16 trained. Begin low and raise it.
 */
export const SMALL_DUMBBELL_LB: Readonly<Record<Level, readonly [number, number]>> = {
	beginner: [4, 8],
	'some experience': [8, 12],
	trained: [12, 16]
};

/** Movements of the large muscles take about twice as much. Common practice, no source. */
const LARGE: readonly Exercise['pattern'][] = ['squat', 'lunge', 'hinge', 'bridge', 'carry', 'calf', 'step'];

export interface StartingLoad {
	load: { kind: 'kg'; kg: number } | { kind: 'band'; rank: BandRank | null } | { kind: 'bodyweight' };
	/** The range that is usual for the level, kilograms; null where no weight is held. */
	from: readonly [number, number] | null;
	/** In words. */
	why: string;
}

const tenth = (kg: number): number => Math.round(kg * 10) / 10;

/** The kilograms that are usual to begin with, by level; for the movements of large muscles twice those of small ones. */
export function usualKg({ pattern }: Pick<Exercise, 'pattern'>, level: Level): readonly [number, number] {
	const [from, to] = SMALL_DUMBBELL_LB[level];
	const times = LARGE.includes(pattern) ? 2 : 1;
	return [tenth(from * KG_PER_LB * times), tenth(to * KG_PER_LB * times)];
}

const BY_LEVEL: Readonly<Record<Level, BandRank>> = {
	beginner: 'light',
	'some experience': 'medium',
	trained: 'heavy'
};

/**
 * What somebody begins an exercise with, out of what they own: the heaviest within what is usual for their level, or the
 * lightest that they have where all are heavier.
 *
 * @param person `kit` null: whatever it takes; then the middle of what is usual
 * @returns null where the exercise takes a weight and they own none
 */
export function startingLoad(
	exercise: Exercise,
	{ level, kit }: { level: Level; kit: Kit | null }
): StartingLoad | null {
	const takes = (word: RegExp) => exercise.equipment.find(({ item }) => word.test(item));
	const dumbbells = takes(/dumbbell/);
	if (dumbbells) {
		const from = usualKg(exercise, level);
		const own = kit && weightsIn(kit, dumbbells.count);
		if (!own)
			return { load: { kind: 'kg', kg: tenth((from[0] + from[1]) / 2) }, from, why: `usual: ${level}` };
		return ofThese(own, from, level);
	}
	if (takes(/loaded backpack/)) {
		const from = usualKg(exercise, level);
		const own = kit && packsIn(kit);
		return ofThese(own && own.length > 0 ? own : [tenth((from[0] + from[1]) / 2)], from, level);
	}
	if (takes(/band/)) {
		const wanted = BY_LEVEL[level];
		const own = kit ? bandsIn(kit) : BAND_RANKS;
		const upTo = BAND_RANKS.slice(0, BAND_RANKS.indexOf(wanted) + 1);
		const rank =
			upTo.findLast((one) => own.includes(one)) ?? BAND_RANKS.find((one) => own.includes(one)) ?? null;
		return {
			load: { kind: 'band', rank },
			from: null,
			why: rank === wanted ? `usual: ${level}` : 'the band they have'
		};
	}
	return { load: { kind: 'bodyweight' }, from: null, why: 'bodyweight' };
}

function ofThese(own: readonly number[], from: readonly [number, number], level: Level): StartingLoad | null {
	const within = own.findLast((kg) => kg <= from[1]);
	const [lightest] = own;
	if (within !== undefined)
		return {
			load: { kind: 'kg', kg: within },
			from,
			why: within >= from[0] ? `usual: ${level}` : 'the heaviest they have'
		};
	if (lightest === undefined) return null;
	return {
		load: { kind: 'kg', kg: lightest },
		from,
		why: 'the lightest they have; heavier than usual to begin with'
	};
}

/** Each level a little further from the one above it: the middle of its range against that of another. */
export function shareOf(level: Level, of: Level): number {
	const middle = (one: Level) => (SMALL_DUMBBELL_LB[one][0] + SMALL_DUMBBELL_LB[one][1]) / 2;
	return middle(level) / middle(of);
}

/** How many levels somebody is under another; 0: not under it. */
export const levelsUnder = (level: Level, than: Level): number =>
	Math.max(0, LEVELS.indexOf(than) - LEVELS.indexOf(level));

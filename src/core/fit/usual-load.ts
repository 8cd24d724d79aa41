/** Loads that are usual at a level, and the ceilings above which nothing is prescribed. */
import { takesWeight, type Exercise } from '../exercise';
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

/** A small dumbbell is what one presses overhead: half of a goblet squat. Common practice, no source. */
const SMALL_DUMBBELL = 0.5;

/** Above so many times the usual load nothing is prescribed to somebody, unless the coach decided it for them. */
const CEILING = 1.5;

const tenth = (kg: number): number => Math.round(kg * 10) / 10;

/** The load of an exercise relative to a goblet squat; that of a small dumbbell where it is not known. */
export const relativeOf = ({ demands }: Pick<Exercise, 'demands'>): number =>
	demands.relativeLoad ?? SMALL_DUMBBELL;

/**
 * Kilograms that are usual to begin an exercise with, by level.
 *
 * @returns from … to, of one weight (of each hand where it takes two)
 */
export function usualKg(exercise: Pick<Exercise, 'demands'>, level: Level): readonly [number, number] {
	const [from, to] = SMALL_DUMBBELL_LB[level];
	const times = relativeOf(exercise) / SMALL_DUMBBELL;
	return [tenth(from * KG_PER_LB * times), tenth(to * KG_PER_LB * times)];
}

/**
 * Kilograms above which an exercise is not prescribed at a level.
 *
 * @param share of it that a person’s limits leave, 0…1
 */
export const ceilingKg = (exercise: Pick<Exercise, 'demands'>, level: Level, share: number): number =>
	usualKg(exercise, level)[1] * CEILING * share;

/** Each level a little further from the one above it: the middle of its range against that of another. */
export function shareOf(level: Level, of: Level): number {
	const middle = (one: Level) => (SMALL_DUMBBELL_LB[one][0] + SMALL_DUMBBELL_LB[one][1]) / 2;
	return middle(level) / middle(of);
}

/** How many levels somebody is below another; 0 if they are not below it. */
export const levelsUnder = (level: Level, than: Level): number =>
	Math.max(0, LEVELS.indexOf(than) - LEVELS.indexOf(level));

const BY_LEVEL: Readonly<Record<Level, BandRank>> = {
	beginner: 'light',
	'some experience': 'medium',
	trained: 'heavy'
};

/** With a long lever or a small muscle a band is one rank lighter. Common practice, no source. */
const SMALL_MOVEMENT = 0.3;

/** The band that is usual for an exercise at a level. */
export function usualBand({ demands }: Pick<Exercise, 'demands'>, level: Level): BandRank {
	const rank = BAND_RANKS.indexOf(BY_LEVEL[level]);
	const isSmall =
		demands.lever === 'long' || (demands.relativeLoad !== null && demands.relativeLoad < SMALL_MOVEMENT);
	return BAND_RANKS[Math.max(0, isSmall ? rank - 1 : rank)] ?? 'light';
}

export interface StartingLoad {
	load: { kind: 'kg'; kg: number } | { kind: 'band'; rank: BandRank | null } | { kind: 'bodyweight' };
	/** The range that is usual for the level, kilograms; null where no weight is held. */
	from: readonly [number, number] | null;
	/** In words. */
	why: string;
}

/**
 * What somebody begins an exercise with, out of what they own: the heaviest within what is usual for their level.
 *
 * @param person `kit` null: whatever it takes; then the middle of what is usual
 * @returns null where the exercise takes a weight and everything they own is heavier than usual
 */
export function startingLoad(
	exercise: Exercise,
	{ level, kit }: { level: Level; kit: Kit | null }
): StartingLoad | null {
	if (takesWeight(exercise)) {
		const from = usualKg(exercise, level);
		const middle = tenth((from[0] + from[1]) / 2);
		if (!kit) return { load: { kind: 'kg', kg: middle }, from, why: `usual: ${level}` };
		const kg = heaviestUpTo(kit, exercise, from[1]);
		return kg === null
			? null
			: { load: { kind: 'kg', kg }, from, why: kg >= from[0] ? `usual: ${level}` : 'the heaviest they have' };
	}
	const isBand = exercise.equipment.some(({ item }) => item === 'band');
	if (!isBand) return { load: { kind: 'bodyweight' }, from: null, why: 'bodyweight' };
	const wanted = usualBand(exercise, level);
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

/** How many weights alike an exercise takes; one for packs. */
export const weightsFor = ({ equipment }: Pick<Exercise, 'equipment'>): number =>
	equipment.find(({ item }) => item === 'dumbbell' || item === 'light dumbbell' || item === 'water bottle')
		?.count ?? 1;

/** Whether a pack is what is lifted: it is filled to any weight up to what its owner said. */
export const takesPack = ({ equipment }: Pick<Exercise, 'equipment'>): boolean =>
	equipment.some(({ item }) => item === 'loaded backpack');

/** Whether bottles are what is lifted: as heavy as the household has them. */
export const takesBottles = ({ equipment }: Pick<Exercise, 'equipment'>): boolean =>
	equipment.some(({ item }) => item === 'water bottle');

/** Down to half kilograms, 0.5 at least. */
export const halfDown = (kg: number): number => Math.max(0.5, Math.floor(kg * 2 + 1e-9) / 2);

/** The heaviest that a person can set for an exercise up to some kilograms; null where everything is heavier. */
export function heaviestUpTo(kit: Kit, exercise: Exercise, kg: number, atLeast = 1): number | null {
	if (takesPack(exercise)) {
		// A pack of which nobody said what is in it is filled to what is wanted.
		const isOpen = kit.some((owned) => owned.kind === 'pack' && owned.kg === null);
		const most = isOpen ? kg : Math.min(kg, packsIn(kit).at(-1) ?? kg);
		return most < 0.5 ? null : halfDown(most);
	}
	const count = Math.max(weightsFor(exercise), atLeast);
	return weightsIn(kit, count).findLast((own) => own <= kg + 1e-9) ?? null;
}

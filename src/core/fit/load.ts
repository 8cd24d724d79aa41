/** The load of an exercise for one person: what the plan means by it, in what they own, and never above a ceiling. */
import { takesWeight, type Exercise } from '../exercise';
import { bandsIn, BAND_RANKS, loadShareOf, weightsIn, type BandRank, type Kit } from '../kit';
import { amountOf, withAmounts, type Part } from '../session';
import type { FitProfile } from './profile';
import {
	ceilingKg,
	halfDown,
	heaviestUpTo,
	levelsUnder,
	relativeOf,
	shareOf,
	takesBottles,
	takesPack,
	usualBand,
	usualKg,
	weightsFor
} from './usual-load';

/** A part with its load set; `to` in words, null where nothing is said of the load. */
export interface LoadFit {
	part: Part;
	to: string | null;
	/** Why it is another load than planned; null if it is not, or fills in what the plan left open. */
	why: string | null;
}

/** Fewer repetitions than this are no longer the same training. */
export const FEWEST_REPS = 5;

/**
 * Repetitions with a heavier weight at the same effort: both sets stand for the same one-repetition maximum (Epley 1985:
 * w(1 + r/30)).
 *
 * @param wanted kilograms at which `reps` are prescribed
 * @param kg the heavier weight
 * @returns whole repetitions, rounded down; may be below 1
 */
export const repsAtSameEffort = (wanted: number, reps: number, kg: number): number =>
	Math.floor(30 * ((wanted * (1 + reps / 30)) / kg - 1) + 1e-9);

/** A part with at most so many repetitions; null if it is not counted in repetitions, or they are too few. */
function withFewerReps(part: Part, reps: number): Part | null {
	if (part.target.kind !== 'reps' || reps < FEWEST_REPS) return null;
	const { or: _or, ...bare } = part;
	return withAmounts(bare, (amount) => Math.min(amount, reps));
}

/** What decides the load beside the exercise. */
export interface Wanted {
	/** The part as planned, and its exercise. */
	planned: Part;
	from: Exercise;
	/** Whether the coach gave the loads by level, so that a level takes nothing off. */
	byLevel: boolean;
	/** Whether the block gives the time itself, so that there are no repetitions to take away. */
	timed: boolean;
}

/**
 * The load for an exercise that takes the place of a planned one, or for that one itself: the same effort through the
 * relative loads, less below the level that the plan is for, rounded down to what the person owns.
 *
 * @param part the planned part with the exercise in it
 * @returns null where everything they own is too heavy, also with fewer repetitions
 */
export function loadFor(part: Part, exercise: Exercise, wanted: Wanted, profile: FitProfile): LoadFit | null {
	if (takesWeight(exercise)) return weightFor(part, exercise, wanted, profile);
	const bare = withoutWeight(part, wanted.planned, exercise === wanted.from);
	if (exercise.equipment.some(({ item }) => item === 'band')) return bandFor(bare, exercise, wanted, profile);
	return { part: bare, to: null, why: null };
}

/** A weight stays with an exercise that takes none only where the coach gave it to that one. */
function withoutWeight(part: Part, planned: Part, isPlanned: boolean): Part {
	if (isPlanned && planned.kg !== null) return part;
	const { weights: _weights, kgByLevel: _kgByLevel, ...bare } = part;
	return { ...bare, kg: null };
}

/** The share of a planned load that a person begins with. */
const shareFor = ({ level, planFor, limits }: FitProfile, byLevel: boolean): number =>
	(planFor && !byLevel && levelsUnder(level, planFor) > 0 ? shareOf(level, planFor) : 1) *
	loadShareOf(limits);

/** Kilograms that are wanted of one weight; null where the plan says nothing of a load. */
function wantedKg(
	exercise: Exercise,
	{ planned, from, byLevel }: Wanted,
	profile: FitProfile
): number | null {
	if (planned.kg === null) return null;
	const share = shareFor(profile, byLevel);
	const ceiling = ceilingKg(exercise, profile.level, loadShareOf(profile.limits));
	if (exercise === from)
		return share < 1 && !byLevel ? Math.min(planned.kg * share, ceiling) : planned.kg * share;
	const same = planned.kg * (relativeOf(exercise) / relativeOf(from));
	// Never more kilograms than planned, whatever the other movement could take: begin low and raise it.
	return Math.min(Math.min(same, planned.kg) * share, ceiling);
}

function weightFor(part: Part, exercise: Exercise, wanted: Wanted, profile: FitProfile): LoadFit | null {
	const { planned, from } = wanted;
	const { kit, level, limits } = profile;
	const kg = wantedKg(exercise, wanted, profile);
	const isPlanned = exercise === from;
	const { resistance: _resistance, kgByLevel: _kgByLevel, ...plain } = part;
	const own = isPlanned ? part : plain;
	const set = (to: number, why: string | null, base: Part = own): LoadFit => ({
		part: to === base.kg ? base : { ...base, kg: to },
		to: `${to} kg`,
		why: to === planned.kg && isPlanned && base === own ? null : why
	});
	if (takesBottles(exercise)) return { part: withoutWeight(own, planned, isPlanned), to: null, why: null };
	// A load in words (`light`) is left to the person, who knows their weights.
	if (kg === null && isPlanned && planned.resistance) return { part, to: null, why: null };
	if (!kit) {
		if (kg === null || kg === planned.kg) return { part: own, to: null, why: null };
		return set(halfDown(kg), isPlanned ? 'less to begin with' : null);
	}
	const most = kg ?? usualKg(exercise, level)[1] * loadShareOf(limits);
	const alike = isPlanned ? (planned.weights ?? 1) : 1;
	const owned = heaviestUpTo(kit, exercise, most, alike);
	const { weights: _weights, ...single } = own;
	const base = alike > weightsFor(exercise) || isPlanned ? own : single;
	if (owned !== null)
		return set(
			owned,
			kg === null ? null : owned < (planned.kg ?? 0) ? lighterWhy(owned, most, kg, planned) : null,
			base
		);
	if (takesPack(exercise)) return null;
	// One of a pair, or of several, does where there are not as many alike.
	if (isPlanned && alike > weightsFor(exercise)) {
		const one = heaviestUpTo(kit, exercise, most);
		if (one !== null) return set(one, `not ${alike} alike, so one`, { ...single, kg: one });
	}
	return heavier(base, kg ?? ceilingKg(exercise, level, loadShareOf(limits)), exercise, wanted, kit);
}

const lighterWhy = (owned: number, most: number, kg: number, planned: Part): string =>
	planned.kg !== null && kg < planned.kg && owned >= most - 0.5
		? 'less to begin with'
		: 'your nearest weight below the plan';

/** The lightest weight above what is wanted, with fewer repetitions; null where that is too much. */
function heavier(part: Part, most: number, exercise: Exercise, { timed }: Wanted, kit: Kit): LoadFit | null {
	const lightest = weightsIn(kit, weightsFor(exercise))[0];
	if (lightest === undefined || timed || part.target.kind !== 'reps') return null;
	const before = amountOf(part.target);
	const reps = repsAtSameEffort(most, before, lightest);
	const fewer = withFewerReps(part, Math.min(reps, before - 1));
	return (
		fewer && {
			part: { ...fewer, kg: lightest },
			to: `${lightest} kg × ${amountOf(fewer.target)}`,
			why: `your lightest is ${lightest} kg, so ${amountOf(fewer.target)} reps instead of ${before}`
		}
	);
}

/** A band one rank above the wanted one takes a third of the repetitions away; common practice, no source. */
const BAND_REPS = 2 / 3;

function bandFor(part: Part, exercise: Exercise, wanted: Wanted, profile: FitProfile): LoadFit | null {
	const { planned, from, timed } = wanted;
	const isPlanned = exercise === from;
	const rank = isPlanned ? BAND_RANKS.find((one) => planned.resistance === `${one} band`) : undefined;
	// A band by its colour is between the coach and the person.
	if (isPlanned && planned.resistance && !rank) return { part, to: null, why: null };
	const { resistance: _resistance, ...bare } = part;
	const own = profile.kit && bandsIn(profile.kit);
	// Bands of which nobody said how strong they are.
	if (!own || own.length === 0) return { part: rank ? part : bare, to: null, why: null };
	const usual = usualBand(exercise, profile.level);
	const below = profile.planFor ? levelsUnder(profile.level, profile.planFor) : 0;
	const place = rank ? Math.max(0, BAND_RANKS.indexOf(rank) - below) : BAND_RANKS.indexOf(usual);
	const upTo = BAND_RANKS.slice(0, place + 1).findLast((one) => own.includes(one));
	const set = (to: BandRank, base: Part, why: string | null): LoadFit => ({
		part: { ...base, resistance: `${to} band` },
		to: `${to} band`,
		why
	});
	if (upTo) {
		const isLess = rank !== undefined && BAND_RANKS.indexOf(upTo) < BAND_RANKS.indexOf(rank);
		return set(
			upTo,
			bare,
			isLess ? (below > 0 ? 'less to begin with' : 'your nearest band below the plan') : null
		);
	}
	const [lightest] = own;
	if (
		lightest === undefined ||
		timed ||
		BAND_RANKS.indexOf(lightest) > place + 1 ||
		part.target.kind !== 'reps'
	)
		return null;
	const before = amountOf(part.target);
	const fewer = withFewerReps(bare, Math.floor(before * BAND_REPS));
	return (
		fewer &&
		set(
			lightest,
			fewer,
			`your lightest band is ${lightest}, so ${amountOf(fewer.target)} reps instead of ${before}`
		)
	);
}

/** An exercise of a session as it suits one person: which variation, how much of it, and with what load. */
import type { Exercise } from '../exercise';
import type { Level } from '../people';
import type { Practice } from '../practice';
import { amountOf, targetOf, wholeSeconds, withAmounts, type Part, type Role } from '../session';
import {
	canDo,
	chosenByCoach,
	firstSubstitute,
	hasLevels,
	levelIsLoad,
	meantFor,
	obstacles,
	stepped,
	substitutePart
} from '../substitution';
import { loadFor, type LoadFit, type Wanted } from './load';
import type { FitProfile } from './profile';
import { levelsUnder } from './usual-load';

export type PartFit =
	| { kind: 'as planned' }
	/** `to` in words: `Wall push-up`, `8 kg`. Without `why` it is filled in where the plan said nothing. */
	| { kind: 'changed'; part: Part; to: string; why: string | null }
	/** Nothing like it can be done. */
	| { kind: 'nothing'; why: string };

/** What is decided already and stays: by the coach for this person. */
export interface Decided {
	exercise?: true;
	load?: true;
}

/** Where a part is done, as far as that decides how it fits. */
export interface Place {
	role: Role;
	/** Whether the block gives the time of its exercises itself. */
	timed: boolean;
	/** Whether the coach gave loads by level, so that nothing is made easier. */
	byLevel: boolean;
	/** Names that are in the block already: nothing is done twice where the plan does not ask for it. */
	taken: ReadonlySet<string>;
}

const AS_PLANNED: PartFit = { kind: 'as planned' };
const MINE = 'your coach’s choice for it';

/**
 * A part as it suits somebody. In this order: hard limits; the coach’s own alternative for what hurts them; the exercise
 * itself with less load or fewer repetitions; the same movement with other equipment; an easier step of it; the nearest by
 * muscles and demands.
 */
export function fitPart(
	part: Part,
	place: Place,
	profile: FitProfile,
	decided: Decided,
	practice: Practice
): PartFit {
	const exercise = practice.library.find(part.exercise);
	if (!exercise) return AS_PLANNED;
	let seconds: number | null = null;
	/** Of the part as planned; many parts are never compared with another. */
	const planned = () => (seconds ??= wholeSeconds(part, practice));
	const wanted: Wanted = { planned: part, from: exercise, byLevel: place.byLevel, timed: place.timed };
	const take = (to: Exercise): LoadFit | null => {
		const next =
			to === exercise ? part : sameTime(substitutePart(part, to, practice), planned(), place, practice);
		if (decided.load) return { part: { ...next, kg: part.kg }, to: null, why: null };
		return loadFor(next, to, wanted, profile);
	};
	if (decided.exercise) {
		const fitted = take(exercise) ?? { part, to: null, why: null };
		return result(exercise, exercise, fitted, [], part);
	}
	const choice = choose(part, exercise, place, profile, practice, take);
	if (!choice) return { kind: 'nothing', why: nothingWhy(exercise, profile) };
	return result(exercise, choice.to, choice.fitted, choice.why, part);
}

interface Chosen {
	to: Exercise;
	fitted: LoadFit;
	/** Why it is another exercise. */
	why: string[];
}

function choose(
	part: Part,
	exercise: Exercise,
	place: Place,
	profile: FitProfile,
	practice: Practice,
	take: (to: Exercise) => LoadFit | null
): Chosen | null {
	const found: { to: Exercise; fitted: LoadFit }[] = [];
	/** Whether an exercise fits together with its load; then it is the last of `found`. */
	const accept = (to: Exercise): boolean => {
		if (to !== exercise && place.taken.has(to.name)) return false;
		const fitted = take(to);
		if (fitted) found.push({ to, fitted });
		return fitted !== null;
	};
	const chosen = (why: string[]): Chosen => ({ ...found[found.length - 1]!, why });

	const meant = meantFor(part, profile, practice);
	if (meant && accept(meant)) return chosen([MINE]);

	const under = profile.planFor && !place.byLevel ? levelsUnder(profile.level, profile.planFor) : 0;
	const steps = under > 0 && hasLevels(exercise, place.role) && !levelIsLoad(exercise) ? -under : 0;
	const easier = stepped(exercise, steps, practice, true);
	const eased = easier.taken > 0 ? [EASED[profile.level]] : [];
	for (const [to, why] of [
		[easier.to, eased],
		[exercise, []]
	] as const)
		if (canDo(to, profile) && accept(to)) return chosen([...why]);

	const causes = obstacles(exercise, profile);
	if (causes.length === 0) causes.push(tooHeavy(exercise, profile));
	const own = chosenByCoach(part, profile, practice);
	if (own && own !== exercise && accept(own)) return chosen([...causes, MINE]);
	return firstSubstitute(exercise, profile, practice, accept) && chosen([becauseOf(causes, found)]);
}

/** `no dumbbells, so backpack row` */
const becauseOf = (causes: readonly string[], found: readonly { to: Exercise }[]): string =>
	`${causes.join('; ')}, so ${found[found.length - 1]?.to.name.toLowerCase() ?? 'another exercise'}`;

/** Reasons for an easier version, by level, as the person reads them. */
const EASED: Record<Level, string> = {
	beginner: 'easier version: you’re starting out',
	'some experience': 'easier version for your experience',
	trained: 'easier version for your experience'
};

const tooHeavy = (exercise: Exercise, { kit }: FitProfile): string =>
	kit ? 'your lightest weight is too heavy for it' : `no load for ${exercise.name.toLowerCase()}`;

/** Why nothing is left of an exercise: what is not there, or what is not safe. */
function nothingWhy(exercise: Exercise, profile: FitProfile): string {
	const safe = obstacles(exercise, { ...profile, kit: null });
	const missing = obstacles(exercise, { ...profile, limits: [] });
	if (safe.length > 0) return `No safe alternative with your equipment: ${[...safe, ...missing].join('; ')}`;
	return missing.length > 0
		? `You don’t have the equipment for it: ${missing.join('; ')}`
		: 'Every weight you have is too heavy for it, and nothing like it is left in this block';
}

function result(from: Exercise, to: Exercise, fitted: LoadFit, why: string[], planned: Part): PartFit {
	if (to !== from) {
		const words = [...why, ...(fitted.why !== null && fitted.part.kg !== null ? [fitted.why] : [])];
		return {
			kind: 'changed',
			part: fitted.part,
			to: fitted.to ? `${to.name}, ${fitted.to}` : to.name,
			why: words.join('; ')
		};
	}
	if (fitted.part === planned || fitted.to === null) return AS_PLANNED;
	if (fitted.part.kg === planned.kg && fitted.part.resistance === planned.resistance && fitted.why === null)
		return AS_PLANNED;
	return { kind: 'changed', part: fitted.part, to: fitted.to, why: fitted.why };
}

/** A substitute takes no more than so much longer than the part it stands for. */
const LONGER = 1.1;
const LEAST = { reps: 3, seconds: 10, metres: 5 } as const;
const FINE = { reps: 1, seconds: 5, metres: 5 } as const;

/**
 * A substitute with as much of it as the planned part has time for: one that is done side by side takes fewer repetitions of
 * each, not twice the time.
 *
 * @param before seconds of the part as planned
 */
function sameTime(next: Part, before: number, { timed }: Place, practice: Practice): Part {
	if (timed) return next;
	const after = wholeSeconds(next, practice);
	if (after <= before * LONGER) return next;
	const change = next.perSide ? practice.timing.sideChange : 0;
	const share = Math.max(0, before * LONGER - change) / (after - change);
	const less = (amount: number, kind: Part['target']['kind']) =>
		Math.max(Math.min(amount, LEAST[kind]), Math.floor((amount * share) / FINE[kind] + 1e-9) * FINE[kind]);
	return {
		...withAmounts(next, less),
		...(next.or && { or: targetOf(next.or.kind, less(amountOf(next.or), next.or.kind)) })
	};
}

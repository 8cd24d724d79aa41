import {
	AT_HOME,
	type Exercise,
	type Item,
	type Library,
	type Muscle,
	type ProgressionStep
} from '../exercise';
import { brokenLimits, canDoWith, withinLimits, type Kit, type Limitation } from '../kit';
import type { Practice } from '../practice';

/** Whom an exercise is for, as far as that decides whether it can be done. */
export interface Fitting {
	/** What is at hand; null: whatever it takes. */
	kit: Kit | null;
	/** What must not be asked for. */
	limits: readonly Limitation[];
}

export interface Substitute {
	exercise: Exercise;
	/** In words, the weightiest first: `no floor`, `the same with a band`. */
	why: string[];
}

/** Shared muscles of two exercises, primary ones weighing twice: 0…1 (weighted Jaccard index). */
export function likeness(a: Exercise, b: Exercise): number {
	const weight = (e: Exercise, muscle: Muscle) =>
		e.primary.includes(muscle) ? 2 : e.assisting.includes(muscle) ? 1 : 0;
	const all = new Set([...a.primary, ...a.assisting, ...b.primary, ...b.assisting]);
	let [both, either] = [0, 0];
	for (const muscle of all) {
		const [x, y] = [weight(a, muscle), weight(b, muscle)];
		both += Math.min(x, y);
		either += Math.max(x, y);
	}
	return either > 0 ? both / either : 0;
}

/** From this likeness on one exercise can stand for another: of the same movement, and of another one. */
const ALIKE = 0.3;
const ALIKE_OTHERWISE = 0.4;

/** Whether somebody can do an exercise: the hard limits and the kit, nothing else. */
export const canDo = (exercise: Exercise, { kit, limits }: Fitting): boolean =>
	withinLimits(exercise, limits) && canDoWith(kit, exercise);

/** What speaks against an exercise for somebody, in words; empty: nothing. */
export function obstacles(exercise: Exercise, { kit, limits }: Fitting): string[] {
	const broken: string[] = brokenLimits(exercise, limits);
	return canDoWith(kit, exercise) ? broken : [...broken, 'not at hand'];
}

/** The easier variations of an exercise, the nearest first. */
function easierThan(exercise: Exercise, library: Library): Exercise[] {
	const easier: Exercise[] = [];
	for (let next = library.easier(exercise.name); next; next = library.easier(next.name)) easier.push(next);
	return easier;
}

/** How far down the ladder: `one step easier`. */
export const stepsText = (steps: number): string =>
	`${['', 'one', 'two', 'three', 'four'][steps] ?? steps} ${steps === 1 ? 'step' : 'steps'} easier`;

/** Whether one that stands for another would land hard, or hang, where that one does not. */
const asksForMore = (from: Exercise, to: Exercise): boolean =>
	(to.impact === 'high' && from.impact !== 'high') ||
	(to.position === 'hanging' && from.position !== 'hanging');

const uses = ({ equipment }: Exercise, item: Item): boolean => equipment.some((need) => need.item === item);
/** How many items an exercise takes beyond the household that another does not. */
const moreItems = (from: Exercise, to: Exercise): number =>
	to.equipment.filter(({ item }) => !AT_HOME.has(item) && !uses(from, item)).length;

/** How far another exercise is: muscles first, then position, balance and what it takes that the other does not. */
function distance(from: Exercise, to: Exercise): number {
	return (
		1 -
		likeness(from, to) +
		(from.position === to.position ? 0 : 0.1) +
		0.05 * Math.max(0, to.balance - from.balance) +
		0.1 * moreItems(from, to)
	);
}

/** One that may stand for another, and how it does: `band variation`, `two steps easier`. */
interface Candidate {
	exercise: Exercise;
	how: string;
	rung: ProgressionStep | null;
}

/** Its place on a ladder, where one step is harder than another; null for stretches: none of them is work. */
const rungOf = (exercise: Exercise, library: Library): ProgressionStep | null =>
	loosens(exercise.pattern) ? null : library.progressionOf(exercise.name);

/** Whether a candidate is harder than one before it: it lands hard, it hangs, or it is a harder step of the same ladder. */
const isHarder = (than: Candidate, one: Candidate): boolean =>
	asksForMore(than.exercise, one.exercise) ||
	(than.rung !== null && than.rung.progression === one.rung?.progression && one.rung.at > than.rung.at);

/**
 * What can stand for an exercise, whoever it is for, the nearest first: the same movement with other equipment and its easier
 * variations, then the nearest muscles within the same movement pattern, then those of another one.
 *
 * @param atHand whether the exercise itself is at hand: what is not is done with something else; what must not be done is done
 *   easier with the same
 */
function candidatesFor(exercise: Exercise, atHand: boolean, library: Library): Candidate[] {
	const family = library
		.alternatives(exercise.name)
		.map(({ form, exercise: e }) => ({
			exercise: e,
			how: `${form} variation`,
			far: distance(exercise, e) + (form === 'bodyweight' ? 0.5 : 0)
		}))
		.sort((a, b) => a.far - b.far);
	const steps = easierThan(exercise, library).map((e, i) => ({ exercise: e, how: stepsText(i + 1) }));
	const plain = ({ exercise: e }: { exercise: Exercise }) => moreItems(exercise, e) === 0;
	const easier = [...steps.filter(plain), ...steps.filter((step) => !plain(step))];
	const nearest = (wanted: (pattern: Exercise['pattern']) => boolean, alike: number, how: string) =>
		library.all
			.filter((e) => wanted(e.pattern) && likeness(exercise, e) >= alike)
			.map((e) => ({ exercise: e, how, far: distance(exercise, e) }))
			.sort((a, b) => a.far - b.far);
	const found = new Map<Exercise, Candidate>();
	for (const { exercise: e, how } of [
		...(atHand ? [...easier, ...family] : [...family, ...easier]),
		...nearest((pattern) => pattern === exercise.pattern, ALIKE, 'same movement, nearest muscles'),
		...nearest(
			(pattern) => loosens(pattern) === loosens(exercise.pattern),
			ALIKE_OTHERWISE,
			'another movement, nearest muscles'
		)
	])
		if (!e.retired && e.name !== exercise.name && !found.has(e))
			found.set(e, { exercise: e, how, rung: rungOf(e, library) });
	return [...found.values()];
}

type Candidates = Record<'atHand' | 'notAtHand', Candidate[] | null>;
/** A library and its exercises are not changed once they are made, and everybody asks for the same. */
const made = new WeakMap<Library, WeakMap<Exercise, Candidates>>();

function candidatesOf(exercise: Exercise, atHand: boolean, library: Library): Candidate[] {
	const all = made.get(library) ?? new WeakMap<Exercise, Candidates>();
	made.set(library, all);
	const known = all.get(exercise) ?? { atHand: null, notAtHand: null };
	all.set(exercise, known);
	return (known[atHand ? 'atHand' : 'notAtHand'] ??= candidatesFor(exercise, atHand, library));
}

/**
 * The nearest exercise that somebody can do in place of another. Hard limits come before everything. The same question
 * always has the same answer; and since none is taken that is harder than one before it, a limit more never leads to a
 * harder exercise.
 *
 * @returns the exercise itself where it can be done; null where nothing like it can
 */
export function substitute(exercise: Exercise, fitting: Fitting, { library }: Practice): Substitute | null {
	const against = obstacles(exercise, fitting);
	if (against.length === 0) return { exercise, why: [] };
	const before: Candidate[] = [{ exercise, how: '', rung: rungOf(exercise, library) }];
	for (const one of candidatesOf(exercise, canDoWith(fitting.kit, exercise), library)) {
		if (!canDoWith(fitting.kit, one.exercise) || before.some((than) => isHarder(than, one))) continue;
		if (withinLimits(one.exercise, fitting.limits))
			return { exercise: one.exercise, why: [...against, one.how] };
		before.push(one);
	}
	return null;
}

/** Loosening does not stand for work, nor work for loosening. */
const loosens = (pattern: Exercise['pattern']): boolean => pattern === 'stretch' || pattern === 'mobility';

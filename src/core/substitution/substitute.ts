import { AT_HOME, type Exercise, type Item, type Library, type Muscle } from '../exercise';
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

/**
 * The nearest exercise that somebody can do in place of another: the same movement with other equipment or an easier
 * variation, then the nearest muscles within the same movement pattern, then those of another one. Hard limits come before
 * everything; the same question always has the same answer.
 *
 * @returns the exercise itself where it can be done; null where nothing like it can
 */
export function substitute(exercise: Exercise, fitting: Fitting, { library }: Practice): Substitute | null {
	const against = obstacles(exercise, fitting);
	if (against.length === 0) return { exercise, why: [] };
	const fits = (e: Exercise) =>
		!e.retired && e.name !== exercise.name && !asksForMore(exercise, e) && canDo(e, fitting);
	const as = (found: Exercise, how: string): Substitute => ({ exercise: found, why: [...against, how] });

	const family = (): Substitute | null => {
		const [best] = library
			.alternatives(exercise.name)
			.filter(({ exercise: e }) => fits(e))
			.map(({ form, exercise: e }) => ({
				form,
				e,
				far: distance(exercise, e) + (form === 'bodyweight' ? 0.5 : 0)
			}))
			.sort((a, b) => a.far - b.far);
		return best ? as(best.e, `${best.form} variation`) : null;
	};
	const easier = (): Substitute | null => {
		const steps = easierThan(exercise, library).filter(fits);
		const found = steps.find((e) => moreItems(exercise, e) === 0) ?? steps[0];
		return found ? as(found, 'an easier variation') : null;
	};
	// What is not at hand is done with something else; what must not be done is done easier with the same.
	const found = canDoWith(fitting.kit, exercise) ? (easier() ?? family()) : (family() ?? easier());
	if (found) return found;

	const nearest = (
		patterns: (pattern: Exercise['pattern']) => boolean,
		alike: number
	): Exercise | undefined =>
		library.all
			.filter((e) => patterns(e.pattern) && fits(e) && likeness(exercise, e) >= alike)
			.map((e) => ({ e, far: distance(exercise, e) }))
			.sort((a, b) => a.far - b.far)[0]?.e;
	const same = nearest((pattern) => pattern === exercise.pattern, ALIKE);
	if (same) return as(same, 'same movement, nearest muscles');
	const other = nearest((pattern) => loosens(pattern) === loosens(exercise.pattern), ALIKE_OTHERWISE);
	return other ? as(other, 'another movement, nearest muscles') : null;
}

/** Loosening does not stand for work, nor work for loosening. */
const loosens = (pattern: Exercise['pattern']): boolean => pattern === 'stretch' || pattern === 'mobility';

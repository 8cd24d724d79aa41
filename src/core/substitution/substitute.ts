import type { Exercise, Library, Muscle } from '../exercise';
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

/** From this likeness on one exercise can stand for another. */
const ALIKE = 0.3;

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

/** How far another exercise of the same movement is: muscles first, then position, balance and landing. */
function distance(from: Exercise, to: Exercise): number {
	return (
		1 -
		likeness(from, to) +
		(from.position === to.position ? 0 : 0.1) +
		0.05 * Math.max(0, to.balance - from.balance) +
		(to.impact === 'high' && from.impact !== 'high' ? 0.3 : 0)
	);
}

/**
 * The nearest exercise that somebody can do in place of another: the same movement with other equipment or an easier
 * variation, then the nearest muscles within the same movement pattern. Hard limits come before everything; the same
 * question always has the same answer.
 *
 * @returns the exercise itself where it can be done; null where nothing like it can
 */
export function substitute(exercise: Exercise, fitting: Fitting, { library }: Practice): Substitute | null {
	const against = obstacles(exercise, fitting);
	if (against.length === 0) return { exercise, why: [] };
	const fits = (e: Exercise) => !e.retired && e.name !== exercise.name && canDo(e, fitting);
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
		const found = easierThan(exercise, library).find(fits);
		return found ? as(found, 'an easier variation') : null;
	};
	// What is not at hand is done with something else; what must not be done is done easier with the same.
	const found = canDoWith(fitting.kit, exercise) ? (easier() ?? family()) : (family() ?? easier());
	if (found) return found;

	const [near] = library.all
		.filter((e) => e.pattern === exercise.pattern && fits(e) && likeness(exercise, e) >= ALIKE)
		.map((e) => ({ e, far: distance(exercise, e) }))
		.sort((a, b) => a.far - b.far);
	return near ? as(near.e, 'same movement, nearest muscles') : null;
}

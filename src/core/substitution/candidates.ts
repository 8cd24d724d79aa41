/** What can stand for an exercise, whoever it is for: the nearest first. Worked out once a library. */
import {
	AT_HOME,
	IMPACTS,
	RATED,
	takesWeight,
	type Exercise,
	type Item,
	type Library,
	type Muscle,
	type ProgressionStep
} from '../exercise';

/** How a candidate stands for an exercise. */
export type How = 'same movement' | 'easier step' | 'nearest movement' | 'nearest muscles';

export interface Candidate {
	exercise: Exercise;
	how: How;
	/** Steps easier along the progression; 0 unless it is one. */
	steps: number;
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
const ALIKE = 0.2;
const ALIKE_OTHERWISE = 0.25;
/** What raises the pulse works many muscles a little: from this likeness on. */
const ALIKE_AEROBIC = 0.1;

/** Loosening does not stand for work, nor work for loosening. */
export const loosens = ({ pattern }: Pick<Exercise, 'pattern'>): boolean =>
	pattern === 'stretch' || pattern === 'mobility';

const uses = ({ equipment }: Exercise, item: Item): boolean => equipment.some((need) => need.item === item);
/** How many items an exercise takes beyond the household that another does not. */
const moreItems = (from: Exercise, to: Exercise): number =>
	to.equipment.filter(({ item }) => !AT_HOME.has(item) && !uses(from, item)).length;

/** Points by which another exercise demands more of joints, trunk and balance. */
const moreDemands = (from: Exercise, to: Exercise): number =>
	RATED.reduce((sum, field) => sum + Math.max(0, to.demands[field] - from.demands[field]), 0) +
	Math.max(0, to.demands.balance - from.demands.balance);

/** How far another exercise is: muscles first, then position, demands, and what it takes that the other does not. */
const distance = (from: Exercise, to: Exercise): number =>
	1 -
	likeness(from, to) +
	(from.position === to.position ? 0 : to.position === 'seated' ? 0.3 : 0.1) +
	0.04 * moreDemands(from, to) +
	0.1 * moreItems(from, to) +
	// What is lifted is replaced by something that is lifted or pulled as long as there is any, and nothing else is.
	(resists(from) === resists(to) ? 0 : 0.3) +
	(uses(to, 'water bottle') && !uses(from, 'water bottle') ? 0.3 : 0) +
	// So is what raises the pulse.
	(isAerobic(from) === isAerobic(to) ? 0 : 0.5);

const isAerobic = ({ pattern }: Exercise): boolean => pattern === 'step' || pattern === 'jump';

/** Whether a weight or a band is worked against. */
const resists = (exercise: Exercise): boolean =>
	takesWeight(exercise) || uses(exercise, 'band') || uses(exercise, 'loop band');

/** A rise of so many points on one rating makes another exercise a harder one. */
const HARDER = 2;

/** Whether another exercise lands harder, hangs, or is clearly less steady than the one it would stand for. */
export const isRiskier = (from: Exercise, to: Exercise): boolean =>
	IMPACTS.indexOf(to.demands.impact) > IMPACTS.indexOf(from.demands.impact) ||
	(to.position === 'hanging' && from.position !== 'hanging') ||
	to.demands.balance - from.demands.balance >= HARDER;

const PUSHES: readonly Exercise['pattern'][] = ['push forward', 'push up', 'elbow extension'];
const PULLS: readonly Exercise['pattern'][] = ['pull back', 'pull down', 'curl'];

/** A push does not stand for a pull, nor a pull for a push: the plan has both for balance. */
const opposes = (from: Exercise, to: Exercise): boolean =>
	(PUSHES.includes(from.pattern) && PULLS.includes(to.pattern)) ||
	(PULLS.includes(from.pattern) && PUSHES.includes(to.pattern));

/** Whether another exercise asks for clearly more than the one it would stand for. */
const asksForMore = (from: Exercise, to: Exercise): boolean =>
	isRiskier(from, to) || RATED.some((field) => to.demands[field] - from.demands[field] >= HARDER);

/** The easier variations of an exercise, the nearest first. */
export function easierThan(exercise: Exercise, library: Library): Exercise[] {
	const easier: Exercise[] = [];
	for (let next = library.easier(exercise.name); next; next = library.easier(next.name)) easier.push(next);
	return easier;
}

/** Whether an exercise is a harder step of the same progression, with the same kind of equipment. */
const isHarderStep = (from: ProgressionStep | null, to: ProgressionStep | null): boolean =>
	from !== null && to !== null && from.progression === to.progression && to.at > from.at;

function candidatesFor(exercise: Exercise, library: Library): Candidate[] {
	const sorted = (exercises: readonly Exercise[], how: How): Candidate[] =>
		exercises
			.map((e) => ({ candidate: { exercise: e, how, steps: 0 }, far: distance(exercise, e) }))
			.sort((a, b) => a.far - b.far)
			.map(({ candidate }) => candidate);
	const family = library.alternatives(exercise.name).map(({ exercise: e }) => e);
	const step = loosens(exercise) ? null : library.progressionOf(exercise.name);
	const alike = (e: Exercise, least: number) =>
		loosens(e) === loosens(exercise) &&
		likeness(exercise, e) >= least &&
		!asksForMore(exercise, e) &&
		!opposes(exercise, e) &&
		// Equipment is no difficulty: only a step with the same things is a harder one.
		!(
			isHarderStep(step, library.progressionOf(e.name)) &&
			moreItems(exercise, e) === 0 &&
			moreItems(e, exercise) === 0
		);
	const ordered = [
		...sorted(family, 'same movement'),
		...easierThan(exercise, library)
			.map((e, i): Candidate => ({ exercise: e, how: 'easier step', steps: i + 1 }))
			.filter(({ exercise: e }) => !isRiskier(exercise, e)),
		...sorted(
			library.all.filter(
				(e) => e.pattern === exercise.pattern && alike(e, isAerobic(e) ? ALIKE_AEROBIC : ALIKE)
			),
			'nearest movement'
		),
		...sorted(
			library.all.filter((e) => alike(e, ALIKE_OTHERWISE)),
			'nearest muscles'
		)
	];
	const found = new Map<Exercise, Candidate>();
	for (const one of ordered)
		if (!one.exercise.retired && one.exercise.name !== exercise.name && !found.has(one.exercise))
			found.set(one.exercise, one);
	return [...found.values()];
}

const cache = new WeakMap<Library, WeakMap<Exercise, readonly Candidate[]>>();

/** What can stand for an exercise, the nearest first: declared equivalents, easier steps, then by muscles and demands. */
export function candidatesOf(exercise: Exercise, library: Library): readonly Candidate[] {
	const byExercise = cache.get(library) ?? new WeakMap<Exercise, readonly Candidate[]>();
	cache.set(library, byExercise);
	const cached = byExercise.get(exercise) ?? candidatesFor(exercise, library);
	byExercise.set(exercise, cached);
	return cached;
}

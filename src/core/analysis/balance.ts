import { MUSCLES, type Exercise, type Library, type Muscle } from '../exercise';
import type { Practice } from '../practice';
import { compileSession, formatOf, passesOf, type Block, type Session, type Timeline } from '../session';
import { workOf } from './work';

/** Two sides of the body's work in sets; `ratio` null where the second one is 0. */
export interface Pair {
	a: number;
	b: number;
	ratio: number | null;
}

export interface Balance {
	/** Sets: 1 for each that works the muscle directly, ½ for each in which it assists. */
	sets: Record<Muscle, number>;
	/** Those of them that work it directly: what makes a day hard for it. */
	direct: Record<Muscle, number>;
	/** Seconds that each muscle is stretched; per side ones count once. */
	stretched: Record<Muscle, number>;
	pullPush: Pair;
	kneeHip: Pair;
	upper: number;
	lower: number;
	trunk: number;
	/** Seconds of one-sided work on either side. */
	left: number;
	right: number;
	/** Seconds of work with high impact, and its repetitions. */
	impact: { seconds: number; reps: number };
	/** Times down to the floor and up again. */
	floorChanges: number;
}

const UPPER: readonly Muscle[] = [
	'chest',
	'front shoulder',
	'side shoulder',
	'rear shoulder',
	'upper back',
	'lats',
	'biceps',
	'triceps',
	'forearms'
];
const TRUNK: readonly Muscle[] = ['abs', 'obliques', 'lower back'];

/** Steady and hard cardio are measured in minutes, not in sets. */
export const countsAsSets = (block: Block): boolean =>
	block.role === 'main' && formatOf(block).countedIn === 'sets';

/** How much of an exercise is push, pull, knee- or hip-dominant: 1, ½ for one of several things it does, or 0. */
export function leanings(exercise: Exercise): { push: number; pull: number; knee: number; hip: number } {
	const none = { push: 0, pull: 0, knee: 0, hip: 0 };
	switch (exercise.pattern) {
		case 'push forward':
		case 'push up':
			return { ...none, push: 1 };
		case 'pull back':
		case 'pull down':
			return { ...none, pull: 1 };
		case 'squat':
		case 'knee extension':
		case 'lunge':
		case 'jump':
			return { ...none, knee: 1 };
		case 'hinge':
		case 'bridge':
			return { ...none, hip: 1 };
		case 'combination': {
			const works = (...muscles: Muscle[]) => (muscles.some((m) => exercise.primary.includes(m)) ? 0.5 : 0);
			const knee = works('quads');
			return {
				push: works('chest', 'front shoulder'),
				pull: works('lats', 'upper back'),
				knee,
				hip: knee ? 0 : works('glutes', 'hamstrings')
			};
		}
		default:
			return none;
	}
}

const pair = (a: number, b: number): Pair => ({ a, b, ratio: b > 0 ? a / b : null });
const perMuscle = (): Record<Muscle, number> =>
	Object.fromEntries(MUSCLES.map((muscle) => [muscle, 0])) as Record<Muscle, number>;

/** Times the body goes down to the floor, in order of time. Exercises nobody knows count as done where one is. */
export function floorChanges(session: Session, timeline: Timeline, library: Library): number {
	let down = false;
	let changes = 0;
	for (const { exercise } of workOf(session, timeline, library)) {
		if (!exercise) continue;
		const { floorTransfer } = exercise.demands;
		if (floorTransfer && !down) changes++;
		down = floorTransfer;
	}
	return changes;
}

/**
 * What a session works, and what against what. Sets are those of the main work; mobility and stretches are not
 * sets. Exercises that the library does not know are left out.
 */
export function balanceOf(
	session: Session,
	practice: Practice,
	timeline: Timeline = compileSession(session, practice)
): Balance {
	const { library } = practice;
	const sets = perMuscle();
	const direct = perMuscle();
	const stretched = perMuscle();
	const sum = { push: 0, pull: 0, knee: 0, hip: 0 };
	session.blocks.forEach((block, b) =>
		block.parts.forEach((part, p) => {
			const exercise = library.find(part.exercise);
			if (!exercise) return;
			const times = formatOf(block).timesDone(block, p, practice) * passesOf(session, b);
			if (exercise.pattern === 'stretch') {
				const held = part.target.kind === 'seconds' ? part.target.seconds : 0;
				for (const muscle of exercise.primary) stretched[muscle] += held * times;
			} else if (exercise.pattern !== 'mobility' && countsAsSets(block)) {
				for (const muscle of exercise.primary) {
					sets[muscle] += times;
					direct[muscle] += times;
				}
				for (const muscle of exercise.assisting) sets[muscle] += times / 2;
				const lean = leanings(exercise);
				for (const way of ['push', 'pull', 'knee', 'hip'] as const) sum[way] += lean[way] * times;
			}
		})
	);
	let left = 0;
	let right = 0;
	const impact = { seconds: 0, reps: 0 };
	for (const { segment, exercise } of workOf(session, timeline, library)) {
		if (segment.side === 'left') left += segment.seconds;
		if (segment.side === 'right') right += segment.seconds;
		if (exercise?.demands.impact !== 'high') continue;
		impact.seconds += segment.seconds;
		impact.reps += segment.reps;
	}
	const of = (muscles: readonly Muscle[]) => muscles.reduce((total, muscle) => total + sets[muscle], 0);
	return {
		sets,
		direct,
		stretched,
		pullPush: pair(sum.pull, sum.push),
		kneeHip: pair(sum.knee, sum.hip),
		upper: of(UPPER),
		trunk: of(TRUNK),
		lower: of(MUSCLES.filter((muscle) => !UPPER.includes(muscle) && !TRUNK.includes(muscle))),
		left,
		right,
		impact,
		floorChanges: floorChanges(session, timeline, library)
	};
}

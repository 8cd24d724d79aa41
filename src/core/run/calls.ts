/** What is called out, in words. */
import type { CueKind } from '../session';
import { isLeftOut, type Course, type Step, type StepCue, type Task } from './course';

const SIDES = { left: 'left side', right: 'right side', both: '' } as const;

const taskWords = (course: Course, task: Task, withMuch: boolean): string => {
	const exercise = course.exercises[task.exercise];
	if (!exercise) return '';
	const much = withMuch ? amountWords(task.amount, exercise.unit) : '';
	return [exercise.name, SIDES[task.side], much, withMuch ? exercise.load : null].filter(Boolean).join(', ');
};

const UNIT_WORDS = { reps: ['rep', 'reps'], s: ['second', 'seconds'], m: ['metre', 'metres'] } as const;

/** As one says it: `10 reps`, `1 rep`, `40 seconds`. */
export const amountWords = (amount: number, unit: keyof typeof UNIT_WORDS): string =>
	`${amount} ${UNIT_WORDS[unit][amount === 1 ? 0 : 1]}`;

/** What a step is, as one says it: `Goblet squat, 10 reps, 12 kg`. */
export function stepWords(course: Course, step: Step): string {
	const { tasks, counting, rounds } = step;
	if (counting === 'all' && rounds > 1) {
		const lap = tasks.slice(0, tasks.length / rounds);
		return `${rounds} rounds: ${lap.map((task) => taskWords(course, task, true)).join('; ')}`;
	}
	return tasks.map((task) => taskWords(course, task, true)).join('; ');
}

/** The next work from a step on, that step left out; null: none is left. */
export function nextWork(course: Course, from: number, leftOut: ReadonlySet<number>): Step | null {
	return (
		course.steps.slice(from + 1).find((step) => step.tasks.length > 0 && !isLeftOut(step, leftOut)) ?? null
	);
}

/** The words of a call; empty where a sound says it. */
export function callWords(
	course: Course,
	at: number,
	{ kind }: StepCue,
	leftOut: ReadonlySet<number>
): string {
	const step = course.steps[at];
	if (!step) return '';
	const next = () => {
		const work = nextWork(course, at, leftOut);
		return work ? `Next: ${stepWords(course, work)}` : 'That was the last one';
	};
	const words: Record<CueKind, () => string> = {
		start: () => stepWords(course, step),
		halfway: () => 'Halfway',
		'ten-left': () => 'Ten seconds',
		'three-two-one': () => 'Three, two, one',
		'change-side': () => 'Change side',
		'next-up': () => (step.kind === 'rest' || step.kind === 'round-rest' ? `Rest. ${next()}` : next()),
		round: () => `Round ${step.passes > 1 ? step.pass : step.round}`,
		'last-round': () => 'Last round',
		water: () => 'Drink some water'
	};
	return words[kind]();
}

/** A call of a whole session, in the order in which they come. */
export interface ListedCall {
	/** Place of its step. */
	step: number;
	/** Seconds from the beginning, as planned. */
	at: number;
	say: string;
}

/** Calls that the clock makes by itself, and that say nothing of what is done. */
const BARE: ReadonlySet<CueKind> = new Set(['halfway', 'ten-left', 'three-two-one']);

/** What is called in a session, block by block, for whoever leads it. */
export function callListOf(course: Course): { title: string; calls: ListedCall[] }[] {
	const blocks = course.blocks.map(({ title }) => ({ title, calls: [] as ListedCall[] }));
	let begins = 0;
	course.steps.forEach((step, i) => {
		for (const cue of step.cues) {
			if (BARE.has(cue.kind)) continue;
			const at = cue.from === 'end' ? step.seconds - cue.at : cue.at;
			const say = callWords(course, i, cue, new Set());
			if (say) blocks[step.block]?.calls.push({ step: i, at: begins + at, say });
		}
		begins += step.seconds;
	});
	return blocks.filter(({ calls }) => calls.length > 0);
}

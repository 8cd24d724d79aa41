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

/** Place of the next work from a step on, or null if none is left. */
function nextWorkAt({ steps }: Course, from: number, leftOut: ReadonlySet<number>): number | null {
	const found = steps.findIndex((step, i) => i > from && step.tasks.length > 0 && !isLeftOut(step, leftOut));
	return found < 0 ? null : found;
}

/** The next work from a step on, that step left out; null: none is left. */
export function nextWork(course: Course, from: number, leftOut: ReadonlySet<number>): Step | null {
	const at = nextWorkAt(course, from, leftOut);
	return at === null ? null : (course.steps[at] ?? null);
}

/** The rule of the block that begins with a step, or null if none begins there or it has no rule. */
function ruleBegunAt({ steps, blocks }: Course, at: number): string | null {
	const step = steps[at];
	if (!step || steps.slice(0, at).some(({ block, tasks }) => block === step.block && tasks.length > 0))
		return null;
	return blocks[step.block]?.called ?? null;
}

/** Whether the work of a step was called before it began. */
function wasCalled({ steps }: Course, at: number): boolean {
	const before = steps[at - 1];
	return (
		before !== undefined && before.tasks.length === 0 && before.cues.some(({ kind }) => kind === 'next-up')
	);
}

/** A step with the rule of its block, where that begins: `12 minutes, every minute. Squat, 8 reps`. */
const withRule = (course: Course, at: number, rule: string | null): string => {
	const step = course.steps[at];
	return [rule, step ? stepWords(course, step) : ''].filter(Boolean).join('. ');
};

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
		const work = nextWorkAt(course, at, leftOut);
		return work === null
			? 'That was the last one'
			: `Next: ${withRule(course, work, ruleBegunAt(course, work))}`;
	};
	const words: Record<CueKind, () => string> = {
		start: () => withRule(course, at, wasCalled(course, at) ? null : ruleBegunAt(course, at)),
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

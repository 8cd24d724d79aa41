/** What somebody has done of a session, from how its steps went and from what they said of single sets. */
import { countReps, type Counted } from './count-reps';
import type { BodyArea, Course, CourseExercise, SetPlace, Step, Task } from './course';
import { momentOf, type Act, type Outcome } from './moment';

/** A set as it was done. */
export interface RunSet extends SetPlace {
	/** What counts, in the unit of the exercise; per side where it is. */
	amount: number;
	kg: number | null;
	/** Each side by itself, where they were not alike; null: alike, or no matter. */
	left: number | null;
	right: number | null;
	/** 0…10; null: not said. */
	effort: number | null;
	/** The form of the exercise that was done in its place; null: the one asked for. */
	used: string | null;
}

/** The result of a block with a clock of its own. */
export interface Score {
	/** Place of the block in the log. */
	block: number;
	pass: number;
	/** Seconds to the end of all of it, within the limit; null: not all of it, or no matter. */
	seconds: number | null;
	/** Full rounds, and repetitions beyond them. */
	rounds: number;
	reps: number;
	/** When each round was full, in seconds from the beginning. */
	splits: number[];
}

export interface RunLog {
	sets: RunSet[];
	scores: Score[];
	hurts: { block: number; part: number; exercise: string; area: BodyArea }[];
	/** Whether everything was done as asked, some of it or nothing. */
	done: 'all' | 'part' | 'none';
	/** Seconds of it, pauses left out. */
	seconds: number;
	/** When it was begun, and when the last that was done of it ended. Epoch milliseconds; null: not at all. */
	startedAt: number | null;
	endedAt: number | null;
}

interface Amounts {
	both: number;
	left: number;
	right: number;
	endedAt: number;
}

/** How much of a task was done in a step. */
function amountDone(task: Task, step: Step, outcome: Outcome, { unit }: CourseExercise): number {
	const early = outcome.seconds < step.seconds;
	if (unit === 's' && step.ends === 'time' && early) return Math.floor(outcome.seconds);
	return outcome.how === 'done' ? task.amount : 0;
}

/** Whether all tasks of a step that counts them are done: each was counted, or somebody said so before its time was over. */
const isAllDone = ({ counting, tasks, seconds: limit }: Step, { how, seconds, counted }: Outcome): boolean =>
	counting === 'all' && how === 'done' && (counted.length >= tasks.length || seconds < limit);

/** How often each task of a step was done. */
function timesDone(step: Step, outcome: Outcome): number[] {
	const { tasks, counting } = step;
	const { how, counted } = outcome;
	const each = (times: (i: number) => number) => tasks.map((_, i) => times(i));
	if (counting === 'again')
		return each(
			(i) => Math.floor(counted.length / tasks.length) + (i < counted.length % tasks.length ? 1 : 0)
		);
	if (counting === 'all') return each((i) => (i < counted.length || isAllDone(step, outcome) ? 1 : 0));
	return each(() => (how === 'done' || counted.length > 0 ? 1 : 0));
}

function scoreOf(step: Step, outcome: Outcome, block: number): Score {
	const { tasks, counting } = step;
	const { seconds, counted } = outcome;
	const lap = counting === 'again' ? tasks.length : Math.max(1, tasks.length / step.rounds);
	const all = isAllDone(step, outcome);
	const rounds = all ? step.rounds : Math.floor(counted.length / lap);
	const rest = all ? [] : counted.slice(rounds * lap).map((_, i) => tasks[(rounds * lap + i) % tasks.length]);
	return {
		block,
		pass: step.pass,
		seconds: all ? seconds : null,
		rounds,
		reps: rest.reduce((sum, task) => sum + (task?.amount ?? 0), 0),
		splits: counted.filter((_, i) => (i + 1) % lap === 0)
	};
}

class Record {
	private readonly sets = new Map<string, Amounts>();
	readonly scores: Score[] = [];

	constructor(private readonly course: Course) {}

	private at(exercise: number, set: number): Amounts {
		const key = `${exercise} ${set}`;
		const found = this.sets.get(key) ?? { both: 0, left: 0, right: 0, endedAt: 0 };
		this.sets.set(key, found);
		return found;
	}

	take(step: Step, outcome: Outcome): void {
		const times = step.counting === null ? null : timesDone(step, outcome);
		step.tasks.forEach((task, i) => {
			const exercise = this.course.exercises[task.exercise];
			if (!exercise) return;
			const done = times ? task.amount * (times[i] ?? 0) : amountDone(task, step, outcome, exercise);
			const found = this.at(task.exercise, task.set);
			// A set that is taken up again within it, as with less weight, is still that set.
			found[task.side] = step.counting === null ? Math.max(found[task.side], done) : found[task.side] + done;
			found.endedAt = outcome.endedAt;
		});
		const block = step.tasks[0]?.block;
		if (block !== undefined && (step.counting === 'all' || step.counting === 'again'))
			this.scores.push(scoreOf(step, outcome, block));
	}

	/** Sets that were done, or of which somebody said something. */
	*known(): Generator<{ exercise: number; set: number } & Amounts> {
		for (const [key, amounts] of this.sets) {
			const [exercise = 0, set = 0] = key.split(' ').map(Number);
			yield { exercise, set, ...amounts };
		}
	}
	/** Makes sure that there is one: somebody said how it went. */
	touch(exercise: number, set: number): void {
		this.at(exercise, set);
	}
}

/** The forms that are done in place of exercises of the course, by their places in it, after all that was done. */
export function formsInUse(acts: readonly Act[]): ReadonlyMap<number, string> {
	const forms = new Map<number, string>();
	for (const act of acts) {
		if (act.do !== 'swap') continue;
		if (act.to === null) forms.delete(act.exercise);
		else forms.set(act.exercise, act.to);
	}
	return forms;
}

/** The last of what was said of each set. */
function saidOf(acts: readonly Act[]): Map<string, Extract<Act, { do: 'log' }>> {
	const said = new Map<string, Extract<Act, { do: 'log' }>>();
	for (const act of acts) if (act.do === 'log') said.set(`${act.exercise} ${act.set}`, act);
	return said;
}

const sidesOf = ({ amount, other }: Counted): [number | null, number | null] =>
	other === null || other === undefined || other === amount ? [null, null] : [amount, other];

/** What was done up to an instant, in the order of the session. */
export function runLogOf(course: Course, acts: readonly Act[], now: number): RunLog {
	const moment = momentOf(course, acts, now);
	const record = new Record(course);
	for (const [i, outcome] of moment.outcomes) {
		const step = course.steps[i];
		if (step) record.take(step, outcome);
	}
	const said = saidOf(acts);
	for (const act of said.values()) record.touch(act.exercise, act.set);
	const swaps = acts.filter((act) => act.do === 'swap');
	const sets = [...record.known()].flatMap((one): RunSet[] => {
		const exercise = course.exercises[one.exercise];
		if (!exercise) return [];
		const word = said.get(`${one.exercise} ${one.set}`);
		// What was said of a set before it was done once more is about another one.
		const own = word && word.at >= one.endedAt ? word : undefined;
		const counted: Counted =
			own ??
			(one.both > 0 || one.left + one.right === 0
				? { amount: one.both }
				: { amount: one.left, other: one.right });
		const [left, right] = sidesOf(counted);
		const ended = own?.at ?? one.endedAt;
		return [
			{
				block: exercise.block,
				part: exercise.part,
				set: one.set,
				amount: countReps(counted),
				kg: own ? own.kg : exercise.kg,
				left,
				right,
				effort: own?.effort ?? null,
				used: swaps.findLast((swap) => swap.exercise === one.exercise && swap.at <= ended)?.to ?? null
			}
		];
	});
	sets.sort((a, b) => a.block - b.block || a.part - b.part || a.set - b.set);
	return {
		sets,
		scores: record.scores,
		hurts: acts.flatMap((act) => {
			const exercise = act.do === 'hurts' ? course.exercises[act.exercise] : undefined;
			return act.do === 'hurts' && exercise
				? [{ block: exercise.block, part: exercise.part, exercise: exercise.name, area: act.area }]
				: [];
		}),
		done: howMuch(course, sets),
		seconds: moment.elapsed,
		startedAt: acts.find((act) => act.do === 'start')?.at ?? null,
		endedAt:
			moment.outcomes.size > 0 ? Math.max(...[...moment.outcomes.values()].map((one) => one.endedAt)) : null
	};
}

function howMuch({ exercises }: Course, sets: readonly RunSet[]): RunLog['done'] {
	const key = ({ block, part, set }: SetPlace) => `${block}.${part}.${set}`;
	const done = new Map(sets.map((set) => [key(set), set.amount]));
	const all = exercises.every(({ block, part, amounts }) =>
		amounts.every((amount, i) => (done.get(key({ block, part, set: i + 1 })) ?? 0) >= amount)
	);
	if (all) return 'all';
	return sets.some(({ amount }) => amount > 0) ? 'part' : 'none';
}

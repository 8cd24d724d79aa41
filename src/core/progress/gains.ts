/** What was better than before. */
import type { Score } from '../run';
import { askedOf } from '../session';
import { taskKey, performancesOf, type DoneDay, type Performance, type SetDone } from './done-day';
import { oneRepMax } from './one-rep-max';

/** Something that was better, with both figures. */
export type Gain = Pick<Performance, 'exercise' | 'perSide' | 'unit' | 'means'> &
	(
		| /** Heavier, with no fewer, or with so many that it took more strength. */ {
				kind: 'load';
				before: SetDone;
				now: SetDone;
		  }
		| /** More in one set, with no less load. */ { kind: 'most'; before: SetDone; now: SetDone }
		| /** More in all, with no less load in any set. */ {
				kind: 'total';
				before: number;
				now: number;
				kg: number | null;
		  }
	);

/** A result against the clock that was better, of the same block. */
export interface ScoreGain {
	block: number;
	before: Score;
	now: Score;
}

/** Seconds are better when fewer; whoever did all of it is before whoever did not. */
const isBetter = (now: Score, before: Score): boolean => {
	if (now.seconds !== null && before.seconds !== null) return now.seconds < before.seconds;
	if (now.seconds !== null || before.seconds !== null) return now.seconds !== null;
	return now.rounds === before.rounds ? now.reps > before.reps : now.rounds > before.rounds;
};

const isStronger = (now: SetDone, before: SetDone): boolean => {
	if (now.kg === null || before.kg === null || now.kg <= before.kg) return false;
	if (now.amount >= before.amount) return true;
	const [then, today] = [oneRepMax(before.kg, before.amount), oneRepMax(now.kg, now.amount)];
	return then !== null && today !== null && today > then;
};

/** What was better in an exercise; null: nothing, or not to be compared. The strongest reason there is. */
export function gainOf(before: Performance, now: Performance): Gain | null {
	const { exercise, perSide, unit, means } = now;
	const one = { exercise, perSide, unit, means };
	// Seconds and metres with a load say nothing of what could be lifted once.
	const loaded = unit === 'reps' ? isStronger(now.top, before.top) : isFurther(now.top, before.top);
	if (loaded) return { ...one, kind: 'load', before: before.top, now: now.top };
	const floor = before.top.kg ?? 0;
	const most = now.sets
		.filter(({ kg }) => (kg ?? 0) >= floor)
		.reduce<SetDone | null>((top, set) => (!top || set.amount > top.amount ? set : top), null);
	if (most && most.amount > before.top.amount) return { ...one, kind: 'most', before: before.top, now: most };
	const lightest = Math.min(...now.sets.map(({ kg }) => kg ?? 0));
	if (lightest >= floor && now.total > before.total)
		return { ...one, kind: 'total', before: before.total, now: now.total, kg: now.top.kg };
	return null;
}

const isFurther = (now: SetDone, before: SetDone): boolean =>
	now.kg !== null && before.kg !== null && now.kg > before.kg && now.amount >= before.amount;

/** What a day is compared with. */
export interface Since {
	day: number;
	at: number;
	test: boolean;
}

export interface Gains {
	/** Against the last time that each exercise was done as the same kind of task. */
	last: (Gain & { since: Since })[];
	/** Against the first test in which it was, where that is not the last time. */
	first: (Gain & { since: Since })[];
	/** Results against the clock, against the last time that the same session was done. */
	scores: (ScoreGain & { since: Since })[];
	/** The same session, all of it, felt easier: by how much of 10. */
	easier: { before: number; now: number; since: Since } | null;
	/** The same session asked for more the last time: its day; null: it did not, or was not there. */
	lighterThan: number | null;
	/** How many exercises were done before, so that there was something to compare. */
	compared: number;
}

const sinceOf = ({ day, at, test }: DoneDay): Since => ({ day, at, test });

/**
 * What was better in a day than before.
 *
 * @param earlier days before it, in any order; later ones are left aside
 */
export function gainsOf(earlier: readonly DoneDay[], now: DoneDay): Gains {
	const before = earlier.filter(({ at }) => at < now.at).sort((a, b) => b.at - a.at);
	const known = before.map((day) => ({
		day,
		done: new Map(performancesOf(day).map((one) => [taskKey(one), one]))
	}));
	const gains: Gains = { last: [], first: [], scores: [], easier: null, lighterThan: null, compared: 0 };
	for (const performance of performancesOf(now)) {
		const key = taskKey(performance);
		const last = known.find(({ done }) => done.has(key));
		if (!last) continue;
		gains.compared += 1;
		const put = (to: Gains['last'], { day, done }: (typeof known)[number]) => {
			const then = done.get(key);
			const gain = then && gainOf(then, performance);
			if (gain) to.push({ ...gain, since: sinceOf(day) });
		};
		put(gains.last, last);
		const first = known.findLast(({ day, done }) => day.test && done.has(key));
		if (first && first !== last) put(gains.first, first);
	}
	const same = before.find(({ sessionId }) => sessionId !== null && sessionId === now.sessionId);
	if (!same) return gains;
	const since = sinceOf(same);
	for (const score of now.scores) {
		const then = same.scores.find(({ block, pass }) => block === score.block && pass === score.pass);
		if (then && isBetter(score, then))
			gains.scores.push({ block: score.block, before: then, now: score, since });
	}
	if (workAsked(now) < workAsked(same)) gains.lighterThan = same.day;
	const { effort } = now;
	if (effort !== null && same.effort !== null && effort < same.effort && isNoLess(same, now))
		gains.easier = { before: same.effort, now: effort, since };
	return gains;
}

/** Repetitions, seconds and metres asked for, all sets together; what warms up left aside. */
const workAsked = ({ asked }: DoneDay): number =>
	asked
		.filter(({ around }) => !around)
		.flatMap((exercise) => Array.from({ length: exercise.sets }, (_, i) => askedOf(exercise, i + 1)))
		.reduce((sum, amount) => sum + amount, 0);

/** Whether no exercise was done less, or lighter, than before. */
function isNoLess(before: DoneDay, now: DoneDay): boolean {
	const done = new Map(performancesOf(now).map((one) => [taskKey(one), one]));
	return performancesOf(before).every((then) => {
		const today = done.get(taskKey(then));
		return today !== undefined && today.total >= then.total && (today.top.kg ?? 0) >= (then.top.kg ?? 0);
	});
}

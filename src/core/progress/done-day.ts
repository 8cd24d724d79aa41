/** What somebody did on a day, exercise by exercise. */
import type { LoggedSet } from '../day';
import { unitsOf, type Score } from '../run';
import { askedOf, loadText, type PrescribedExercise } from '../session';

/** A session as it was done. */
export interface DoneDay {
	day: number;
	/** When. Epoch milliseconds. */
	at: number;
	/** Whether it was a test day. */
	test: boolean;
	/** Done once more, beside the plan. */
	again: boolean;
	sessionId: string | null;
	asked: PrescribedExercise[];
	sets: LoggedSet[];
	scores: Score[];
	/** 0…10; null: not said. */
	effort: number | null;
}

/** One set that was done. */
export interface SetDone {
	amount: number;
	kg: number | null;
}

/** `test`: on a test day; `free`: as much as possible in a time; `set`: so many as were asked for. */
export type Task = 'test' | 'free' | 'set';

/** What was done of one exercise in a day. */
export interface Performance {
	exercise: string;
	unit: 'reps' | 's' | 'm';
	perSide: boolean;
	/** What makes it another thing to do beside the kilograms: how many weights, which band; null: nothing. */
	means: string | null;
	/** What kind of task it was: only the same kinds say which was better. */
	task: Task;
	/** In order; none of them empty. */
	sets: SetDone[];
	/** The heaviest, of those the one with most. */
	top: SetDone;
	/** Of all sets, in the unit. */
	total: number;
}

type Told = Omit<Performance, 'top' | 'total'>;

/** What tells performances apart that can not be compared. */
export const performanceKey = ({
	exercise,
	unit,
	perSide,
	means
}: Pick<Told, 'exercise' | 'unit' | 'perSide' | 'means'>): string =>
	`${exercise}|${unit}|${perSide}|${means ?? ''}`;

/** What tells performances apart of which neither can be called better. */
export const taskKey = (one: Pick<Told, 'exercise' | 'unit' | 'perSide' | 'means' | 'task'>): string =>
	`${performanceKey(one)}|${one.task}`;

/** Whether one set is above another: heavier, or as heavy with more. */
export const isAbove = (one: SetDone, other: SetDone): boolean =>
	(one.kg ?? 0) === (other.kg ?? 0) ? one.amount > other.amount : (one.kg ?? 0) > (other.kg ?? 0);

/**
 * What was done of each exercise, in the order of the session: sets of the same exercise together, wherever they stand; those
 * done in another form under the name of that form. Empty sets are none, and warming up is no performance.
 */
export function performancesOf({
	asked,
	sets,
	test
}: Pick<DoneDay, 'asked' | 'sets' | 'test'>): Performance[] {
	const found = new Map<string, Told>();
	for (const exercise of asked.filter(({ around }) => !around))
		for (const set of sets) {
			if (set.block !== exercise.block || set.part !== exercise.part || !(set.amount > 0)) continue;
			const { weights, resistance, kg } = exercise;
			const means = kg === null ? (resistance ?? null) : weights ? `${weights} ×` : null;
			const one: Told = {
				exercise: set.used ?? exercise.exercise,
				unit: unitsOf(exercise),
				perSide: exercise.perSide,
				// Another form has no load that was asked for.
				means: set.used ? null : means,
				task: test ? 'test' : exercise.free ? 'free' : 'set',
				sets: []
			};
			const key = taskKey(one);
			const known = found.get(key) ?? one;
			known.sets.push({ amount: set.amount, kg: set.kg });
			found.set(key, known);
		}
	return [...found.values()].map((one) => ({
		...one,
		top: one.sets.reduce((top, set) => (isAbove(set, top) ? set : top)),
		total: one.sets.reduce((sum, { amount }) => sum + amount, 0)
	}));
}

/** One exercise of a session: what was asked of each set, and what was done of it. */
export interface AskedAndDone {
	exercise: PrescribedExercise;
	/** With what it was to be done; null: the body alone. */
	load: string | null;
	sets: { asked: number; done: LoggedSet | null }[];
}

export const askedAndDone = ({ asked, sets }: Pick<DoneDay, 'asked' | 'sets'>): AskedAndDone[] =>
	asked.map((exercise) => ({
		exercise,
		load: loadText(exercise),
		sets: Array.from({ length: exercise.sets }, (_, i) => ({
			asked: askedOf(exercise, i + 1),
			done:
				sets.find(
					({ block, part, set }) => block === exercise.block && part === exercise.part && set === i + 1
				) ?? null
		}))
	}));

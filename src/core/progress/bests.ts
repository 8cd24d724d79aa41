/** The best that somebody did in each exercise. */
import {
	isAbove,
	performanceKey,
	performancesOf,
	type DoneDay,
	type Performance,
	type SetDone
} from './done-day';
import { oneRepMax } from './one-rep-max';

export interface SetOfDay extends SetDone {
	day: number;
	at: number;
}

interface Found extends Pick<Performance, 'exercise' | 'unit' | 'perSide' | 'means'> {
	/** The heaviest, of those the one with most; the earliest of equals. */
	top: SetOfDay;
	/** The one with most, whatever its load. */
	most: SetOfDay;
	/** The best set of the first day on which it was done. */
	first: SetOfDay;
	/** What could be lifted once, estimated from the best of all sets of up to 12; kilograms. */
	once: number | null;
	/** On how many days it was done. */
	days: number;
}

export interface Best extends Omit<Found, 'most'> {
	/** The one with most, where that is a lighter one; null: it is `top`. */
	most: SetOfDay | null;
}

/** Bests by exercise, those done on most days first; among equals by name. */
export function bestsOf(done: readonly DoneDay[]): Best[] {
	const bests = new Map<string, Found>();
	for (const day of [...done].sort((a, b) => a.at - b.at))
		for (const performance of performancesOf(day)) {
			const key = performanceKey(performance);
			const { exercise, unit, perSide, means, sets, top } = performance;
			const here = (set: SetDone): SetOfDay => ({ ...set, day: day.day, at: day.at });
			const known: Found = bests.get(key) ?? {
				...{ exercise, unit, perSide, means },
				top: here(top),
				most: here(top),
				first: here(top),
				once: null,
				days: 0
			};
			known.days += 1;
			for (const set of sets) {
				if (isAbove(set, known.top)) known.top = here(set);
				if (set.amount > known.most.amount) known.most = here(set);
				const once = unit === 'reps' && set.kg !== null ? oneRepMax(set.kg, set.amount) : null;
				if (once !== null && once > (known.once ?? 0)) known.once = once;
			}
			bests.set(key, known);
		}
	return [...bests.values()]
		.map((best) => ({ ...best, most: best.most.amount > best.top.amount ? best.most : null }))
		.sort((a, b) => b.days - a.days || a.exercise.localeCompare(b.exercise));
}

import { askedOf, type PrescribedExercise } from '../session';

/** What was done of one set: in the unit of its target; per side when the exercise is. */
export interface LoggedSet {
	block: number;
	part: number;
	/** From 1. */
	set: number;
	amount: number;
	kg: number | null;
	/** Each side by itself, where they were not alike. */
	left?: number | null;
	right?: number | null;
	/** 0…10, where it was said. */
	effort?: number | null;
	/** The form of the exercise that was done in its place. */
	used?: string | null;
}

/** A log with what was done later in the day added to it, set by set: the parts of a day are summed. */
export function addedTo(before: readonly LoggedSet[], more: readonly LoggedSet[]): LoggedSet[] {
	const key = ({ block, part, set }: LoggedSet) => `${block}.${part}.${set}`;
	const later = new Map(more.map((set) => [key(set), set]));
	const both = before.map((set): LoggedSet => {
		const added = later.get(key(set));
		later.delete(key(set));
		if (!added || added.amount === 0) return set;
		return set.amount === 0 ? added : { ...set, ...added, amount: set.amount + added.amount };
	});
	return [...both, ...later.values()];
}

/**
 * The share of a day's prescribed work that was done, 0…1.
 *
 * Each exercise is capped at its own prescription, so that extra curls do not pay for missed squats, and
 * weighs as much as the sets that it was prescribed. Load does not count: lighter work is still work.
 *
 * @returns 0 when nothing was prescribed
 */
export function creditOf(prescription: PrescribedExercise[], log: LoggedSet[]): number {
	const done = new Map<string, number>();
	for (const set of log) {
		const key = `${set.block}.${set.part}`;
		done.set(key, (done.get(key) ?? 0) + Math.max(0, set.amount));
	}
	let credit = 0;
	let weight = 0;
	for (const exercise of prescription) {
		const asked = Array.from({ length: exercise.sets }, (_, i) => askedOf(exercise, i + 1)).reduce(
			(a, b) => a + b,
			0
		);
		if (asked <= 0) continue;
		credit += exercise.sets * Math.min(1, (done.get(`${exercise.block}.${exercise.part}`) ?? 0) / asked);
		weight += exercise.sets;
	}
	return weight > 0 ? credit / weight : 0;
}

/** The log of somebody who did all that was asked. */
export function fullLog(prescription: readonly PrescribedExercise[]): LoggedSet[] {
	return prescription.flatMap((exercise) =>
		Array.from({ length: exercise.sets }, (_, i) => ({
			block: exercise.block,
			part: exercise.part,
			set: i + 1,
			amount: askedOf(exercise, i + 1),
			kg: exercise.kg
		}))
	);
}

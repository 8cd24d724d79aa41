/** Two times of the same, side by side. */
import { gainOf } from './gains';
import { taskKey, performancesOf, type DoneDay, type Performance } from './done-day';

export interface Compared extends Pick<Performance, 'exercise' | 'unit' | 'perSide' | 'means'> {
	before: Performance | null;
	now: Performance | null;
	/** Null: in one of the two only. */
	change: 'better' | 'less' | 'same' | null;
}

/** Exercises of both days, in the order of the later one; what only the earlier one has follows. */
export function comparedDays(before: DoneDay, now: DoneDay): Compared[] {
	const then = new Map(performancesOf(before).map((one) => [taskKey(one), one]));
	const today = new Map(performancesOf(now).map((one) => [taskKey(one), one]));
	return [...new Set([...today.keys(), ...then.keys()])].flatMap((key) => {
		const [a, b] = [then.get(key) ?? null, today.get(key) ?? null];
		const one = b ?? a;
		if (!one) return [];
		const { exercise, unit, perSide, means } = one;
		return [{ exercise, unit, perSide, means, before: a, now: b, change: a && b && changeOf(a, b) }];
	});
}

function changeOf(before: Performance, now: Performance): Compared['change'] {
	if (gainOf(before, now)) return 'better';
	return gainOf(now, before) ? 'less' : 'same';
}

/** How alike the two sides of somebody are. */
import { performanceKey, type DoneDay } from './done-day';
import { unitsOf } from '../run';

/** What was done on each side of one exercise, all its sets together, in its unit. */
export interface SidesDone {
	exercise: string;
	left: number;
	right: number;
}

/**
 * Exercises that were done on each side by itself, and how much of them on either. Where nothing else was told, both did
 * what the set says.
 */
export function sidesOf({ asked, sets }: Pick<DoneDay, 'asked' | 'sets'>): SidesDone[] {
	const found = new Map<string, SidesDone>();
	for (const exercise of asked.filter(({ around, perSide }) => perSide && !around))
		for (const set of sets) {
			if (set.block !== exercise.block || set.part !== exercise.part || !(set.amount > 0)) continue;
			const name = set.used ?? exercise.exercise;
			const key = performanceKey({ exercise: name, unit: unitsOf(exercise), perSide: true, means: null });
			const known = found.get(key) ?? { exercise: name, left: 0, right: 0 };
			known.left += set.left ?? set.amount;
			known.right += set.right ?? set.amount;
			found.set(key, known);
		}
	return [...found.values()];
}

/**
 * The share by which the weaker side is behind from which on it is shown. Tests of one leg against the other take 90 % of the
 * other side for enough, and under 85 % for abnormal (Noyes, Barber and Mangine 1991, Am J Sports Med 19:513; from memory).
 */
export const UNEVEN_FROM = 0.1;

/** Which side is behind, and by which share of the other one; null: they are alike, or as good as. */
export function weakerOf({ left, right }: SidesDone): { side: 'left' | 'right'; behind: number } | null {
	const most = Math.max(left, right);
	const behind = most > 0 ? 1 - Math.min(left, right) / most : 0;
	// 18 against 20 is 0.1 less, whatever the last binary digit says of it.
	return behind + 1e-9 < UNEVEN_FROM ? null : { side: left < right ? 'left' : 'right', behind };
}

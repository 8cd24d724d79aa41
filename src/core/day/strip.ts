import type { DayEntry } from './day-state';

/**
 * What an enrolment's days add up to, kept beside it so that the roll reads one row a person: by day, what was
 * received. States are not kept, since they change as time passes; `dayState` works them out.
 */
export type Strip = Record<string, StripEntry>;

/** check-in or excuse, credit 0…1 before policy, received at (epoch ms), pain reported (1) or not (0). */
export type StripEntry = [kind: 'c' | 'e', credit: number, at: number, pain: 0 | 1];

export const packEntry = (entry: DayEntry): StripEntry => [
	entry.kind === 'check-in' ? 'c' : 'e',
	entry.credit,
	entry.at,
	entry.pain ? 1 : 0
];

/** The entry of a day, null when nothing came in. */
export function entryOf(strip: Strip, day: number): DayEntry | null {
	const packed = strip[day];
	if (!packed) return null;
	return {
		kind: packed[0] === 'c' ? 'check-in' : 'excuse',
		credit: packed[1],
		at: packed[2],
		pain: packed[3] === 1
	};
}

import type { DayEntry } from './day-state';

/**
 * What an enrolment's days add up to, kept beside it so that the roll reads one row a person: by day, what was
 * received. States are not kept, since they change as time passes; `dayState` works them out.
 */
export type Strip = Record<string, StripEntry>;

const LETTERS = { 'check-in': 'c', excuse: 'e', pause: 'p', cancelled: 'x' } as const;
const KINDS = { c: 'check-in', e: 'excuse', p: 'pause', x: 'cancelled' } as const;

/** kind, credit 0…1 before policy, received at (epoch ms), pain reported (1) or not (0). */
export type StripEntry = [kind: keyof typeof KINDS, credit: number, at: number, pain: 0 | 1];

export const packEntry = (entry: DayEntry): StripEntry => [
	LETTERS[entry.kind],
	entry.credit,
	entry.at,
	entry.pain ? 1 : 0
];

/** The entry of a day, null when there is none. */
export function entryOf(strip: Strip, day: number): DayEntry | null {
	const packed = strip[day];
	if (!packed) return null;
	return { kind: KINDS[packed[0]], credit: packed[1], at: packed[2], pain: packed[3] === 1 };
}

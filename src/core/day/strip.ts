import type { DayEntry, Standing } from './day-state';

/**
 * What an enrolment's days add up to, kept beside it so that the roll reads one row a person: by day, what was
 * received. States are not kept, since they change as time passes; `dayState` works them out.
 */
export type Strip = Record<string, StripEntry>;

const LETTERS = { 'check-in': 'c', excuse: 'e', pause: 'p', cancelled: 'x' } as const;
const KINDS = { c: 'check-in', e: 'excuse', p: 'pause', x: 'cancelled' } as const;

const LATENESS = { l: 'late', a: 'after close' } as const satisfies Record<string, Standing>;

/** kind, credit 0…1 before policy, received at (epoch ms), pain reported (1) or not (0); of a result that was not on time, how late. */
export type StripEntry = [
	kind: keyof typeof KINDS,
	credit: number,
	at: number,
	pain: 0 | 1,
	late?: keyof typeof LATENESS
];

export function packEntry({ kind, credit, at, pain, standing }: DayEntry): StripEntry {
	const entry: StripEntry = [LETTERS[kind], credit, at, pain ? 1 : 0];
	if (standing === 'late') entry.push('l');
	if (standing === 'after close') entry.push('a');
	return entry;
}

/** The entry of a day, null when there is none. */
export function entryOf(strip: Strip, day: number): DayEntry | null {
	const packed = strip[day];
	if (!packed) return null;
	const [letter, credit, at, pain, late] = packed;
	const kind = KINDS[letter];
	const standing = kind === 'check-in' ? (late ? LATENESS[late] : 'on time') : null;
	return { kind, credit, at, pain: pain === 1, standing };
}

/** When check-ins came in, of all days; epoch milliseconds. */
export const checkinTimes = (strip: Strip): number[] =>
	Object.values(strip).flatMap(([letter, , at]) => (KINDS[letter] === 'check-in' ? at : []));

import type { ExtraEntry } from './extras';
import { packEntry, type DayEntry, type Standing, type Strip } from '../day';

/** Everything that was ever written down about one enrolment's days. */
export interface AttendanceRecords {
	/** What stands for a day: when something first came in for it, and when this did. */
	checkins: readonly {
		day: number;
		credit: number;
		first: number;
		at: number;
		pain: boolean;
		standing: Standing;
	}[];
	excuses: readonly { day: number; at: number }[];
	/** From a day to another, both included; null: until it is ended. */
	pauses: readonly { fromDay: number; toDay: number | null; at: number }[];
	/** Days that nobody does. */
	cancelled: readonly { day: number; at: number }[];
	/** Taken from the shelf. */
	extras: readonly { at: number; credit: number; counts: boolean }[];
	/** Length of the challenge, for pauses without an end. */
	days: number;
}

/** What an enrolment's days add up to. */
export interface AttendanceSummary {
	strip: Strip;
	extras: ExtraEntry[];
	/** When something last came in from them; null: never. Epoch milliseconds. */
	lastSeen: number | null;
}

/**
 * Folds what was written down about a person's days into one entry a day. What somebody did stands above everything;
 * a day that is cancelled for all above what excuses one, an excuse of a day above a pause around it. The order in
 * which things were written makes no difference, so that rebuilding and going along come to the same.
 */
export function foldAttendance(records: AttendanceRecords): AttendanceSummary {
	const strip: Strip = {};
	const put = (day: number, entry: Pick<DayEntry, 'kind' | 'at'> & Partial<DayEntry>) => {
		strip[day] = packEntry({ credit: 0, pain: false, standing: null, ...entry });
	};
	const pauses = [...records.pauses].sort((a, b) => b.at - a.at);
	for (const { fromDay, toDay, at } of pauses)
		for (let day = fromDay; day <= Math.min(toDay ?? records.days, records.days); day++)
			put(day, { kind: 'pause', at });
	for (const { day, at } of records.excuses) put(day, { kind: 'excuse', at });
	for (const { day, at } of records.cancelled) put(day, { kind: 'cancelled', at });
	for (const { day, credit, first, pain, standing } of records.checkins)
		put(day, { kind: 'check-in', credit, at: first, pain, standing });
	const extras = records.extras
		.map(({ at, credit, counts }): ExtraEntry => [at, credit, counts ? 1 : 0])
		.sort(([a, x], [b, y]) => a - b || x - y);
	const seen = [...records.checkins, ...records.extras].map(({ at }) => at);
	return { strip, extras, lastSeen: seen.length > 0 ? Math.max(...seen) : null };
}

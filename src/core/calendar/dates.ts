import { DAY_MS } from './units';
/** Calendar dates as `YYYY-MM-DD`, without time or zone. */

/** Dates that are kept, each way: a group asks for the same few hundred in every zone. */
const MOST_KEPT = 4000;
const msOf = new Map<string, number>();
const dateAt = new Map<number, string>();

function keep<K, V>(kept: Map<K, V>, key: K, value: V): V {
	if (kept.size >= MOST_KEPT) kept.clear();
	kept.set(key, value);
	return value;
}

/** Milliseconds from 1 January 1970 to the midnight that begins a date, as if it were UTC; null where there is no such date. */
export function utcOf(date: string): number | null {
	const known = msOf.get(date);
	if (known !== undefined) return known;
	if (!/^\d{4}-\d{2}-\d{2}$/.test(date)) return null;
	const ms = Date.parse(`${date}T00:00:00Z`);
	// 30 February does not come back as it was.
	if (Number.isNaN(ms) || new Date(ms).toISOString().slice(0, 10) !== date) return null;
	return keep(msOf, date, ms);
}

/** The date of a midnight. */
function dateOf(ms: number): string {
	return dateAt.get(ms) ?? keep(dateAt, ms, new Date(ms).toISOString().slice(0, 10));
}

/** @throws RangeError for a date that does not exist */
function plain(date: string): number {
	const ms = utcOf(date);
	if (ms === null) throw new RangeError(`date: “${date}” is no day of the calendar; YYYY-MM-DD is expected`);
	return ms;
}

/** Whether a text is a date that exists: 30 February does not. */
export const isDate = (text: string): boolean => utcOf(text) !== null;

/** The date `days` later (earlier when negative). @throws RangeError for parts of days */
export function addDays(date: string, days: number): string {
	if (!Number.isInteger(days)) throw new RangeError(`days: ${days} is no whole number`);
	return dateOf(plain(date) + days * DAY_MS);
}

/** Whole days from one date to another; negative when `to` lies before. */
export const daysBetween = (from: string, to: string): number => (plain(to) - plain(from)) / DAY_MS;

/** 1 Monday … 7 Sunday (ISO 8601); 1 January 1970 was a Thursday. */
export const weekdayOf = (date: string): number => ((((plain(date) / DAY_MS + 3) % 7) + 7) % 7) + 1;

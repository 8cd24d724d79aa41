/** Calendar dates as `YYYY-MM-DD`, without time or zone. */
import { Temporal } from 'temporal-polyfill';

function plain(date: string): Temporal.PlainDate {
	if (!isDate(date))
		throw new RangeError(`date: “${date}” is no day of the calendar; YYYY-MM-DD is expected`);
	return Temporal.PlainDate.from(date);
}

/** Whether a text is a date that exists: 30 February does not. */
export function isDate(text: string): boolean {
	if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
	try {
		return Temporal.PlainDate.from(text, { overflow: 'reject' }).toString() === text;
	} catch {
		return false;
	}
}

/** The date `days` later (earlier when negative). */
export const addDays = (date: string, days: number): string => plain(date).add({ days }).toString();

/** Whole days from one date to another; negative when `to` lies before. */
export const daysBetween = (from: string, to: string): number => plain(from).until(plain(to)).days;

/** 1 Monday … 7 Sunday (ISO 8601). */
export const weekdayOf = (date: string): number => plain(date).dayOfWeek;

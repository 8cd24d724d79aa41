/** Calendar dates as `YYYY-MM-DD`, without time or zone. */

const DAY_MS = 86_400_000;

/** Whether a text is a date that exists: 30 February does not. */
export function isDate(text: string): boolean {
	if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
	const ms = Date.parse(`${text}T00:00:00Z`);
	return !Number.isNaN(ms) && new Date(ms).toISOString().slice(0, 10) === text;
}

function msOf(date: string): number {
	if (!isDate(date))
		throw new RangeError(`date: “${date}” is no day of the calendar; YYYY-MM-DD is expected`);
	return Date.parse(`${date}T00:00:00Z`);
}

/** The date `days` later (earlier when negative). */
export function addDays(date: string, days: number): string {
	return new Date(msOf(date) + days * DAY_MS).toISOString().slice(0, 10);
}

/** Whole days from one date to another; negative when `to` lies before. */
export function daysBetween(from: string, to: string): number {
	return Math.round((msOf(to) - msOf(from)) / DAY_MS);
}

/** 1 Monday … 7 Sunday (ISO 8601). */
export function weekdayOf(date: string): number {
	return ((new Date(msOf(date)).getUTCDay() + 6) % 7) + 1;
}

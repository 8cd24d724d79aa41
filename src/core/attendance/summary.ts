import { DAY_MS } from '../calendar';
import type { DueWindow } from '../calendar';
import type { PersonDay } from '../day';
import { checkinTimes, entryOf, type DayResult, type Strip } from '../day';
import type { HouseRules } from '../practice';
import { adherence, isDue, madeUp, type Adherence } from './adherence';
import { extrasOf, type ExtraEntry, type Extras } from './extras';

export interface Attendance {
	/** With what sessions from the shelf make up for. */
	adherence: Adherence;
	extras: Extras;
	/** What was due, and done of it, in the last 7 days and in the 7 before. */
	weeks: { recent: Adherence; before: Adherence };
	/** Adherence over the last 7 days less that over the 7 before, in points; null without both. */
	trend: number | null;
	/** Due days without a check-in or a session from the shelf, counted back from the last due one. */
	silent: number;
	/** When something had last come in from them; null: never. Epoch milliseconds. */
	lastSeen: number | null;
}

const WEEK = 7 * DAY_MS;

/** The last 7 days and the 7 before, as seen from `now`. */
function weeksTo(days: readonly (DayResult & { window: DueWindow })[], now: number): Attendance['weeks'] {
	const within = (from: number, to: number) =>
		adherence(days.filter(({ window }) => window.due > from && window.due <= to));
	// A day done before it is due belongs to the week that it falls into.
	return { recent: within(now - WEEK, now + DAY_MS), before: within(now - 2 * WEEK, now - WEEK) };
}

function silentDays(days: readonly PersonDay[], strip: Strip, lastExtra: number | null, now: number): number {
	let silent = 0;
	for (const { day, state, window } of [...days].reverse()) {
		if (!isDue(state)) continue;
		// Who took a session from the shelf since has not been silent.
		if (lastExtra !== null && window.opens <= lastExtra) break;
		const entry = entryOf(strip, day);
		if (entry?.kind === 'check-in' && entry.at <= now) break;
		silent++;
	}
	return silent;
}

/** The last that had come in, of a day or from the shelf. */
const lastOf = (strip: Strip, lastExtra: number | null, now: number): number | null =>
	checkinTimes(strip).reduce<number | null>(
		(last, at) => (at <= now && at > (last ?? 0) ? at : last),
		lastExtra
	);

/** What a person's days add up to at an instant. */
export function attendanceOf(
	days: readonly PersonDay[],
	{ strip, extras: entries }: { strip: Strip; extras: readonly ExtraEntry[] },
	now: number
): Attendance {
	const extras = extrasOf(entries, now);
	const weeks = weeksTo(days, now);
	const [recent, before] = [weeks.recent.rate, weeks.before.rate];
	return {
		adherence: madeUp(adherence(days), extras.credit),
		extras,
		weeks,
		trend: recent === null || before === null ? null : (recent - before) * 100,
		silent: silentDays(days, strip, extras.last, now),
		lastSeen: lastOf(strip, extras.last, now)
	};
}

/** No check-in for as many due days as the house calls silent. */
export const isSilent = ({ silent }: Pick<Attendance, 'silent'>, { silentFrom }: HouseRules): boolean =>
	silent >= silentFrom;

/** The last 7 days at least as many points under the 7 before as the house calls fading. */
export const isFading = ({ trend }: Pick<Attendance, 'trend'>, { fadingFrom }: HouseRules): boolean =>
	trend !== null && trend <= -fadingFrom;

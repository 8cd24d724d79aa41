import type { DueWindow } from '../calendar';
import type { PersonDay } from '../day';
import { entryOf, type DayResult, type Strip } from '../day';
import type { HouseRules } from '../practice';
import { adherence, isDue, madeUp, type Adherence } from './adherence';
import { extrasOf, type ExtraEntry, type Extras } from './extras';

export interface Attendance {
	/** With what sessions from the shelf make up for. */
	adherence: Adherence;
	extras: Extras;
	/** Adherence over the last 7 days less that over the 7 before, in points; null without both. */
	trend: number | null;
	/** Due days without a check-in or a session from the shelf, counted back from the last due one. */
	silent: number;
}

const DAY = 86_400_000;
const WEEK = 7 * DAY;

/** The share done in the last 7 days against that of the 7 before, as seen from `now`. */
function trendOf(days: readonly (DayResult & { window: DueWindow })[], now: number): number | null {
	const within = (from: number, to: number) =>
		adherence(days.filter(({ window }) => window.due > from && window.due <= to)).rate;
	// A day done before it is due belongs to the week that it falls into.
	const recent = within(now - WEEK, now + DAY);
	const before = within(now - 2 * WEEK, now - WEEK);
	return recent === null || before === null ? null : (recent - before) * 100;
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

/** What a person's days add up to at an instant. */
export function attendanceOf(
	days: readonly PersonDay[],
	{ strip, extras: entries }: { strip: Strip; extras: readonly ExtraEntry[] },
	now: number
): Attendance {
	const extras = extrasOf(entries, now);
	return {
		adherence: madeUp(adherence(days), extras.credit),
		extras,
		trend: trendOf(days, now),
		silent: silentDays(days, strip, extras.last, now)
	};
}

/** No check-in for as many due days as the house calls silent. */
export const isSilent = ({ silent }: Pick<Attendance, 'silent'>, { silentFrom }: HouseRules): boolean =>
	silent >= silentFrom;

/** The last 7 days at least as many points under the 7 before as the house calls fading. */
export const isFading = ({ trend }: Pick<Attendance, 'trend'>, { fadingFrom }: HouseRules): boolean =>
	trend !== null && trend <= -fadingFrom;

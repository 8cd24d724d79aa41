import { dayState, type CreditPolicy, type DayResult } from '../day';
import { type DayKind, type DueWindow } from '../calendar';
import { adherence, isDue, type Adherence } from './adherence';
import { entryOf, type Strip } from '../day/strip';

export interface PersonDays {
	/** One result a day of the challenge, day 1 first. */
	days: DayResult[];
	adherence: Adherence;
	/** Adherence over the last 7 days less that over the 7 before, in points; null without both. */
	trend: number | null;
	/** Due days without any sign of life, counted back from the last due one. */
	silent: number;
}

/** What of a day of the plan decides its states. */
export interface PlannedKind {
	kind: DayKind;
	/** Why nobody does it; null or left out: they do. */
	cancelled?: string | null;
}

export interface PersonFacts {
	strip: Strip;
	/** First day that is this person's; a late joiner is excused from those before. */
	fromDay: number;
	cancelled?: boolean;
}

/** The days in the last 7 and the 7 before, as seen from `now`. */
function trendOf(days: DayResult[], windows: DueWindow[], now: number): number | null {
	const WEEK = 7 * 86_400_000;
	const within = (from: number, to: number) =>
		adherence(
			days.filter((_, i) => (windows[i]?.due ?? Infinity) > from && (windows[i]?.due ?? Infinity) <= to)
		).rate;
	// A day done before it is due belongs to the week that it falls into.
	const recent = within(now - WEEK, now + WEEK / 7);
	const before = within(now - 2 * WEEK, now - WEEK);
	return recent === null || before === null ? null : (recent - before) * 100;
}

function silentDays(days: DayResult[], strip: Strip, now: number): number {
	let silent = 0;
	for (let i = days.length - 1; i >= 0; i--) {
		const day = days[i];
		if (!day || !isDue(day.state)) continue;
		const entry = entryOf(strip, i + 1);
		if (entry && entry.at <= now) break;
		silent++;
	}
	return silent;
}

/** How one person stands at an instant: every day's state, and what they add up to. */
export function personDays(
	plan: readonly PlannedKind[],
	windows: DueWindow[],
	person: PersonFacts,
	policy: CreditPolicy,
	now: number
): PersonDays {
	const days = plan.map(({ kind, cancelled }, i) =>
		dayState(kind, windows[i] as DueWindow, entryOf(person.strip, i + 1), policy, now, {
			cancelled: (person.cancelled ?? false) || (cancelled ?? null) !== null,
			notYours: i + 1 < person.fromDay
		})
	);
	return {
		days,
		adherence: adherence(days),
		trend: trendOf(days, windows, now),
		silent: silentDays(days, person.strip, now)
	};
}

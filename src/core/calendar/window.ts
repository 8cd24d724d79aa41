import { addDays } from './dates';
import { instantOf } from './zone';

/** How a challenge lets its days out. */
export interface ReleasePolicy {
	/** Date of day 1, `YYYY-MM-DD`. */
	startsOn: string;
	/** Null: each person's own zone. Otherwise the one zone whose clock rules for all. */
	zone: string | null;
	/** Minutes after midnight at which a day opens. */
	opensAt: number;
	/** Hours after the end of a day in which a result is still taken, marked late. */
	lateHours: number;
}

/** A zone in which somebody was before, until they said that they had moved. */
export interface EarlierZone {
	zone: string;
	/** Epoch milliseconds. */
	until: number;
}

/** What of an enrolment moves its days. */
export interface ReleaseEnrolment {
	zone: string;
	/** Days by which this person's dates lie after the group's: a late joiner on an own clock, a pause. */
	shiftDays: number;
}

/** Epoch milliseconds: a day may be done from `opens`, on time before `due`, late before `closes`. */
export interface DueWindow {
	opens: number;
	due: number;
	closes: number;
}

const HOUR_MS = 3_600_000;

/** The date on which a person does a day of the challenge. */
export function dateOfDay(day: number, startsOn: string, shiftDays = 0): string {
	return addDays(startsOn, day - 1 + shiftDays);
}

/**
 * When a day of the challenge opens, is due and closes for one person.
 *
 * A day is due at the midnight that ends its date; should the release hour fall into an hour that the clocks
 * skip, it opens with the first minute after the gap, and of an hour that comes twice it is the first.
 *
 * @param day 1 … N
 * @throws RangeError for a zone or date that does not exist
 */
export function dueWindow(day: number, enrolment: ReleaseEnrolment, policy: ReleasePolicy): DueWindow {
	const zone = policy.zone ?? enrolment.zone;
	const date = dateOfDay(day, policy.startsOn, enrolment.shiftDays);
	const due = instantOf(addDays(date, 1), 0, zone);
	// A date that a zone skipped whole (Apia, 30 December 2011) has no hours of its own: it opens as the next
	// date begins and is due when that one ends.
	const opens = instantOf(date, policy.opensAt, zone);
	const end = due > opens ? due : instantOf(addDays(date, 2), 0, zone);
	return { opens, due: end, closes: end + policy.lateHours * HOUR_MS };
}

/** Days that somebody who joined late may still do: those before a day, until an instant. */
export interface CatchUp {
	/** The day on which they joined. */
	before: number;
	/** Epoch milliseconds. */
	until: number;
}

/** The window of a day for somebody who joined late: a day before that is due no sooner than their time to catch up ends. */
export function windowToCatchUp(window: DueWindow, day: number, { before, until }: CatchUp): DueWindow {
	if (day >= before) return window;
	return { ...window, due: Math.max(window.due, until), closes: Math.max(window.closes, until) };
}

/**
 * The window of a day for somebody who has moved. A move counts from when it is said: a day that had opened by then keeps
 * the hours of the zone in which it opened, so that no day is closed, opened again or valued anew by it.
 *
 * @param windows of the day in each zone they were in, the one of now last
 * @param until when they left each of the earlier ones, epoch milliseconds, the first first
 */
export function windowOfMoved(windows: readonly DueWindow[], until: readonly number[]): DueWindow {
	const at = until.findIndex((left, i) => (windows[i]?.opens ?? Infinity) <= left);
	const window = windows.at(at);
	if (!window) throw new RangeError(`windows: ${windows.length} for ${until.length} moves`);
	return window;
}

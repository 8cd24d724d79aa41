/** Days off that a person's latest messages seem to tell of, for the coach to confirm. */
import type { Message } from '$contracts/message';
import { dateIn, daysBetween, DAY_MS } from '$core/calendar';
import type { DayState, PersonDay } from '$core/day';
import { absenceIn, type Absence } from '$core/triage';
import type { Challenge } from '../../records/challenge';
import type { Enrolment } from '../../records/enrolments';

/** Milliseconds after which a message is no longer read for days off. */
const READ_FOR = 14 * DAY_MS;
/** Days that an excuse changes something about. */
const EXCUSABLE = new Set<DayState>(['open', 'ahead', 'missed']);

export interface ProposedExcuse {
	reason: Absence['reason'];
	/** The sentence or so that it was read from. */
	said: string;
	/** Day numbers, both included. */
	from: number;
	to: number;
}

/**
 * @param thread messages of both sides, the oldest first
 * @param days the person's days as they are now, day 1 first
 * @returns null if no recent message mentions days off, or those days need no excuse
 */
export function excuseProposed(
	thread: readonly Message[],
	{ zone, shiftDays, fromDay }: Pick<Enrolment, 'zone' | 'shiftDays' | 'fromDay'>,
	days: readonly PersonDay[],
	{ startsOn }: Pick<Challenge, 'startsOn'>,
	now: number
): ProposedExcuse | null {
	for (const { byCoach, at, text } of [...thread].reverse()) {
		if (at < now - READ_FOR) return null;
		const absence = byCoach ? null : absenceIn(text, dateIn(zone, at));
		if (!absence) continue;
		const dayOn = (date: string) => daysBetween(startsOn, date) + 1 - shiftDays;
		const from = Math.max(dayOn(absence.from), fromDay, 1);
		const to = Math.min(dayOn(absence.to), days.length);
		const open = days.slice(from - 1, Math.max(to, 0)).some(({ state }) => EXCUSABLE.has(state));
		// The newest message that mentions days off decides.
		return open ? { reason: absence.reason, said: text.slice(0, 160), from, to } : null;
	}
	return null;
}

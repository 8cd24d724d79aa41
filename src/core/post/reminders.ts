import { dateIn, instantOf, type DueWindow } from '../calendar';
import type { PersonDay } from '../day';
import { afterQuiet, type QuietHours } from './quiet';

const HOUR = 3_600_000;
/** Hours after which a reminder is stale and is no longer sent. Common practice, no source. */
const STALE_HOURS = 4;
/** Days that open later than this are not looked at yet. */
const AHEAD_HOURS = 48;
/** Hours before a person is reminded of a message: unread, and read but unanswered. Common practice, no source. */
const UNREAD_HOURS = 1;
const UNANSWERED_HOURS = 24;

/** A reminder for one person. */
export interface Reminder {
	kind: 'session' | 'message';
	/** The day number, or the id of the message with its state. One reminder is sent for each value. */
	about: string;
	/** Epoch milliseconds from which it may be sent. */
	at: number;
	/** Epoch milliseconds after which it is stale. */
	until: number;
}

/** Zone, training hour and quiet hours of a person. */
export interface ReminderHours {
	/** IANA name. */
	zone: string;
	/** Minutes after midnight at which they train, or null if they train as soon as a day opens. */
	trainsAt: number | null;
	quiet: QuietHours;
}

/**
 * Time at which a person is reminded of a day: their own hour on the date on which it opens, not before it opens, and
 * outside quiet hours. An hour late in the evening, in quiet hours, is reminded of an hour before those begin.
 *
 * @returns epoch milliseconds
 */
export function sessionReminderAt({ opens }: DueWindow, { zone, trainsAt, quiet }: ReminderHours): number {
	const date = dateIn(zone, opens);
	const hour = Math.max(opens, trainsAt === null ? opens : instantOf(date, trainsAt, zone));
	const at = afterQuiet(hour, zone, quiet);
	if (dateIn(zone, at) === date) return at;
	return afterQuiet(Math.max(opens, instantOf(date, quiet.from, zone) - HOUR), zone, quiet);
}

/**
 * Reminders of sessions of the next two days that are due now or later, the earliest first. Days that are done, excused, paused,
 * cancelled, held or without a session have none.
 *
 * @param hasSession whether a day has a session
 * @param now epoch milliseconds
 */
export function sessionReminders(
	days: readonly PersonDay[],
	hasSession: (day: number) => boolean,
	hours: ReminderHours,
	now: number
): Reminder[] {
	const reminders: Reminder[] = [];
	for (const { day, state, theirs, window } of days) {
		if (!theirs || window.due <= now || window.opens > now + AHEAD_HOURS * HOUR || !hasSession(day)) continue;
		if (state !== 'open' && state !== 'ahead') continue;
		const at = sessionReminderAt(window, hours);
		const until = Math.min(at + STALE_HOURS * HOUR, window.due);
		if (until > now) reminders.push({ kind: 'session', about: String(day), at, until });
	}
	return reminders.sort((a, b) => a.at - b.at);
}

/** The newest message of a coach to one person. */
export interface MessageFacts {
	id: string;
	/** Epoch milliseconds. */
	at: number;
	/** Epoch milliseconds, or null if it is unread. */
	readAt: number | null;
	/** Whether the person has written since. */
	answered: boolean;
	/** Whether it was written to this person alone. A message to several people asks for no answer. */
	isPersonal: boolean;
}

/** The reminder of a message that is unread for an hour, or personal and unanswered for a day; null if it needs none. */
export function messageReminder(
	{ id, at, readAt, answered, isPersonal }: MessageFacts,
	{ zone, quiet }: Pick<ReminderHours, 'zone' | 'quiet'>
): Reminder | null {
	if (answered || (readAt !== null && !isPersonal)) return null;
	const hours = readAt === null ? UNREAD_HOURS : UNANSWERED_HOURS;
	const from = afterQuiet(at + hours * HOUR, zone, quiet);
	return {
		kind: 'message',
		about: `${id} ${readAt === null ? 'unread' : 'unanswered'}`,
		at: from,
		until: from + STALE_HOURS * HOUR
	};
}

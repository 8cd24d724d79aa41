/** What several reasons read from a person's days and check-ins. */
import { DAY_MS } from '../calendar';
import { isDue, isSilent } from '../attendance';
import { entryOf, type PersonDay } from '../day';
import { holdAt } from '../health';
import type { HouseRules } from '../practice';
import type { CheckinSeen, TriageFacts } from './facts';

export const HOUR = 3_600_000;

/** Days for which praise and a first miss are news. Common practice, no source. */
export const NEWS_DAYS = 3;
/** Check-ins that count as lately, and how many before them they are compared with. Common practice, no source. */
export const LATELY = 3;
const BEFORE = 5;

/** Values of one answer, without check-ins that have none. */
export const answersOf = <K extends 'effort' | 'energy' | 'mood'>(
	checkins: readonly CheckinSeen[],
	what: K
): number[] => checkins.flatMap((one) => one[what] ?? []);

/** Check-ins of training: a test is meant to be hard. */
export const trainingOf = ({ checkins, days }: TriageFacts): CheckinSeen[] =>
	checkins.filter(({ day }) => days[day - 1]?.kind !== 'test');

/** The latest values and the ones before them, or null without enough of both. */
export function latelyAndBefore<T>(all: readonly T[]): { lately: T[]; before: T[] } | null {
	const lately = all.slice(0, LATELY);
	const before = all.slice(LATELY, LATELY + BEFORE);
	return before.length < LATELY ? null : { lately, before };
}

/**
 * The answers of the newest check-ins if each of them has one and all of them match, else null.
 * @param times how many check-ins
 */
export function runOf(
	checkins: readonly CheckinSeen[],
	what: 'effort' | 'energy' | 'mood',
	times: number,
	matches: (value: number, checkin: CheckinSeen) => boolean
): { since: number; values: number[] } | null {
	const newest = checkins.slice(0, times);
	const values = answersOf(newest, what);
	return newest.length === times &&
		values.length === times &&
		newest.every((one) => matches(one[what] as number, one))
		? { since: newest[0]!.at, values }
		: null;
}

/** Days with work that have opened for the person, and when they did some of it, or null. */
export const ownWork = (
	{ days, strip }: TriageFacts,
	now: number
): { day: PersonDay; doneAt: number | null }[] =>
	days
		.filter(({ open, kind, state }) => open && kind !== 'rest' && state !== 'cancelled')
		.map((day) => {
			const entry = entryOf(strip, day.day);
			const done = entry?.kind === 'check-in' && entry.credit > 0 && entry.at <= now;
			return { day, doneAt: done ? entry.at : null };
		});

/** Days without a check-in from which a person counts as silent. */
const SILENT_DAYS = 7;

export interface MissedDays {
	stage: 'never started' | 'first miss' | 'missing' | 'silent';
	/** Epoch milliseconds at which the latest due day closed. */
	since: number;
	/** Due days: all of them, or those in a row without a check-in. */
	due: number;
	/** The latest due day. */
	day: number;
	/** Epoch milliseconds, or null if nothing was received. */
	lastSeen: number | null;
	/** Calendar days since then. */
	days: number;
}

/** How far a person has fallen behind, or null if they have not; nobody on hold has. The graver stage excludes the others. */
export function missedDays(facts: TriageFacts, house: HouseRules, now: number): MissedDays | null {
	const { attendance } = facts;
	const { lastSeen } = attendance;
	const due = facts.days.filter(({ state }) => isDue(state));
	const last = due.at(-1);
	if (!last || attendance.silent === 0 || holdAt(facts.holds, now)) return null;
	const since = Math.min(now, last.window.closes);
	const days = lastSeen === null ? 0 : Math.floor((now - lastSeen) / DAY_MS);
	const found = { since, due: due.length, day: last.day, lastSeen, days };
	if (lastSeen === null) return { stage: 'never started', ...found };
	if (isSilent(attendance, house))
		return { ...found, stage: days >= SILENT_DAYS ? 'silent' : 'missing', due: attendance.silent };
	const missed = due.filter(({ state }) => state === 'missed');
	return missed.length === 1 && last.state === 'missed' && since > now - NEWS_DAYS * DAY_MS
		? { stage: 'first miss', ...found }
		: null;
}

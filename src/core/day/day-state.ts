import type { DayKind } from '../calendar';
import type { DueWindow } from '../calendar';

export const DAY_STATES = [
	'ahead',
	'open',
	'done',
	'partial',
	'late',
	'missed',
	'excused',
	'held',
	'rest',
	'cancelled'
] as const;
export type DayState = (typeof DAY_STATES)[number];

/** How a result stands to the window of its day; said once, as it comes in, and kept. */
export const STANDINGS = ['on time', 'late', 'after close'] as const;
export type Standing = (typeof STANDINGS)[number];

/** The standing of a result that comes in at an instant. */
export const standingAt = ({ due, closes }: DueWindow, now: number): Standing =>
	now < due ? 'on time' : now < closes ? 'late' : 'after close';

/** Hours for which a device may keep a result that still counts from when it was done (our own choice, no source). */
const KEPT_HOURS = 48;

/**
 * An instant that a device tells, by the clock of whoever takes it in: what lies between it and sending is right whatever the
 * device takes the time to be. Epoch milliseconds, never after `receivedAt`.
 */
export const instantOfDevice = (told: number, sentAt: number | null, receivedAt: number): number =>
	receivedAt - Math.max(0, (sentAt ?? receivedAt) - told);

/** When a result was done and when it came in, by the same clock. Epoch milliseconds. */
export interface Arrival {
	/** Within the window of its day; null: as it came in. */
	doneAt: number | null;
	receivedAt: number;
}

/** A result that says when it was done: outside of the window of its day that tells nothing. */
export const arrivalIn = (
	{ opens, closes }: DueWindow,
	doneAt: number | null,
	receivedAt: number
): Arrival => ({
	doneAt: doneAt !== null && doneAt >= opens && doneAt < closes ? doneAt : null,
	receivedAt
});

/**
 * The standing of a result that a device may have kept for want of a connection: for two days it counts from when it was done.
 * @returns `offered`: done before its day closed and come in after it, later than that: the coach decides
 */
export function standingOfArrival(
	window: DueWindow,
	{ doneAt, receivedAt }: Arrival
): { standing: Standing; offered: boolean } {
	if (doneAt !== null && receivedAt - doneAt <= KEPT_HOURS * 3_600_000)
		return { standing: standingAt(window, doneAt), offered: false };
	const standing = standingAt(window, receivedAt);
	return { standing, offered: doneAt !== null && standing === 'after close' };
}

/** What is known of one person's day: what came in for it, or why nothing has to. */
export interface DayEntry {
	kind: 'check-in' | 'excuse' | 'pause' | 'cancelled';
	/** Share of the prescribed work, 0…1; 0 where nothing came in. */
	credit: number;
	/** Epoch milliseconds at which something first came in for the day, or at which it was decided. */
	at: number;
	/** As it was given to the result; null where nothing came in. */
	standing: Standing | null;
	/** Pain was reported. */
	pain: boolean;
}

/** What results are worth in this challenge. */
export interface CreditPolicy {
	/** `share`: part of the work earns part of the credit. `strict`: all or nothing. */
	partial: 'share' | 'strict';
	/** What a late result keeps of its credit, 0…1. */
	lateWorth: number;
}

export interface DayResult {
	state: DayState;
	/** 0…1 after the policy. */
	credit: number;
	pain: boolean;
}

/**
 * The state of one person's day at an instant, and what it is worth.
 *
 * Entries received after `now` are not seen, so that the group can be looked at as it stood then. A result keeps the
 * standing that it was given, wherever the window of its day lies by now; after close it is kept but worth nothing.
 *
 * @param theirs false for days before somebody joined
 * @param held whether nothing was released to them at that instant, or when the day closed
 */
export function dayState(
	kind: DayKind,
	window: DueWindow,
	entry: DayEntry | null,
	policy: CreditPolicy,
	now: number,
	theirs = true,
	held = false
): DayResult {
	const seen = entry && entry.at <= now ? entry : null;
	const pain = seen?.pain ?? false;
	if (seen?.kind === 'check-in') {
		const whole = policy.partial === 'strict' && seen.credit < 1 ? 0 : seen.credit;
		if (seen.standing === 'after close') return { state: 'missed', credit: 0, pain };
		if (whole <= 0) return { state: now < window.due ? 'open' : 'missed', credit: 0, pain };
		if (seen.standing === 'late') return { state: 'late', credit: whole * policy.lateWorth, pain };
		return { state: whole < 1 ? 'partial' : 'done', credit: whole, pain };
	}
	const none = (state: DayState): DayResult => ({ state, credit: 0, pain });
	if (kind === 'rest') return none('rest');
	if (seen?.kind === 'excuse' || seen?.kind === 'pause' || !theirs) return none('excused');
	if (now < window.opens) return none('ahead');
	if (seen?.kind === 'cancelled') return none('cancelled');
	if (held) return none('held');
	return none(now < window.closes ? 'open' : 'missed');
}

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
	'rest',
	'cancelled'
] as const;
export type DayState = (typeof DAY_STATES)[number];

/** What is known of one person's day: what came in for it, or why nothing has to. */
export interface DayEntry {
	kind: 'check-in' | 'excuse' | 'pause' | 'cancelled';
	/** Share of the prescribed work, 0…1; 0 where nothing came in. */
	credit: number;
	/** Epoch milliseconds at which it was received or decided. */
	at: number;
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
 * Entries received after `now` are not seen, so that the group can be looked at as it stood then. A result
 * received after the window closed is kept but worth nothing.
 *
 * @param theirs false for days before somebody joined
 */
export function dayState(
	kind: DayKind,
	window: DueWindow,
	entry: DayEntry | null,
	policy: CreditPolicy,
	now: number,
	theirs = true
): DayResult {
	const seen = entry && entry.at <= now ? entry : null;
	const pain = seen?.pain ?? false;
	if (seen?.kind === 'check-in') {
		const whole = policy.partial === 'strict' && seen.credit < 1 ? 0 : seen.credit;
		if (seen.at >= window.closes) return { state: 'missed', credit: 0, pain };
		if (whole <= 0) return { state: now < window.due ? 'open' : 'missed', credit: 0, pain };
		if (seen.at >= window.due) return { state: 'late', credit: whole * policy.lateWorth, pain };
		return { state: whole < 1 ? 'partial' : 'done', credit: whole, pain };
	}
	const none = (state: DayState): DayResult => ({ state, credit: 0, pain });
	if (kind === 'rest') return none('rest');
	if (seen?.kind === 'excuse' || seen?.kind === 'pause' || !theirs) return none('excused');
	if (now < window.opens) return none('ahead');
	if (seen?.kind === 'cancelled') return none('cancelled');
	return none(now < window.closes ? 'open' : 'missed');
}

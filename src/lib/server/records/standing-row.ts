/** Where one person stands, as one statement reads it. */
import { DAY_MS } from '$core/calendar';
import { POLL_LIMITS } from '$contracts/ask';
import type { OwnPain } from '$contracts/incident';
import type { ExtraEntry } from '$core/attendance';
import type { CatchUp } from '$core/calendar';
import type { Origin, Override, Strip } from '$core/day';

/** Who changed something: the coach, somebody themselves, or a rule of ours. */
export type MadeBy = 'coach' | 'participant' | 'rule';

/** An override as it was written down. */
export interface KeptOverride extends Override {
	id: string;
	origin: Origin;
	/** Epoch milliseconds. */
	madeAt: number;
}

/** One with the time until which it held; null: it holds. */
export interface PastOverride extends KeptOverride {
	removedAt: number | null;
}

export interface StandingRow {
	strip: Strip;
	extras: ExtraEntry[];
	shiftDays: number;
	fromDay: number;
	catchUp: CatchUp | null;
	/** Their team, and their buddies by the names that those chose for others to see. */
	company: { team: string | null; teamId: string | null; buddies: string[] };
	/** What they answered to polls, by poll: from 0. */
	votes: Readonly<Record<string, number>>;
	/** How many chose each answer, by poll: of those that they have answered and that show it. */
	counts: Readonly<Record<string, Readonly<Record<string, number>>>>;
	/** Messages of a coach that they have not seen. */
	unread: number;
	/** The newest pain that they reported, and what was decided; null: none. */
	pain: OwnPain | null;
	/** All that is, or ever was, different for them, the older first. */
	overrides: readonly PastOverride[];
	/** Of the coach. */
	revision: number;
}

/** Polls that closed before this are on nobody's page any more. */
export const pollsSince = (now: number): number => now - POLL_LIMITS.standsDays * DAY_MS;

/** Two results of one day: the one that the server has, and the one that this device made without knowing of it. */
import type { Queued } from './store';

/** What the server has of a day, as far as the choice needs it. */
export interface DayThere {
	window: { closes: number };
	checkin: {
		id: string;
		done: string;
		credit: number;
		effort: number | null;
		standing: string;
		receivedAt: number;
	} | null;
}

export interface Conflict {
	there: NonNullable<DayThere['checkin']>;
	/** Whether the one of this device can still take its place. */
	canReplace: boolean;
}

/** The conflict that a refused result is in, or null if nothing stands for its day. @param now epoch milliseconds by the server */
export function conflictOf(
	{ kind }: Pick<Queued, 'kind'>,
	{ checkin, window }: DayThere,
	now: number
): Conflict | null {
	if (kind !== 'check-in' || !checkin) return null;
	return { there: checkin, canReplace: now < window.closes };
}

/** Sets of a result that waits, of which anything was done; null where it says of no single set. */
export function setsDone(body: Record<string, unknown>): number | null {
	if (!Array.isArray(body.sets)) return null;
	return body.sets.filter((set: { amount?: unknown }) => Number(set.amount) > 0).length;
}

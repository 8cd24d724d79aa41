/** Two results of one day: the one that the server has, and the one that this device made without knowing of it. */
import type { Queued } from './store';

/** What the server has of a day, as far as the choice needs it. */
export interface DayThere {
	/** Epoch milliseconds by the server. */
	now: number;
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
	/** Milliseconds by which the server's clock is ahead of this device's. */
	ahead: number;
}

/** What was refused. */
type Refused = Pick<Queued, 'kind' | 'day' | 'body'>;

/**
 * The conflict of a refused result, or null if the server has no result for the day, or only the one that was to be corrected.
 * @param deviceNow epoch milliseconds by this device
 */
export function conflictOf(
	{ kind, body }: Refused,
	{ checkin, window, now }: DayThere,
	deviceNow: number
): Conflict | null {
	if (kind !== 'check-in' || !checkin || checkin.id === body.replaces) return null;
	return { there: checkin, canReplace: now < window.closes, ahead: now - deviceNow };
}

/** Asks the server for the conflict of a refused result. @returns null also without a connection */
export async function findConflict(refused: Refused): Promise<Conflict | null> {
	if (refused.kind !== 'check-in') return null;
	try {
		const answer = await fetch(`/api/me/days/${refused.day}`);
		return answer.ok ? conflictOf(refused, (await answer.json()) as DayThere, Date.now()) : null;
	} catch {
		return null;
	}
}

/** Sets of a result that waits, of which anything was done; null where it says of no single set. */
export function setsDone(body: Record<string, unknown>): number | null {
	if (!Array.isArray(body.sets)) return null;
	return body.sets.filter((set: { amount?: unknown }) => Number(set.amount) > 0).length;
}

import type { Standing } from '$core/day';

/** What a check-in says, whoever reads it. */
export interface CheckinFacts {
	id: string;
	done: 'all' | 'part' | 'none';
	/** Share of the work done, 0…1, before what a late result is worth. */
	credit: number;
	standing: Standing;
	/** 0…10 */
	effort: number | null;
	/** 1…5 */
	energy: number | null;
	sleepHours: number | null;
	hurts: string | null;
	note: string | null;
	/** Epoch milliseconds. */
	receivedAt: number;
}

/** The columns of those, of a table `checkin c`. */
export const CHECKIN_FACTS = `c.id, c.done, c.credit, c.standing, c.effort, c.energy, c.sleep_hours as "sleepHours",
	c.hurts, c.note, c.received_at as "receivedAt"`;

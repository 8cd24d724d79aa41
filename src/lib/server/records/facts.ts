import type { CheckinInput, Well } from '$contracts/check-in';
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
	/** The rest of what was asked of how they are. */
	well: Partial<Well>;
	hurts: string | null;
	note: string | null;
	/** What was done beyond the plan. */
	beyond: CheckinInput['beyond'];
	/** Epoch milliseconds. */
	receivedAt: number;
	/** The coach who recorded it as she was told; null: they sent it themselves. */
	enteredBy: string | null;
}

/** The columns of those, of a table `checkin c`. */
export const CHECKIN_FACTS = `c.id, c.done, c.credit, c.standing, c.effort, c.energy, c.sleep_hours as "sleepHours", c.well,
	c.hurts, c.note, c.beyond, c.received_at as "receivedAt",
	(select entered.name from coach entered where entered.id = c.entered_by) as "enteredBy"`;

/** The sets of a table `checkin c`, as one column. */
export const SETS_OF_CHECKIN = `coalesce((select jsonb_agg(jsonb_build_object('block', s.block, 'part', s.part, 'set', s.set,
	'amount', s.amount, 'kg', s.kg, 'left', s.left_side, 'right', s.right_side, 'effort', s.effort, 'used', s.used)
	order by s.block, s.part, s.set) from set_log s where s.checkin_id = c.id), '[]')`;

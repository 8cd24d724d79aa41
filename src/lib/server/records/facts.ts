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

/** The columns of `CheckinFacts` from a table `result c`. */
export const CHECKIN_FACTS = `c.id, case when c.credit >= 1 then 'all' when c.credit > 0 then 'part' else 'none' end as done, c.credit,
	coalesce(c.standing, 'on time') as standing, c.effort, c.energy, c.sleep_hours as "sleepHours", c.well, c.hurts, c.note, c.beyond,
	c.received_at as "receivedAt",
	(select entered.name from coach entered where entered.id = c.entered_by) as "enteredBy"`;

/** Whether a row of a table `result c` is the current result of its day. */
export const IS_CURRENT = `c.kind = 'planned' and c.replaced_at is null`;

/** The sets of a table `result c`, as one column of `LoggedSet[]`. */
export const SETS = `coalesce((select jsonb_agg(jsonb_build_object('block', s.block, 'part', s.part, 'set', s.set,
	'amount', s.amount, 'kg', s.kg, 'left', s.left_side, 'right', s.right_side, 'effort', s.effort,
	'used', case when s.is_substitute then s.exercise end)
	order by s.block, s.part, s.set) from result_set s where s.result_id = c.id), '[]')`;

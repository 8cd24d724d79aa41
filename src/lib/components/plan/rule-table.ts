import type { LaidPlan, Rule } from '$core/plan';

/** One thing that a rule changes, with what it is in each week; null in weeks in which it does not come. */
export interface RuleRow {
	what: string;
	values: (string | null)[];
}

/** What a rule makes of everything it is about, week by week. */
export function ruleTable(laid: LaidPlan, rule: Rule): RuleRow[] {
	const rows = new Map<
		string,
		{ what: string; base: string; session: string; byWeek: Map<number, string> }
	>();
	for (const { week, days } of laid.weeks)
		for (const { sent } of days)
			for (const change of sent?.changes ?? []) {
				if (!sent || change.rule !== rule.id) continue;
				const key = `${sent.key} ${change.block} ${change.part} ${change.what}`;
				const exercise =
					change.part === null
						? null
						: laid.sessions.get(sent.key)?.body.blocks[change.block]?.parts[change.part]?.exercise;
				const row = rows.get(key) ?? {
					what: `${sent.name}, ${exercise ?? `block ${change.block + 1}`}: ${change.what}`,
					base: change.from,
					session: sent.key,
					byWeek: new Map<number, string>()
				};
				row.byWeek.set(week, change.to);
				rows.set(key, row);
			}
	return [...rows.values()].map(({ what, base, session, byWeek }) => ({
		what,
		values: laid.weeks.map(({ week, days }) =>
			days.some((day) => day.sent?.key === session) ? (byWeek.get(week) ?? base) : null
		)
	}));
}

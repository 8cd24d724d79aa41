import type { ResolvedPlan, Rule } from '$core/plan';

/** One thing that a rule changes, with what it is in each week; null in weeks in which it does not come. */
export interface RuleRow {
	what: string;
	values: (string | null)[];
}

/** What a rule makes of everything it is about, week by week. */
export function ruleTable(resolved: ResolvedPlan, rule: Rule): RuleRow[] {
	const rows = new Map<
		string,
		{ what: string; base: string; session: string; byWeek: Map<number, string> }
	>();
	for (const { week, days } of resolved.weeks)
		for (const { prescribed } of days)
			for (const change of prescribed?.changes ?? []) {
				if (!prescribed || change.rule !== rule.id) continue;
				const key = `${prescribed.key} ${change.block} ${change.part} ${change.what}`;
				const exercise =
					change.part === null
						? null
						: resolved.sessions.get(prescribed.key)?.body.blocks[change.block]?.parts[change.part]?.exercise;
				const row = rows.get(key) ?? {
					what: `${prescribed.name}, ${exercise ?? `block ${change.block + 1}`}: ${change.what}`,
					base: change.from,
					session: prescribed.key,
					byWeek: new Map<number, string>()
				};
				row.byWeek.set(week, change.to);
				rows.set(key, row);
			}
	return [...rows.values()].map(({ what, base, session, byWeek }) => ({
		what,
		values: resolved.weeks.map(({ week, days }) =>
			days.some((day) => day.prescribed?.key === session) ? (byWeek.get(week) ?? base) : null
		)
	}));
}

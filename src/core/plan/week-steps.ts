import type { ResolvedPlan, ResolvedWeek } from './resolved-plan';

/** One thing that a week asks for and the week before did not, in words. */
export interface WeekStep {
	session: string;
	text: string;
}

/** What the rules have changed by a week, the exercise or block with its new value: `Goblet squat 14 kg`. */
function stateOf(week: ResolvedWeek): Map<string, WeekStep> {
	const state = new Map<string, WeekStep>();
	for (const { prescribed } of week.days) {
		if (!prescribed) continue;
		for (const { rule, block, part, what, to } of prescribed.changes) {
			if (rule === null) continue;
			const exercise = part === null ? null : prescribed.session.blocks[block]?.parts[part]?.exercise;
			const text =
				exercise && exercise !== to
					? `${exercise} ${to}`
					: part === null
						? `${prescribed.name}: ${what} ${to}`
						: to;
			state.set(`${prescribed.key} ${block} ${part} ${what} ${rule}`, { session: prescribed.name, text });
		}
	}
	return state;
}

/** What is new in a week by the rules of the plan, against the week before. */
export function weekSteps(resolved: ResolvedPlan, week: number): WeekStep[] {
	const now = resolved.weeks[week - 1];
	if (!now) return [];
	const before = resolved.weeks[week - 2];
	const had = before ? stateOf(before) : new Map<string, WeekStep>();
	return [...stateOf(now)].filter(([key, step]) => had.get(key)?.text !== step.text).map(([, step]) => step);
}

/** Changes to the days of a plan. Each gives a new plan; days are counted from 1. */
import { PLAN_LIMITS } from './limits';
import { REST_DAY, type Plan, type PlannedDay } from './model';

const withDays = (plan: Plan, days: readonly PlannedDay[]): Plan => ({ ...plan, days });

/** A day as it can be: a rest day has no session, and a day without a session none in the evening. */
function sound(day: PlannedDay): PlannedDay {
	const kept = day.kind === 'rest' ? { ...day, session: null, effort: null } : day;
	if (kept.session !== null) return kept;
	const { evening: _evening, ...bare } = kept;
	return bare;
}

/** Gives days some of what a day has; `evening: null` takes the second session away. */
export function putDays(
	plan: Plan,
	at: readonly number[],
	{ evening, ...change }: Omit<Partial<PlannedDay>, 'evening'> & { evening?: string | null }
): Plan {
	const set = new Set(at);
	return withDays(
		plan,
		plan.days.map((day, i) => {
			if (!set.has(i + 1)) return day;
			const { evening: before, ...rest } = day;
			const second = evening === undefined ? before : (evening ?? undefined);
			return sound({ ...rest, ...change, ...(second !== undefined && { evening: second }) });
		})
	);
}

/** Two days change places. */
export function swapDays(plan: Plan, a: number, b: number): Plan {
	const [one, other] = [plan.days[a - 1], plan.days[b - 1]];
	if (!one || !other || a === b) return plan;
	return withDays(
		plan,
		plan.days.map((day, i) => (i === a - 1 ? other : i === b - 1 ? one : day))
	);
}

/** What lies on a day lies on others as well; its tests do not go along, they have their own days. */
export function copyDay(plan: Plan, from: number, to: readonly number[]): Plan {
	const day = plan.days[from - 1];
	return day
		? putDays(
				plan,
				to.filter((at) => at !== from),
				{ ...day, evening: day.evening ?? null, tests: [] }
			)
		: plan;
}

/** The days of a week over those of others, as far as the plan goes. */
export function pasteWeek(plan: Plan, from: number, to: readonly number[]): Plan {
	const week = plan.days.slice((from - 1) * 7, from * 7);
	const over = new Set(to.filter((w) => w !== from));
	return withDays(
		plan,
		plan.days.map((day, i) => {
			const pasted = week[i % 7];
			return over.has(Math.floor(i / 7) + 1) && pasted ? { ...pasted, tests: day.tests } : day;
		})
	);
}

/**
 * Puts rest days in before a day; what lay from there on comes that much later, and the plan is longer.
 * @throws RangeError where the plan would be longer than a plan may be
 */
export function insertDays(plan: Plan, before: number, count = 1): Plan {
	if (plan.days.length + count > PLAN_LIMITS.days)
		throw new RangeError(
			`a plan has at most ${PLAN_LIMITS.days} days; it would have ${plan.days.length + count}`
		);
	const days = [...plan.days];
	days.splice(before - 1, 0, ...Array.from({ length: count }, () => REST_DAY));
	return withDays(plan, days);
}

/** Takes days out; what lay after them comes that much earlier. One day is always left. */
export function removeDays(plan: Plan, from: number, count = 1): Plan {
	const days = plan.days.filter((_, i) => i + 1 < from || i + 1 >= from + count);
	return days.length > 0 ? withDays(plan, days) : plan;
}

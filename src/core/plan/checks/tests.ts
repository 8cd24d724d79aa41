import { COMMON } from '../../findings';
import { counted, listed } from '../../text/words';
import { putDays } from '../edit';
import type { PlanCheck, PlanFinding } from '../finding';
import type { ResolvedDay, ResolvedPlan } from '../resolved-plan';
import type { Benchmark, Plan } from '../model';

/** A test belongs to the first days, and its last repeat to the last ones. */
const EDGE_DAYS = 7;

const daysOf = (resolved: ResolvedPlan, test: Benchmark): number[] =>
	resolved.days.filter((day) => day.tests.includes(test.id)).map((day) => day.day);

const addTest = (plan: Plan, day: number, id: string): Plan =>
	putDays(plan, [day], { kind: 'test', tests: [...(plan.days[day - 1]?.tests ?? []), id] });

/** The best day for a test among some: one that is a test already, else the last that trains. */
function testDay(days: readonly ResolvedDay[], first: boolean): ResolvedDay | null {
	const ordered = first ? [...days] : [...days].reverse();
	return ordered.find((day) => day.kind === 'test') ?? ordered.find((day) => day.kind === 'train') ?? null;
}

const repeats: PlanCheck = ({ resolved, plan }) =>
	plan.tests.flatMap((test): PlanFinding[] => {
		const days = daysOf(resolved, test);
		const length = resolved.days.length;
		const first = resolved.days.slice(0, EDGE_DAYS);
		const last = resolved.days.slice(-EDGE_DAYS);
		const finding = (
			title: string,
			figure: string,
			at: readonly ResolvedDay[],
			isFirst: boolean
		): PlanFinding => {
			const day = testDay(at, isFirst);
			return {
				rule: 'test and repeat',
				severity: 'watch',
				title,
				figure,
				place: { days },
				source: COMMON,
				remedy: day && { label: `Take it on day ${day.day}`, apply: (p) => addTest(p, day.day, test.id) }
			};
		};
		if (days.length === 0)
			return [
				finding(
					`${test.name} is on no day`,
					'A test is taken at the start and again at the end.',
					first,
					true
				)
			];
		if (days.length === 1)
			return [
				finding(
					`${test.name} has no repeat`,
					`On day ${days[0]} alone: without a second time nothing is shown.`,
					(days[0] ?? 0) > length / 2 ? first : last,
					(days[0] ?? 0) > length / 2
				)
			];
		if ((days[0] ?? 0) > EDGE_DAYS)
			return [
				finding(
					`${test.name} begins late`,
					`First on day ${days[0]}; what was won before is not seen.`,
					first,
					true
				)
			];
		if ((days.at(-1) ?? 0) <= length - EDGE_DAYS)
			return [
				finding(
					`${test.name} ends early`,
					`Last on day ${days.at(-1)} of ${length}; the rest of the challenge does not count for it.`,
					last,
					false
				)
			];
		return [];
	});

/** Challenges of this length and more have something to compare half-way. */
const none: PlanCheck = ({ resolved, plan }) => {
	if (resolved.days.length < 14 || !resolved.days.some((day) => day.prescribed)) return [];
	const bare = resolved.days.filter((day) => day.kind === 'test' && day.tests.length === 0);
	if (plan.tests.length === 0)
		return [
			{
				rule: 'no test',
				severity: 'hint',
				title: 'Nothing is measured',
				figure: `${counted(resolved.days.length, 'day')} without a test that is named; results before and after are what makes people stay.`,
				place: { days: bare.map((day) => day.day) },
				source: COMMON,
				remedy: null
			}
		];
	if (bare.length === 0) return [];
	return [
		{
			rule: 'test day without a test',
			severity: 'hint',
			title: `${bare.length > 1 ? 'Test days' : 'Test day'} ${listed(bare.map((day) => day.day))} without a test`,
			figure: 'What is measured on it is not said.',
			place: { days: bare.map((day) => day.day) },
			source: COMMON,
			remedy: {
				label: `Take ${listed(
					plan.tests.map(({ name }) => name),
					3
				)}`,
				apply: (p) =>
					putDays(
						p,
						bare.map((day) => day.day),
						{ tests: p.tests.map(({ id }) => id) }
					)
			}
		}
	];
};

export const TEST_CHECKS: PlanCheck[] = [repeats, none];

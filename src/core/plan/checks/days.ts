import { counted, listed } from '../../text/words';
import { COMMON } from '../../findings';
import { putDays, swapDays } from '../edit';
import type { PlanCheck, PlanFinding, PlanSubject } from '../finding';
import type { ResolvedDay } from '../resolved-plan';

const works = (day: ResolvedDay): boolean =>
	day.kind === 'train' || day.kind === 'cardio' || day.kind === 'test';
/** Training days in a row after which one rests. */
const MOST_IN_A_ROW = 6;

const bareDays: PlanCheck = ({ resolved }) => {
	const bare = resolved.days.filter((day) => works(day) && !day.prescribed);
	if (bare.length === 0) return [];
	return [
		{
			rule: 'day without a session',
			severity: 'watch',
			title: `${counted(bare.length, 'training day')} without a session`,
			figure: `The first is day ${bare[0]?.day}; nothing can be sent on it.`,
			place: { days: bare.map((day) => day.day) },
			source: COMMON,
			remedy: {
				label: bare.length > 1 ? 'Make them rest days' : 'Make it a rest day',
				apply: (plan) =>
					putDays(
						plan,
						bare.map((day) => day.day),
						{ kind: 'rest' }
					)
			}
		}
	];
};

const noTraining: PlanCheck = ({ resolved }) =>
	resolved.weeks
		.filter(({ days }) => days.length === 7 && !days.some(works))
		.map(({ week, days }): PlanFinding => ({
			rule: 'week without training',
			severity: 'watch',
			title: `Week ${week} has no training`,
			figure: 'What is not used for two weeks begins to go; at least two days a week keep it.',
			place: { days: days.map((day) => day.day) },
			source: COMMON,
			remedy: null
		}));

/** Runs of training days, each as its first and last day. */
function runsOf(days: readonly ResolvedDay[]): [number, number][] {
	const runs: [number, number][] = [];
	for (const day of days) {
		if (!works(day)) continue;
		const last = runs.at(-1);
		if (last?.[1] === day.day - 1) last[1] = day.day;
		else runs.push([day.day, day.day]);
	}
	return runs;
}

const restDays: PlanCheck = ({ resolved }) =>
	runsOf(resolved.days)
		.filter(([from, to]) => to - from + 1 > MOST_IN_A_ROW)
		.map(([from, to]): PlanFinding => {
			const middle = Math.min(from + MOST_IN_A_ROW, to);
			return {
				rule: 'no rest day',
				severity: 'watch',
				title: `${to - from + 1} training days in a row, days ${from} to ${to}`,
				figure: `At most ${MOST_IN_A_ROW} in a row are usual, then a day of rest.`,
				place: { days: [from, to] },
				source: COMMON,
				remedy: {
					label: `Rest on day ${middle}`,
					apply: (plan) => putDays(plan, [middle], { kind: 'active-rest', session: null, effort: null })
				}
			};
		});

const overBudget: PlanCheck = ({ resolved, budgetMinutes }) => {
	if (budgetMinutes === null) return [];
	const over = new Map<string, ResolvedDay[]>();
	for (const day of resolved.days)
		if (day.prescribed && day.minutes > budgetMinutes + 0.5)
			over.set(day.prescribed.key, [...(over.get(day.prescribed.key) ?? []), day]);
	return [...over.values()].map((days): PlanFinding => {
		const longest = days.reduce((a, b) => (b.minutes > a.minutes ? b : a));
		const numbers = days.map((day) => day.day);
		return {
			rule: 'over the budget',
			severity: 'watch',
			title: `${longest.prescribed?.name ?? ''} takes ${Math.round(longest.minutes)} min of ${budgetMinutes}`,
			figure: `On ${counted(days.length, 'day')}: ${listed(numbers)}; the longest is day ${longest.day}.`,
			place: { days: numbers },
			source: 'the challenge’s own time budget',
			remedy: null
		};
	});
};

/** A light day of the same week that a hard one could change places with. */
export function lighterDay(
	{ resolved, releasedTo }: PlanSubject,
	than: ResolvedDay,
	apart: readonly number[]
): ResolvedDay | null {
	const others = resolved.days.filter(
		(day) =>
			day.day > releasedTo &&
			day.week === than.week &&
			day.day !== than.day &&
			!apart.includes(day.day) &&
			day.tests.length === 0
	);
	return others.reduce<ResolvedDay | null>((best, day) => (!best || day.load < best.load ? day : best), null);
}

const hardBeforeTest: PlanCheck = (subject) => {
	const { resolved } = subject;
	return resolved.days.flatMap((day): PlanFinding[] => {
		const before = resolved.days[day.day - 2];
		if (day.kind !== 'test' || !before || before.kind === 'test' || before.load === 0) return [];
		if (before.expected < 6 && before.minutes < 20) return [];
		const other = lighterDay(subject, before, [day.day, day.day - 1]);
		return [
			{
				rule: 'tired into a test',
				severity: 'hint',
				title: `Day ${before.day} is hard, day ${day.day} is a test`,
				figure: `${Math.round(before.minutes)} min at effort ${before.expected} on the day before; a test wants a light one.`,
				place: { days: [before.day, day.day] },
				source: COMMON,
				remedy:
					other && other.load < before.load
						? {
								label: `Swap days ${other.day} and ${before.day}`,
								apply: (plan) => swapDays(plan, other.day, before.day)
							}
						: null
			}
		];
	});
};

export const DAY_CHECKS: PlanCheck[] = [bareDays, noTraining, restDays, overBudget, hardBeforeTest];

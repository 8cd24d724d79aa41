import { MUSCLES, type Muscle } from '../../exercise';
import { capital, counted, listed } from '../../text/words';
import { swapDays } from '../edit';
import { ACSM_48H, SCHOENFELD, WHO } from '../../findings';
import { type PlanCheck, type PlanFinding, type PlanSubject } from '../finding';
import { daysByGroup, MAJOR, setsOfGroup, STRENGTH_DAYS } from '../groups';
import type { ResolvedDay } from '../resolved-plan';
import type { Plan } from '../model';

/** Weeks of fewer days than this are not judged as weeks. */
export const FULL_WEEK = 5;

/** Muscles that a day works hard: direct sets enough, at an effort of 5 and more. */
export const hardMuscles = (day: ResolvedDay, sets: number): Muscle[] =>
	day.expected < 5 ? [] : MUSCLES.filter((muscle) => (day.prescribed?.balance.direct[muscle] ?? 0) >= sets);

const both = (a: ResolvedDay | undefined, b: ResolvedDay | undefined, sets: number): Muscle[] => {
	if (!a || !b) return [];
	const second = new Set(hardMuscles(b, sets));
	return hardMuscles(a, sets).filter((muscle) => second.has(muscle));
};

/** Neighbours that share hard muscles, over the days around some places. */
const clashesAround = (days: readonly ResolvedDay[], at: readonly number[], sets: number): number => {
	const pairs = new Set(at.flatMap((day) => [day - 1, day]));
	return [...pairs].reduce((sum, first) => sum + both(days[first - 1], days[first], sets).length, 0);
};

/** A swap within the week after which fewer neighbours share a hard muscle. */
function betterPlace(
	{ resolved, practice: { house }, releasedTo }: PlanSubject,
	day: ResolvedDay
): number | null {
	let best: { other: number; saved: number } | null = null;
	for (const other of resolved.days) {
		if (other.week !== day.week || other.day === day.day || other.tests.length > 0 || other.day <= releasedTo)
			continue;
		const at = [day.day, other.day];
		const swapped = resolved.days.map((d) => (d === day ? other : d === other ? day : d));
		const saved =
			clashesAround(resolved.days, at, house.hardSets) - clashesAround(swapped, at, house.hardSets);
		if (saved > (best?.saved ?? 0)) best = { other: other.day, saved };
	}
	return best?.other ?? null;
}

interface Clash {
	before: ResolvedDay;
	day: ResolvedDay;
	muscles: Muscle[];
}

/** Neighbours hard on the same muscles; the same two sessions on the same days of later weeks go together. */
function clashes({ resolved, practice: { house }, releasedTo }: PlanSubject): Clash[][] {
	const groups = new Map<string, Clash[]>();
	for (const day of resolved.days) {
		const before = resolved.days[day.day - 2];
		const muscles = both(before, day, house.hardSets);
		if (!before || muscles.length === 0 || day.day <= releasedTo) continue;
		const key = `${before.prescribed?.key} ${day.prescribed?.key} ${day.day % 7}`;
		groups.set(key, [...(groups.get(key) ?? []), { before, day, muscles }]);
	}
	return [...groups.values()];
}

/** The day of a clash that may move: not one with a test, which has its day for a reason. */
const movableOf = ({ before, day }: Clash, releasedTo: number): ResolvedDay | null =>
	[day, before].find(({ day: at, tests }) => tests.length === 0 && at > releasedTo) ?? null;

const hardTwice: PlanCheck = (subject) =>
	clashes(subject).flatMap((same): PlanFinding[] => {
		const [first] = same;
		const muscle = first?.muscles[0];
		if (!first || !muscle) return [];
		const swaps = same.flatMap((clash): [number, number][] => {
			const moved = movableOf(clash, subject.releasedTo);
			const other = moved && betterPlace(subject, moved);
			return moved === null || other === null
				? []
				: [[Math.min(other, moved.day), Math.max(other, moved.day)]];
		});
		const sets = ({ prescribed }: ResolvedDay) => prescribed?.balance.direct[muscle] ?? 0;
		const often = same.length > 1 ? `, in ${same.length} weeks` : '';
		return [
			{
				rule: 'hard two days running',
				severity: 'watch',
				title: `${capital(listed(first.muscles, 3))} hard on days ${first.before.day} and ${first.day.day}${often}`,
				figure: `${first.before.prescribed?.name}, then ${first.day.prescribed?.name}: ${sets(first.before)} and ${sets(first.day)} sets on ${muscle}; ${subject.practice.house.hardSets} and more count as hard.`,
				place: { days: same.flatMap(({ before, day }) => [before.day, day.day]) },
				source: ACSM_48H,
				remedy:
					swaps.length === 0
						? null
						: {
								label: `Swap days ${listed(
									swaps.map((pair) => pair.join(' with ')),
									3
								)}`,
								apply: (plan: Plan) => swaps.reduce((p, [a, b]) => swapDays(p, a, b), plan)
							}
			}
		];
	});

/** Weeks that leave the same groups short go together. */
const strengthDays: PlanCheck = ({ resolved, releasedTo }) => {
	const alike = new Map<string, { weeks: number[]; days: number[]; short: [string, number][] }>();
	for (const { week, days } of resolved.weeks) {
		if (days.length < FULL_WEEK || !days.some((day) => day.prescribed && day.day > releasedTo)) continue;
		const short = [...daysByGroup(days)].filter(([, count]) => count < STRENGTH_DAYS);
		if (short.length === 0) continue;
		const same = alike.get(JSON.stringify(short)) ?? { weeks: [], days: [], short };
		same.weeks.push(week);
		same.days.push(...days.map((day) => day.day));
		alike.set(JSON.stringify(short), same);
	}
	return [...alike.values()].map(({ weeks, days, short }): PlanFinding => ({
		rule: 'strengthening days',
		severity: short.some(([, count]) => count === 0) ? 'watch' : 'hint',
		title: `${weeks.length > 1 ? 'Weeks' : 'Week'} ${listed(weeks)}: ${listed(short.map(([group]) => group))} on fewer than ${STRENGTH_DAYS} days`,
		figure: `${short.map(([group, count]) => `${group} on ${counted(count, 'day')}`).join(', ')}; all major groups on at least ${STRENGTH_DAYS} days a week.`,
		place: { days },
		source: WHO,
		remedy: null
	}));
};

/** The groups that are under the mark in a week, with their largest muscle’s sets. */
const weekSets: PlanCheck = ({ resolved, practice: { house } }) => {
	const by = new Map<string, { weeks: number[]; least: number }>();
	for (const { week, days, sets, light } of resolved.weeks) {
		if (days.length < FULL_WEEK || light || !days.some((day) => day.prescribed)) continue;
		for (const group of Object.keys(MAJOR)) {
			const most = setsOfGroup(group, sets);
			if (most >= house.weekSets || most === 0) continue;
			const seen = by.get(group) ?? { weeks: [], least: most };
			by.set(group, { weeks: [...seen.weeks, week], least: Math.min(seen.least, most) });
		}
	}
	if (by.size === 0) return [];
	const worst = [...by].sort(([, a], [, b]) => a.least - b.least);
	return [
		{
			rule: 'sets a week',
			severity: 'hint',
			title: `${capital(listed(worst.map(([group]) => group)))} under ${house.weekSets} sets a week`,
			figure: `${worst
				.slice(0, 4)
				.map(
					([group, { weeks, least }]) => `${group} ${least} at the least, in ${counted(weeks.length, 'week')}`
				)
				.join(
					'; '
				)}. More sets bring more size, up to about ${house.weekSets} and beyond; fewer still make stronger.`,
			place: { days: [] },
			source: SCHOENFELD,
			remedy: null
		}
	];
};

export const MUSCLE_CHECKS: PlanCheck[] = [hardTwice, strengthDays, weekSets];

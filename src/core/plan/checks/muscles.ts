import { MUSCLES, type Muscle } from '../../library';
import { capital, counted, listed } from '../../words';
import { swapDays } from '../edit';
import { ACSM, WHO, type PlanCheck, type PlanFinding, type PlanSubject } from '../finding';
import { daysByGroup, MAJOR, setsOfGroup, STRENGTH_DAYS } from '../groups';
import type { LaidDay } from '../laid';
import type { Plan } from '../model';

/** Weeks of fewer days than this are not judged as weeks. */
export const FULL_WEEK = 5;

/** Muscles that a day works hard: sets enough at an effort of 5 and more. */
export const hardMuscles = (day: LaidDay, sets: number): Muscle[] =>
	day.expected < 5 ? [] : MUSCLES.filter((muscle) => (day.sent?.balance.sets[muscle] ?? 0) >= sets);

const both = (a: LaidDay | undefined, b: LaidDay | undefined, sets: number): Muscle[] => {
	if (!a || !b) return [];
	const second = new Set(hardMuscles(b, sets));
	return hardMuscles(a, sets).filter((muscle) => second.has(muscle));
};

/** Neighbours that share hard muscles, over the days around some places. */
const clashesAround = (days: readonly LaidDay[], at: readonly number[], sets: number): number => {
	const pairs = new Set(at.flatMap((day) => [day - 1, day]));
	return [...pairs].reduce((sum, first) => sum + both(days[first - 1], days[first], sets).length, 0);
};

/** A swap within the week after which fewer neighbours share a hard muscle. */
function betterPlace({ laid, house, out }: PlanSubject, day: LaidDay): number | null {
	let best: { other: number; saved: number } | null = null;
	for (const other of laid.days) {
		if (other.week !== day.week || other.day === day.day || other.tests.length > 0 || other.day <= out)
			continue;
		const at = [day.day, other.day];
		const swapped = laid.days.map((d) => (d === day ? other : d === other ? day : d));
		const saved = clashesAround(laid.days, at, house.hardSets) - clashesAround(swapped, at, house.hardSets);
		if (saved > (best?.saved ?? 0)) best = { other: other.day, saved };
	}
	return best?.other ?? null;
}

interface Clash {
	before: LaidDay;
	day: LaidDay;
	muscles: Muscle[];
}

/** Neighbours hard on the same muscles; the same two sessions on the same days of later weeks go together. */
function clashes({ laid, house, out }: PlanSubject): Clash[][] {
	const groups = new Map<string, Clash[]>();
	for (const day of laid.days) {
		const before = laid.days[day.day - 2];
		const muscles = both(before, day, house.hardSets);
		if (!before || muscles.length === 0 || day.day <= out) continue;
		const key = `${before.sent?.key} ${day.sent?.key} ${day.day % 7}`;
		groups.set(key, [...(groups.get(key) ?? []), { before, day, muscles }]);
	}
	return [...groups.values()];
}

/** The day of a clash that may move: not one with a test, which has its day for a reason. */
const movableOf = ({ before, day }: Clash, out: number): LaidDay | null =>
	[day, before].find(({ day: at, tests }) => tests.length === 0 && at > out) ?? null;

const hardTwice: PlanCheck = (subject) =>
	clashes(subject).flatMap((same): PlanFinding[] => {
		const [first] = same;
		const muscle = first?.muscles[0];
		if (!first || !muscle) return [];
		const swaps = same.flatMap((clash): [number, number][] => {
			const moved = movableOf(clash, subject.out);
			const other = moved && betterPlace(subject, moved);
			return moved === null || other === null
				? []
				: [[Math.min(other, moved.day), Math.max(other, moved.day)]];
		});
		const sets = ({ sent }: LaidDay) => sent?.balance.sets[muscle] ?? 0;
		const often = same.length > 1 ? `, in ${same.length} weeks` : '';
		return [
			{
				rule: 'hard two days running',
				weight: 'watch',
				title: `${capital(listed(first.muscles, 3))} hard on days ${first.before.day} and ${first.day.day}${often}`,
				figure: `${first.before.sent?.name}, then ${first.day.sent?.name}: ${sets(first.before)} and ${sets(first.day)} sets on ${muscle}; ${subject.house.hardSets} and more count as hard.`,
				days: same.flatMap(({ before, day }) => [before.day, day.day]),
				source: ACSM,
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
const strengthDays: PlanCheck = ({ laid, out }) => {
	const alike = new Map<string, { weeks: number[]; days: number[]; short: [string, number][] }>();
	for (const { week, days } of laid.weeks) {
		if (days.length < FULL_WEEK || !days.some((day) => day.sent && day.day > out)) continue;
		const short = [...daysByGroup(days)].filter(([, count]) => count < STRENGTH_DAYS);
		if (short.length === 0) continue;
		const same = alike.get(JSON.stringify(short)) ?? { weeks: [], days: [], short };
		same.weeks.push(week);
		same.days.push(...days.map((day) => day.day));
		alike.set(JSON.stringify(short), same);
	}
	return [...alike.values()].map(({ weeks, days, short }): PlanFinding => ({
		rule: 'strengthening days',
		weight: short.some(([, count]) => count === 0) ? 'watch' : 'hint',
		title: `${weeks.length > 1 ? 'Weeks' : 'Week'} ${listed(weeks)}: ${listed(short.map(([group]) => group))} on fewer than ${STRENGTH_DAYS} days`,
		figure: `${short.map(([group, count]) => `${group} on ${counted(count, 'day')}`).join(', ')}; all major groups on at least ${STRENGTH_DAYS} days a week.`,
		days,
		source: WHO,
		remedy: null
	}));
};

/** The groups that are under the mark in a week, with their largest muscle’s sets. */
const weekSets: PlanCheck = ({ laid, house }) => {
	const by = new Map<string, { weeks: number[]; least: number }>();
	for (const { week, days, sets, light } of laid.weeks) {
		if (days.length < FULL_WEEK || light || !days.some((day) => day.sent)) continue;
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
			weight: 'hint',
			title: `${capital(listed(worst.map(([group]) => group)))} under ${house.weekSets} sets a week`,
			figure: `${worst
				.slice(0, 4)
				.map(
					([group, { weeks, least }]) => `${group} ${least} at the least, in ${counted(weeks.length, 'week')}`
				)
				.join(
					'; '
				)}. More sets bring more size, up to about ${house.weekSets} and beyond; fewer still make stronger.`,
			days: [],
			source: 'Schoenfeld, Ogborn and Krieger 2017, J Sports Sci 35:1073',
			remedy: null
		}
	];
};

export const MUSCLE_CHECKS: PlanCheck[] = [hardTwice, strengthDays, weekSets];

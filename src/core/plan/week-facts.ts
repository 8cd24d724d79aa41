import { daysByGroup, MAJOR, setsOfGroup } from './groups';
import type { ResolvedPlan } from './resolved-plan';

/** A week in figures, each with what it is held against. */
export interface WeekFacts {
	week: number;
	light: boolean;
	/** Days with work. */
	works: number;
	minutes: number;
	load: number;
	/** Share by which it is more (less: negative) than `than`, the last whole week before that was not lighter. */
	rise: { share: number; than: number } | null;
	/** Null where all days are alike. */
	monotony: number | null;
	strain: number | null;
	/** Moderate minutes, vigorous ones counted twice. */
	aerobic: number;
	steady: number;
	hard: number;
	/** Major groups: days on which they are worked, and sets of their muscle that has most. */
	groups: { group: string; days: number; sets: number }[];
}

/** What a week comes to. @param week from 1 @throws RangeError for one that the plan has not */
export function weekFacts(resolved: ResolvedPlan, week: number): WeekFacts {
	const now = resolved.weeks[week - 1];
	if (!now) throw new RangeError(`week: ${week}; the plan has ${resolved.weeks.length}`);
	const before = resolved.weeks
		.slice(0, week - 1)
		.findLast(({ light, days, load }) => !light && days.length === 7 && load > 0);
	const days = daysByGroup(now.days);
	const cardio = (kind: 'steady' | 'hard') =>
		now.days.filter((day) => day.prescribed?.cardio === kind).length;
	return {
		week,
		light: now.light,
		works: now.days.filter(({ kind }) => kind !== 'rest').length,
		minutes: now.minutes,
		load: now.load,
		rise: before ? { share: now.load / before.load - 1, than: before.week } : null,
		monotony: now.monotony,
		strain: now.strain,
		aerobic: now.aerobic,
		steady: cardio('steady'),
		hard: cardio('hard'),
		groups: Object.keys(MAJOR).map((group) => ({
			group,
			days: days.get(group) ?? 0,
			sets: setsOfGroup(group, now.sets)
		}))
	};
}

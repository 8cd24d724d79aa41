import type { Muscle } from '../exercise';
import type { ResolvedDay } from './resolved-plan';

/** Major muscle groups that guidance names, each with the muscles that stand for it here. */
export const MAJOR: Readonly<Record<string, readonly Muscle[]>> = {
	chest: ['chest'],
	shoulders: ['front shoulder', 'side shoulder', 'rear shoulder'],
	back: ['upper back', 'lats'],
	arms: ['biceps', 'triceps'],
	trunk: ['abs', 'obliques', 'lower back'],
	hips: ['glutes', 'outer hip'],
	thighs: ['quads', 'hamstrings']
};

/** Days a week on which each of them is worked (WHO 2020; Physical Activity Guidelines for Americans 2018). */
export const STRENGTH_DAYS = 2;
/** Minutes of moderate activity in a week, vigorous ones counted twice (the same). */
export const AEROBIC_MINUTES = 150;

/** How many of some days work each group. */
export const daysByGroup = (days: readonly ResolvedDay[]): Map<string, number> =>
	new Map(
		Object.entries(MAJOR).map(([group, muscles]) => [
			group,
			days.filter((day) => muscles.some((muscle) => (day.prescribed?.balance.sets[muscle] ?? 0) >= 1)).length
		])
	);

/** Sets of the muscle of a group that has most of them: a group counts as worked as far as one of its muscles is. */
export const setsOfGroup = (group: string, sets: Readonly<Partial<Record<Muscle, number>>>): number =>
	Math.max(0, ...(MAJOR[group] ?? []).map((muscle) => sets[muscle] ?? 0));

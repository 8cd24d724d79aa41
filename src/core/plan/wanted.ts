/** What a group would like of its plan, against what is planned. */
import type { Muscle } from '../exercise';
import { SORE_AREAS, SORE_KEYS, type SoreArea } from '../wellbeing';

/** One part of the body: who wants more or less of it, and how many sets are planned for it. */
export interface Wanted {
	area: SoreArea;
	more: number;
	less: number;
	/** Direct sets of the muscle of the part that has most of them. */
	sets: number;
}

/**
 * Requests by the part of the body, those that most ask for first.
 *
 * @param sets direct sets of what is planned, by muscle
 */
export function wantedOf(
	requests: readonly { wants: 'more' | 'less' | 'other'; area: SoreArea | null }[],
	sets: Readonly<Partial<Record<Muscle, number>>>
): Wanted[] {
	return SORE_KEYS.map((area) => {
		const about = requests.filter((one) => one.area === area);
		const count = (wants: 'more' | 'less') => about.filter((one) => one.wants === wants).length;
		const muscles: readonly Muscle[] = SORE_AREAS[area];
		return {
			area,
			more: count('more'),
			less: count('less'),
			sets: Math.max(...muscles.map((muscle) => sets[muscle] ?? 0))
		};
	})
		.filter(({ more, less }) => more + less > 0)
		.sort((a, b) => b.more + b.less - (a.more + a.less));
}

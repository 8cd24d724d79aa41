import type { DayKind } from './kinds';

/** What of a day decides whether it is one of those that are counted. */
interface Counted {
	kind: DayKind;
	/** Why nobody does it; null or left out: they do. */
	cancelled?: string | null;
}

/** The days of a challenge on which something is done, as they are counted: “14 of 26, 12 left, halfway”. */
export interface Milestones {
	/** Days with work, ascending. */
	works: readonly number[];
	/** The day on which half of them are done; null without any. */
	halfway: number | null;
}

/** Counts the days with work. Halfway is the middle one: of 26 the 13th, of 27 the 14th (common practice, no source). */
export function milestonesOf(days: readonly Counted[]): Milestones {
	const works = days.flatMap(({ kind, cancelled }, i) =>
		kind === 'rest' || (cancelled ?? null) !== null ? [] : [i + 1]
	);
	return { works, halfway: works[Math.ceil(works.length / 2) - 1] ?? null };
}

/** The how-many-th a day is and how many are left after it; `number` is null on a day without work. */
export function placeAmong(
	{ works }: Milestones,
	day: number
): { number: number | null; of: number; left: number } {
	const at = works.indexOf(day);
	return {
		number: at < 0 ? null : at + 1,
		of: works.length,
		left: works.filter((work) => work > day).length
	};
}

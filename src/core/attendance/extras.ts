/** What is done beside the plan: sessions taken from the shelf. */

/** When it came in (epoch ms), the share that was done (above 0, at most 1), and whether it counts (1) or not (0). */
export type ExtraEntry = [at: number, credit: number, counts: 0 | 1];

export interface Extras {
	/** How many were taken. */
	taken: number;
	/** What those that count are worth together. */
	credit: number;
	/** When the last one came in; null: none has. */
	last: number | null;
}

/** What somebody's extra sessions add up to, as far as they had come in at an instant. */
export function extrasOf(entries: readonly ExtraEntry[], now: number): Extras {
	const seen = entries.filter(([at]) => at <= now);
	return {
		taken: seen.length,
		credit: seen.reduce((sum, [, credit, counts]) => sum + credit * counts, 0),
		last: seen.reduce<number | null>((last, [at]) => Math.max(last ?? at, at), null)
	};
}

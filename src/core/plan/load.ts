import { moments } from '../stats';

/**
 * Load of a session: session RPE × minutes, in arbitrary units (Foster et al. 2001, J Strength Cond Res 15:109).
 *
 * @param effort 0…10
 */
export const sessionLoad = (effort: number, minutes: number): number => effort * minutes;

export interface WeekLoad {
	/** Sum of the days. */
	load: number;
	/**
	 * Mean of the daily loads over their standard deviation; null where all days are alike, for which it has no
	 * value. The deviation is that of a sample (n − 1), as spreadsheets and Foster's readers compute it.
	 */
	monotony: number | null;
	/** Load × monotony. */
	strain: number | null;
}

/** Load, monotony and strain of a week from its daily loads, rest days included (Foster 1998, MSSE 30:1164). */
export function weekLoad(daily: readonly number[]): WeekLoad {
	const load = daily.reduce((sum, day) => sum + day, 0);
	if (daily.length < 2) return { load, monotony: null, strain: null };
	const { mean, sd } = moments(daily);
	const monotony = sd > 0 ? mean / sd : null;
	return { load, monotony, strain: monotony === null ? null : load * monotony };
}

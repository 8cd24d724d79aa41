/** The best that a test brought. */
import { isAbove, performanceKey, performancesOf, type DoneDay, type Performance } from './done-day';
import { gainOf, type Gain } from './gains';

/** What was better at a test than at every test before, and on which day the best of those was. */
export interface BestResult {
	gain: Gain;
	before: number;
}

/** By which share something was better. */
function shareOf(gain: Gain): number {
	if (gain.kind === 'total') return gain.now / gain.before - 1;
	const { before, now } = gain;
	return gain.kind === 'load' && before.kg
		? (now.kg ?? 0) / before.kg - 1
		: now.amount / Math.max(1, before.amount) - 1;
}

/**
 * What somebody did better at a test than at any test before, by the greatest share; the first of equals. Null: it is no test
 * of the plan, it is their first, or nothing was better.
 *
 * @param earlier days before it, in any order; those that are no tests are left aside
 */
export function bestTestOf(earlier: readonly DoneDay[], now: DoneDay): BestResult | null {
	if (!now.test) return null;
	const best = new Map<string, { one: Performance; day: number }>();
	for (const day of earlier.filter(({ test, at }) => test && at < now.at))
		for (const one of performancesOf(day)) {
			const known = best.get(performanceKey(one));
			if (!known || isAbove(one.top, known.one.top)) best.set(performanceKey(one), { one, day: day.day });
		}
	let found: BestResult | null = null;
	for (const one of performancesOf(now)) {
		const before = best.get(performanceKey(one));
		const gain = before && gainOf(before.one, one);
		if (gain && (!found || shareOf(gain) > shareOf(found.gain))) found = { gain, before: before.day };
	}
	return found;
}

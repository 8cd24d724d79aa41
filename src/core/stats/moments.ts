import { mean, sampleStandardDeviation } from 'simple-statistics';

/**
 * Mean and standard deviation of a sample (divisor n − 1).
 *
 * @param values at least one
 * @returns `sd` is 0 for a single value
 * @throws RangeError without values
 */
export function moments(values: readonly number[]): { mean: number; sd: number } {
	if (values.length === 0) throw new RangeError('values: at least one is needed');
	const list = [...values];
	return { mean: mean(list), sd: list.length === 1 ? 0 : sampleStandardDeviation(list) };
}

/**
 * The value below which a share of the sorted values lies, between neighbours by straight lines (R's type 7, which
 * spreadsheets use too).
 *
 * @param share 0…1; beyond, the first or the last value
 * @throws RangeError without values
 */
export function quantile(sorted: readonly number[], share: number): number {
	if (sorted.length === 0) throw new RangeError('sorted: at least one value is needed');
	const at = Math.min(1, Math.max(0, share)) * (sorted.length - 1);
	const below = sorted[Math.floor(at)] ?? 0;
	const above = sorted[Math.ceil(at)] ?? below;
	return below + (above - below) * (at - Math.floor(at));
}

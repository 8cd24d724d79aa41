/**
 * Mean and standard deviation of a sample (divisor n − 1), in two passes so that large values with small
 * differences keep their digits.
 *
 * @param values at least one
 * @returns `sd` is 0 for a single value
 * @throws RangeError without values
 */
export function moments(values: readonly number[]): { mean: number; sd: number } {
	if (values.length === 0) throw new RangeError('values: at least one is needed');
	const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
	if (values.length === 1) return { mean, sd: 0 };
	// The second sum takes back what rounding left in the mean (Chan, Golub and LeVeque 1983).
	let squares = 0;
	let rest = 0;
	for (const value of values) {
		squares += (value - mean) ** 2;
		rest += value - mean;
	}
	return { mean, sd: Math.sqrt(Math.max(0, squares - rest ** 2 / values.length) / (values.length - 1)) };
}

/** The value below which a share of the sorted values lies, between neighbours by straight lines (R's type 7). */
export function quantile(sorted: readonly number[], share: number): number {
	if (sorted.length === 0) throw new RangeError('sorted: at least one value is needed');
	const at = Math.min(1, Math.max(0, share)) * (sorted.length - 1);
	const below = sorted[Math.floor(at)] ?? 0;
	const above = sorted[Math.ceil(at)] ?? below;
	return below + (above - below) * (at - Math.floor(at));
}

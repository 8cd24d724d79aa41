/** z of a two-sided 95 % interval. */
const Z95 = 1.959963984540054;

/**
 * Wilson's score interval for a share, without continuity correction (Wilson 1927; Newcombe 1998, method 3).
 *
 * @param successes 0…n; a sum of credits may be fractional
 * @param n trials, above 0
 * @param z quantile of the normal distribution; 95 % by default
 * @returns bounds within 0…1
 * @throws RangeError naming the argument
 */
export function wilson(successes: number, n: number, z = Z95): { low: number; high: number } {
	if (!(n > 0)) throw new RangeError(`n: ${n}; at least one trial is needed`);
	if (!(successes >= 0 && successes <= n))
		throw new RangeError(`successes: ${successes}; 0 to ${n} is possible`);
	const p = successes / n;
	const centre = (p + (z * z) / (2 * n)) / (1 + (z * z) / n);
	const half = (z / (1 + (z * z) / n)) * Math.sqrt((p * (1 - p)) / n + (z * z) / (4 * n * n));
	return { low: Math.max(0, centre - half), high: Math.min(1, centre + half) };
}

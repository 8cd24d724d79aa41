/**
 * Newcombe RG. Two-sided confidence intervals for the single proportion: comparison of seven methods.
 * Statistics in Medicine 1998; 17: 857-872, table I, method 3 (score, no continuity correction). The first
 * example is given by the design of this project; the others are from memory.
 */
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { wilson } from '$core/stats';

describe('Wilson score interval', () => {
	it.each([
		[81, 263, 0.2553, 0.3662],
		[15, 148, 0.0624, 0.1605],
		[0, 20, 0, 0.1611],
		[1, 29, 0.0061, 0.1718]
	])('%i of %i', (x, n, low, high) => {
		const interval = wilson(x, n);
		expect(interval.low).toBeCloseTo(low, 4);
		expect(interval.high).toBeCloseTo(high, 4);
	});

	it('solves |p − p0| = z √(p0 (1 − p0) / n) at both ends, with jstat’s quantile', () => {
		const z = jstat.normal.inv(0.975, 0, 1);
		for (const [x, n] of [
			[81, 263],
			[7, 9],
			[30.5, 42],
			[1, 300]
		] as const) {
			const { low, high } = wilson(x, n);
			for (const bound of [low, high])
				expect(Math.abs(x / n - bound)).toBeCloseTo(z * Math.sqrt((bound * (1 - bound)) / n), 10);
		}
	});
});

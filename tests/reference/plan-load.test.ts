/**
 * Load, monotony and strain (Foster 1998; Foster et al. 2001), and the mean and standard deviation under them
 * against NIST’s Statistical Reference Datasets and jstat.
 */
import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { weekLoad } from '$core/plan/load';
import { moments, quantile } from '$core/stats';

describe('mean and standard deviation', () => {
	// NIST StRD, univariate summary statistics; the data sets are built by rule, certified values from memory.
	const alternating = (start: number, low: number, high: number) => [
		start,
		...Array.from({ length: 1000 }, (_, i) => (i % 2 === 0 ? low : high))
	];
	it.each([
		['NumAcc1', [10000001, 10000003, 10000002], 10000002, 1],
		['NumAcc2', alternating(1.2, 1.1, 1.3), 1.2, 0.1],
		['NumAcc3', alternating(1000000.2, 1000000.1, 1000000.3), 1000000.2, 0.1],
		['NumAcc4', alternating(10000000.2, 10000000.1, 10000000.3), 10000000.2, 0.1]
	])('%s', (_, data, mean, sd) => {
		const found = moments(data);
		expect(Math.abs(found.mean / mean - 1)).toBeLessThan(1e-13);
		// NumAcc4 holds its tenths in doubles to about eight digits only.
		expect(Math.abs(found.sd / sd - 1)).toBeLessThan(1e-7);
	});

	it('are those of jstat, quantiles too', () => {
		const values = fc.array(fc.double({ min: -1e4, max: 1e4, noNaN: true }), { minLength: 2, maxLength: 60 });
		fc.assert(
			fc.property(values, fc.double({ min: 0, max: 1, noNaN: true }), (data, share) => {
				const { mean, sd } = moments(data);
				expect(mean).toBeCloseTo(jstat.mean(data), 6);
				expect(sd).toBeCloseTo(jstat.stdev(data, true), 6);
				const sorted = [...data].sort((a, b) => a - b);
				expect(quantile(sorted, share)).toBeCloseTo(jstat.quantiles(data, [share], 1, 1)[0] ?? NaN, 6);
			})
		);
	});
});

describe('load of a week', () => {
	it('gives monotony and strain as the definition and jstat give them', () => {
		// Foster 1998: mean of the seven daily loads over their standard deviation; week load times that. No published table
		// of a week was at hand to compare with: the definition is checked, by another library's mean and deviation.
		const week = fc.array(fc.integer({ min: 0, max: 900 }), { minLength: 7, maxLength: 7 });
		fc.assert(
			fc.property(week, (loads) => {
				const { load, monotony, strain } = weekLoad(loads);
				const sd = jstat.stdev(loads, true);
				expect(load).toBe(loads.reduce((sum, n) => sum + n, 0));
				if (sd === 0) {
					expect(monotony).toBeNull();
					return;
				}
				expect(monotony).toBeCloseTo(jstat.mean(loads) / sd, 8);
				expect(strain).toBeCloseTo((load * jstat.mean(loads)) / sd, 5);
			})
		);
	});

	it('is worked out by hand for five hard days and two of rest', () => {
		// Loads 180 180 240 0 180 240 0: sum 1020, mean 145.714; squares about the mean 63 771.43, SD of a sample 103.095.
		const { load, monotony, strain } = weekLoad([180, 180, 240, 0, 180, 240, 0]);
		expect(load).toBe(1020);
		expect(monotony).toBeCloseTo(1.4134, 4);
		expect(strain).toBeCloseTo(1441.67, 1);
	});

	it('has no monotony when every day is alike, and more the more alike they are', () => {
		expect(weekLoad([100, 100, 100, 100, 100, 100, 100])).toEqual({
			load: 700,
			monotony: null,
			strain: null
		});
		expect(weekLoad([])).toMatchObject({ load: 0 });
		const varied = weekLoad([300, 0, 300, 0, 100, 0, 0]).monotony ?? 0;
		expect(weekLoad([100, 90, 110, 100, 100, 90, 110]).monotony ?? 0).toBeGreaterThan(varied);
	});
});

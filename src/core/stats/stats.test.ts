import { describe, expect, it } from 'vitest';
import { seededRandom, moments, normal, quantile } from '.';

describe('moments and quantiles', () => {
	it('of one value have no spread, of none no answer', () => {
		expect(moments([7])).toEqual({ mean: 7, sd: 0 });
		expect(() => moments([])).toThrow(/values/);
		expect(() => quantile([], 0.5)).toThrow(/sorted/);
	});

	it('lie between neighbours, and within the values whatever the share', () => {
		expect([0, 0.25, 0.5, 1].map((share) => quantile([10, 20, 40], share))).toEqual([10, 15, 20, 40]);
		expect([-1, 2].map((share) => quantile([10, 20, 40], share))).toEqual([10, 40]);
	});
});

describe('chance', () => {
	const draw = (seed: string) => Array.from({ length: 2000 }, seededRandom(seed));

	it('is the same for the same seed and another for another', () => {
		expect(draw('a')).toEqual(draw('a'));
		expect(draw('a')).not.toEqual(draw('b'));
	});

	it('is spread evenly over 0 to 1', () => {
		const values = draw('even');
		expect(values.every((value) => value >= 0 && value < 1)).toBe(true);
		// Mean ½ with a standard error of 0.0065, standard deviation √(1/12).
		expect(Math.abs(moments(values).mean - 0.5)).toBeLessThan(4 * 0.0065);
		expect(moments(values).sd).toBeCloseTo(Math.sqrt(1 / 12), 1);
	});
});

describe('normal', () => {
	it('has mean 0, standard deviation 1 and 95 % within 1.96 of the mean', () => {
		const draw = normal(seededRandom('normal'));
		const values = Array.from({ length: 20_000 }, draw);
		// Standard errors: 0.007 of the mean, 0.005 of the deviation, 0.0015 of the share.
		expect(Math.abs(moments(values).mean)).toBeLessThan(4 * 0.0071);
		expect(Math.abs(moments(values).sd - 1)).toBeLessThan(4 * 0.005);
		const within = values.filter((value) => Math.abs(value) < 1.959964).length / values.length;
		expect(Math.abs(within - 0.95)).toBeLessThan(4 * 0.0015);
	});
});

it('takes two even values for two deviates, as Box and Muller have it', () => {
	// u = 1 − e^(−½), v = ¼: a size of 1 turned by 90° gives 0 and 1.
	const values = [1 - Math.exp(-0.5), 0.25, 0, 0.5];
	const draw = normal(() => values.shift() ?? NaN);
	expect(draw()).toBeCloseTo(0, 12);
	expect(draw()).toBeCloseTo(1, 12);
	// A size of 0 has no direction.
	expect(draw()).toBeCloseTo(0, 12);
	expect(draw()).toBeCloseTo(0, 12);
	expect(values).toEqual([]);
});

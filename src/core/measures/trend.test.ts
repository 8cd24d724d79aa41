import { DAY_MS } from '../calendar';
import { describe, expect, it } from 'vitest';
import { losingTooFast, smoothed, trendOf, type Measured } from './trend';

const daily = (...values: number[]): Measured[] => values.map((value, i) => ({ at: i * DAY_MS, value }));

describe('trendOf', () => {
	it('is the slope in a week, with its interval', () => {
		// Worked by hand: days 0, 7, 14 with 80, 79.4, 78.2 kg. Slope (78.2 - 80) / 2 = -0.9; residuals -0.1, 0.2, -0.1:
		// s² = 0.06 / 1, error sqrt(0.06 / 2) = 0.1732, t(1) = 12.706.
		const trend = trendOf([
			{ at: 14 * DAY_MS, value: 78.2 },
			{ at: 0, value: 80 },
			{ at: 7 * DAY_MS, value: 79.4 }
		])!;
		expect(trend.perWeek).toBeCloseTo(-0.9, 10);
		expect(trend.interval!.low).toBeCloseTo(-0.9 - 2.2008, 3);
		expect(trend.interval!.high).toBeCloseTo(-0.9 + 2.2008, 3);
		expect([trend.n, trend.days]).toEqual([3, 14]);
	});
	it('of two values has no interval, and of one there is none', () => {
		expect(
			trendOf([
				{ at: 0, value: 80 },
				{ at: 7 * DAY_MS, value: 79 }
			])
		).toEqual({
			perWeek: -1,
			interval: null,
			n: 2,
			days: 7
		});
		expect(trendOf(daily(80))).toBeNull();
		expect(
			trendOf([
				{ at: 5, value: 80 },
				{ at: 5, value: 81 },
				{ at: 5, value: 82 }
			])
		).toBeNull();
	});
});

describe('smoothed', () => {
	it('goes a part of the way, the longer ago the last value the further', () => {
		const [first, second] = smoothed([
			{ at: 0, value: 80 },
			{ at: 7 * DAY_MS, value: 90 }
		]);
		expect(first!.value).toBe(80);
		expect(second!.value).toBeCloseTo(80 + 10 * (1 - Math.exp(-1)), 10);
		expect(
			smoothed([
				{ at: 0, value: 80 },
				{ at: 0, value: 90 }
			])[1]!.value
		).toBeLessThan(80.1);
		expect(smoothed([])).toEqual([]);
	});
	it('of values that are the same is the same', () => {
		expect(smoothed(daily(70, 70, 70)).map(({ value }) => value)).toEqual([70, 70, 70]);
	});
});

describe('losingTooFast', () => {
	const losing = (perDay: number, days: number, swing = 0) =>
		losingTooFast(
			daily(...Array.from({ length: days + 1 }, (_, i) => 80 - perDay * i + (i % 2 ? swing : -swing))),
			days * DAY_MS
		);
	it('is from more than 1 % a week on', () => {
		// 80 kg: 0.8 kg a week are 1 %.
		expect(losing(0.16, 14)).toMatchObject({ kgPerWeek: expect.closeTo(-1.12, 6) as number, days: 14 });
		expect(losing(0.16, 14)!.share).toBeCloseTo(1.12 / (80 - 0.16 * 7), 6);
		expect(losing(0.1, 14)).toBeNull();
		expect(losing(-0.2, 14), 'gaining').toBeNull();
	});
	it('needs enough values over enough days, and a line that is none of chance', () => {
		expect(losing(0.2, 9)).toBeNull();
		expect(losing(0.2, 10)).not.toBeNull();
		expect(
			losingTooFast(
				[0, 6, 12].map((day) => ({ at: day * DAY_MS, value: 80 - day * 0.3 })),
				12 * DAY_MS
			)
		).toBeNull();
		expect(losing(0.16, 14, 6)).toBeNull();
	});
	it('looks four weeks back', () => {
		const old = daily(...Array.from({ length: 20 }, (_, i) => 80 - 0.3 * i));
		expect(losingTooFast(old, 19 * DAY_MS)).not.toBeNull();
		expect(losingTooFast(old, 60 * DAY_MS)).toBeNull();
	});
});

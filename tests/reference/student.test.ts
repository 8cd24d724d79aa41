/** Student's t against jstat, and slopes against simple-statistics: other people's code for the same thing. */
import { DAY_MS } from '$core/calendar';
import fc from 'fast-check';
import jstat from 'jstat';
import { linearRegression } from 'simple-statistics';
import { expect, it } from 'vitest';
import { trendOf } from '$core/measures';
import { studentT } from '$core/stats';

it('lies where jstat has it, for every number of degrees and share', () => {
	for (const degrees of [1, 2, 3, 4, 5, 7, 8, 10, 15, 20, 29, 30, 60, 119, 120, 400])
		for (const share of [0.5, 0.8, 0.9, 0.95, 0.99, 0.999])
			expect(studentT(degrees, share)).toBeCloseTo(jstat.studentt.inv((1 + share) / 2, degrees), 5);
});

it('has the values of the printed tables', () => {
	// NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.6.7.2, two-sided 95 %; from memory.
	const table = { 1: 12.706, 2: 4.303, 3: 3.182, 5: 2.571, 10: 2.228, 20: 2.086, 30: 2.042, 100: 1.984 };
	for (const [degrees, t] of Object.entries(table)) expect(studentT(Number(degrees))).toBeCloseTo(t, 3);
});

it('refuses what is none', () => {
	for (const degrees of [0, -1, 1.5, NaN]) expect(() => studentT(degrees)).toThrow(RangeError);
	for (const share of [0, 1, NaN]) expect(() => studentT(3, share)).toThrow(RangeError);
});

it('a trend has the slope that simple-statistics finds', () => {
	const WEEK = 7 * DAY_MS;
	fc.assert(
		fc.property(
			fc.array(fc.record({ x: fc.integer({ min: 0, max: 400 }), y: fc.integer({ min: 40, max: 120 }) }), {
				minLength: 2,
				maxLength: 40
			}),
			(points) => {
				const trend = trendOf(points.map(({ x, y }) => ({ at: (x / 7) * WEEK, value: y })));
				if (new Set(points.map(({ x }) => x)).size < 2) {
					expect(trend).toBeNull();
					return;
				}
				const { m } = linearRegression(points.map(({ x, y }) => [x / 7, y]));
				expect(trend!.perWeek).toBeCloseTo(m, 6);
				if (trend!.interval) {
					expect(trend!.interval.low).toBeLessThanOrEqual(trend!.perWeek);
					expect(trend!.interval.high).toBeGreaterThanOrEqual(trend!.perWeek);
				}
			}
		),
		// Nothing but one instant.
		{
			examples: [
				[
					[
						{ x: 0, y: 40 },
						{ x: 0, y: 41 }
					]
				]
			]
		}
	);
});

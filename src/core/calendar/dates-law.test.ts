/** Dates against Temporal, which has the calendar of ISO 8601. */
import { Temporal } from 'temporal-polyfill';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { addDays, daysBetween, isDate, weekdayOf } from './dates';

const FIRST = Temporal.PlainDate.from('1800-01-01');
const date = fc.integer({ min: 0, max: 150_000 }).map((days) => FIRST.add({ days }).toString());

it('days are added, counted and named as in the calendar', () => {
	fc.assert(
		fc.property(date, fc.integer({ min: -4000, max: 4000 }), (one, days) => {
			const other = Temporal.PlainDate.from(one).add({ days }).toString();
			expect(addDays(one, days)).toBe(other);
			expect(daysBetween(one, other)).toBe(days);
			expect(weekdayOf(one)).toBe(Temporal.PlainDate.from(one).dayOfWeek);
		}),
		{ numRuns: 2000 }
	);
});

it('dates are those that there are', () => {
	const text = fc
		.tuple(
			fc.integer({ min: 1900, max: 2100 }),
			fc.integer({ min: 0, max: 14 }),
			fc.integer({ min: 0, max: 33 })
		)
		.map((parts) => parts.map((part) => String(part).padStart(2, '0')).join('-'));
	fc.assert(
		fc.property(text, (one) => {
			let there = true;
			try {
				Temporal.PlainDate.from(one, { overflow: 'reject' });
			} catch {
				there = false;
			}
			expect(isDate(one)).toBe(there);
		}),
		{ numRuns: 3000 }
	);
	for (const odd of ['2026-1-1', '2026-01-01T00:00', ' 2026-01-01', '', '2026-02-30', '20260101'])
		expect(isDate(odd)).toBe(false);
	expect(() => addDays('2026-02-30', 1)).toThrow('is no day of the calendar');
	expect(() => addDays('2026-02-01', 0.5)).toThrow(RangeError);
});

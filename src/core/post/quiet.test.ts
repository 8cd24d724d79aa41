import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import { afterQuiet } from './quiet';

const NIGHT = { from: 21 * 60, to: 7 * 60 };
const at = (iso: string, zone: string) => DateTime.fromISO(iso, { zone }).toMillis();
const says = (instant: number, zone: string) =>
	DateTime.fromMillis(instant, { zone }).toFormat('yyyy-MM-dd HH:mm');
const after = (iso: string, zone = 'Europe/Oslo', quiet = NIGHT) =>
	says(afterQuiet(at(iso, zone), zone, quiet), zone);

describe('afterQuiet', () => {
	it('lets go at once by day', () => {
		expect(after('2026-05-13T12:00')).toBe('2026-05-13 12:00');
		expect(after('2026-05-13T07:00'), 'as they end').toBe('2026-05-13 07:00');
		expect(after('2026-05-13T20:59')).toBe('2026-05-13 20:59');
	});
	it('waits for the morning of the same day, or of the next', () => {
		expect(after('2026-05-13T21:00'), 'as they begin').toBe('2026-05-14 07:00');
		expect(after('2026-05-13T23:59')).toBe('2026-05-14 07:00');
		expect(after('2026-05-13T00:00')).toBe('2026-05-13 07:00');
		expect(after('2026-05-13T06:59')).toBe('2026-05-13 07:00');
	});
	it('goes by the clock of whoever it is for', () => {
		const instant = at('2026-05-13T12:00', 'Europe/Oslo');
		expect(says(afterQuiet(instant, 'Pacific/Auckland', NIGHT), 'Pacific/Auckland')).toBe('2026-05-14 07:00');
	});
	it('knows quiet hours within one day, and none', () => {
		expect(after('2026-05-13T13:30', 'Europe/Oslo', { from: 13 * 60, to: 15 * 60 })).toBe('2026-05-13 15:00');
		expect(after('2026-05-13T15:30', 'Europe/Oslo', { from: 13 * 60, to: 15 * 60 })).toBe('2026-05-13 15:30');
		expect(after('2026-05-13T03:00', 'Europe/Oslo', { from: 0, to: 0 })).toBe('2026-05-13 03:00');
	});
	it('ends by the clock on nights when it changes', () => {
		expect(after('2026-03-28T23:00')).toBe('2026-03-29 07:00');
		expect(after('2026-10-24T23:00')).toBe('2026-10-25 07:00');
		// From 03:00 back to 02:00: whoever has their morning then waits for no second one.
		const zone = 'Europe/Oslo';
		const second = DateTime.fromISO('2026-10-25T02:10:00+01:00').toMillis();
		expect(afterQuiet(second, zone, { from: 21 * 60, to: 150 })).toBeGreaterThanOrEqual(second);
	});
	it('is never before, never within, and at most a day later, wherever and whenever', () => {
		const zones = [
			'Europe/Oslo',
			'America/St_Johns',
			'Pacific/Apia',
			'Australia/Lord_Howe',
			'Asia/Kathmandu'
		];
		fc.assert(
			fc.property(
				fc.integer({ min: at('2026-01-01', 'utc'), max: at('2027-12-31', 'utc') }),
				fc.constantFrom(...zones),
				fc.integer({ min: 0, max: 1439 }),
				fc.integer({ min: 0, max: 1439 }),
				(instant, zone, from, to) => {
					const goes = afterQuiet(instant, zone, { from, to });
					expect(goes).toBeGreaterThanOrEqual(instant);
					expect(goes - instant).toBeLessThanOrEqual(25 * 3_600_000);
					if (goes > instant) {
						// At the end of them by the clock, or just after a gap that it fell into.
						const { hour, minute } = DateTime.fromMillis(goes, { zone });
						expect(Math.abs(hour * 60 + minute - to)).toBeLessThanOrEqual(60);
					}
				}
			),
			{ numRuns: 300 }
		);
	});
});

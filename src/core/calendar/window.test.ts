import { describe, expect, it } from 'vitest';
import { addDays, daysBetween, isDate, weekdayOf } from './dates';
import { dateIn, instantOf, isZone, minutesIn } from './zone';
import {
	dateOfDay,
	dueWindow,
	windowOfMoved,
	windowToCatchUp,
	type DueWindow,
	type ReleasePolicy
} from './window';

const policy: ReleasePolicy = { startsOn: '2026-03-23', zone: null, opensAt: 330, lateHours: 36 };
const at = (ms: number) => new Date(ms).toISOString();

describe('dueWindow', () => {
	it('opens in each person’s own morning and is due at their midnight', () => {
		const oslo = dueWindow(1, { zone: 'Europe/Oslo', shiftDays: 0 }, policy);
		expect([at(oslo.opens), at(oslo.due), at(oslo.closes)]).toEqual([
			'2026-03-23T04:30:00.000Z',
			'2026-03-23T23:00:00.000Z',
			'2026-03-25T11:00:00.000Z'
		]);
		expect(at(dueWindow(1, { zone: 'Pacific/Auckland', shiftDays: 0 }, policy).opens)).toBe(
			'2026-03-22T16:30:00.000Z'
		);
		expect(at(dueWindow(1, { zone: 'Pacific/Honolulu', shiftDays: 0 }, policy).opens)).toBe(
			'2026-03-23T15:30:00.000Z'
		);
	});

	it('is the same instant for all when one zone rules', () => {
		const one = { ...policy, zone: 'Europe/Oslo' };
		expect(dueWindow(3, { zone: 'Asia/Seoul', shiftDays: 0 }, one)).toEqual(
			dueWindow(3, { zone: 'America/Bogota', shiftDays: 0 }, one)
		);
	});

	it('follows the clock over the change to summer time: day 7 opens an hour of UTC earlier', () => {
		// Oslo goes to summer time on 29 March 2026, which is day 7.
		expect(at(dueWindow(6, { zone: 'Europe/Oslo', shiftDays: 0 }, policy).opens)).toBe(
			'2026-03-28T04:30:00.000Z'
		);
		expect(at(dueWindow(7, { zone: 'Europe/Oslo', shiftDays: 0 }, policy).opens)).toBe(
			'2026-03-29T03:30:00.000Z'
		);
	});

	it('opens with the first minute after a gap', () => {
		const half = { ...policy, opensAt: 150 };
		expect(at(dueWindow(7, { zone: 'Europe/Oslo', shiftDays: 0 }, half).opens)).toBe(
			'2026-03-29T01:00:00.000Z'
		);
	});

	it('takes the first of an hour that comes twice', () => {
		const autumn = { ...policy, startsOn: '2026-10-25', opensAt: 150 };
		expect(at(dueWindow(1, { zone: 'Europe/Oslo', shiftDays: 0 }, autumn).opens)).toBe(
			'2026-10-25T00:30:00.000Z'
		);
	});

	it('gives a day that a zone skipped whole the hours of the next', () => {
		const apia = dueWindow(1, { zone: 'Pacific/Apia', shiftDays: 0 }, { ...policy, startsOn: '2011-12-30' });
		expect(apia.opens).toBeLessThan(apia.due);
	});

	it('moves with an own clock', () => {
		expect(dueWindow(1, { zone: 'Europe/Oslo', shiftDays: 8 }, policy)).toEqual(
			dueWindow(9, { zone: 'Europe/Oslo', shiftDays: 0 }, policy)
		);
		expect(dateOfDay(1, policy.startsOn, 8)).toBe('2026-03-31');
	});

	it('refuses a zone and a date that do not exist', () => {
		expect(() => dueWindow(1, { zone: 'Mars/Base', shiftDays: 0 }, policy)).toThrow(RangeError);
		expect(() =>
			dueWindow(1, { zone: 'Europe/Oslo', shiftDays: 0 }, { ...policy, startsOn: '2026-02-30' })
		).toThrow(/no day of the calendar/);
	});
});

describe('dates', () => {
	it('knows which exist', () => {
		expect(
			['2024-02-29', '2026-02-29', '2026-02-30', '2026-13-01', '26-01-01', 'tomorrow'].map(isDate)
		).toEqual([true, false, false, false, false, false]);
	});

	it('counts over months, leap days and years', () => {
		expect(addDays('2024-02-28', 2)).toBe('2024-03-01');
		expect(addDays('2026-01-01', -1)).toBe('2025-12-31');
		expect(daysBetween('2026-03-01', '2026-02-27')).toBe(-2);
	});

	it('names Monday 1 and Sunday 7', () => {
		expect([weekdayOf('2026-11-23'), weekdayOf('2026-11-29')]).toEqual([1, 7]);
	});
});

describe('windowOfMoved', () => {
	const [a, b, c] = [10, 20, 30].map((opens) => ({ opens, due: opens + 5, closes: opens + 8 })) as [
		DueWindow,
		DueWindow,
		DueWindow
	];

	it('keeps the hours of the zone in which the day opened', () => {
		expect(windowOfMoved([a], [])).toBe(a);
		expect(windowOfMoved([a, b], [9])).toBe(b);
		expect(windowOfMoved([a, b], [10])).toBe(a);
		expect(windowOfMoved([a, b, c], [9, 19])).toBe(c);
		expect(windowOfMoved([a, b, c], [9, 20])).toBe(b);
		expect(windowOfMoved([a, b, c], [12, 20])).toBe(a);
		// East: by the new clock it had opened before the move was said.
		expect(windowOfMoved([b, a], [15])).toBe(a);
		expect(windowOfMoved([c, a, b], [15, 40])).toBe(a);
	});

	it('says when a zone has no window', () => {
		expect(() => windowOfMoved([], [])).toThrow(/0 for 0/);
	});
});

describe('zones', () => {
	it('are names of the IANA database, not offsets and not planets', () => {
		expect(['Europe/Oslo', 'UTC', 'Asia/Calcutta', '+02:00', 'Mars/Base', ''].map(isZone)).toEqual([
			true,
			true,
			true,
			false,
			false,
			false
		]);
	});

	it('show date and time of an instant', () => {
		const instant = Date.UTC(2026, 10, 25, 23, 30);
		expect([dateIn('Asia/Seoul', instant), minutesIn('Asia/Kathmandu', instant)]).toEqual([
			'2026-11-26',
			5 * 60 + 15
		]);
	});

	it('lead from a local time to an instant and back', () => {
		for (const zone of ['America/St_Johns', 'Asia/Kathmandu', 'Pacific/Apia'])
			expect(minutesIn(zone, instantOf('2026-06-01', 330, zone))).toBe(330);
	});
});

describe('a window to catch up', () => {
	const window = { opens: 100, due: 200, closes: 300 };
	const until = (at: number) => windowToCatchUp(window, 3, { before: 5, until: at });
	it('of a day before one joined is due when the time to catch up ends, and never sooner than it was', () => {
		expect(until(900)).toEqual({ opens: 100, due: 900, closes: 900 });
		expect(until(250)).toEqual({ opens: 100, due: 250, closes: 300 });
		expect(until(50)).toEqual(window);
	});
	it('is only that of days before', () => {
		for (const day of [5, 6]) expect(windowToCatchUp(window, day, { before: 5, until: 900 })).toBe(window);
		expect(windowToCatchUp(window, 4, { before: 5, until: 900 }).due).toBe(900);
	});
});

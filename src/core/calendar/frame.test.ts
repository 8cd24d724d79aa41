import { describe, expect, it } from 'vitest';
import { addDays, isDate } from './dates';
import { calendarOf } from './frame';
import { dayInZone, releasedTo } from './group-day';
import { isZone } from './zone';

describe('calendarOf', () => {
	it('lays six weeks from a Monday', () => {
		const calendar = calendarOf({ startsOn: '2026-11-02', weeks: 6, trainingDays: [1, 2, 3, 5, 6] });
		expect(calendar.days).toHaveLength(42);
		expect(calendar.weekEnds).toEqual([
			'2026-11-08',
			'2026-11-15',
			'2026-11-22',
			'2026-11-29',
			'2026-12-06',
			'2026-12-13'
		]);
		expect(calendar.trainingDays).toBe(30);
	});

	it('begins its weeks with day 1, whatever weekday that is', () => {
		const { days, weekEnds } = calendarOf({ startsOn: '2026-11-05', weeks: 1, trainingDays: [4, 1] });
		expect(days.filter((day) => day.trains).map((day) => day.day)).toEqual([1, 5]);
		expect(weekEnds).toEqual(['2026-11-11']);
	});

	it('ends in the middle of a week where days were put in or taken out', () => {
		const { days, weekEnds } = calendarOf({
			startsOn: '2026-11-02',
			weeks: 2,
			days: 9,
			trainingDays: [1, 2]
		});
		expect(days).toHaveLength(9);
		expect(days.at(-1)).toMatchObject({ week: 2, date: '2026-11-10', trains: true });
		expect(weekEnds).toEqual(['2026-11-08', '2026-11-10']);
	});

	it('goes over a leap day', () => {
		expect(
			calendarOf({ startsOn: '2028-02-28', weeks: 1, trainingDays: [1] }).days.map((day) => day.date)[1]
		).toBe('2028-02-29');
	});

	it.each([
		[{ startsOn: '2026-02-30', weeks: 4 }, /startsOn/],
		[{ startsOn: '2026-11-02', weeks: 0 }, /weeks: 0/],
		[{ startsOn: '2026-11-02', weeks: 13 }, /weeks: 13/],
		[{ startsOn: '2026-11-02', weeks: 2.5 }, /weeks: 2.5/]
	])('refuses %o', (frame, message) => {
		expect(() => calendarOf({ ...frame, trainingDays: [1] })).toThrow(message);
	});
});

it('lays the longest challenge there is', () => {
	expect(calendarOf({ startsOn: '2026-11-02', weeks: 12, trainingDays: [1] }).days).toHaveLength(84);
});

describe('isDate', () => {
	it.each([
		['2026-11-02', true],
		['2028-02-29', true],
		['2026-02-29', false],
		['2026-02-30', false],
		['2026-13-01', false],
		['+002026-11-02', false],
		['2026-11-02T00:00', false],
		['2026-11-2', false],
		['20261102', false]
	])('%s: %s', (text, is) => {
		expect(isDate(text)).toBe(is);
		if (!is) expect(() => addDays(text, 1)).toThrow(RangeError);
	});
});

describe('the day that it is', () => {
	const at = (text: string) => Date.parse(text);

	it('is counted by each zone’s own date', () => {
		const now = at('2026-11-02T11:30:00Z');
		expect(dayInZone('2026-11-02', 'Europe/Oslo', now)).toBe(1);
		expect(dayInZone('2026-11-02', 'Pacific/Kiritimati', now)).toBe(2);
		expect(dayInZone('2026-11-02', 'America/Adak', at('2026-11-02T08:00:00Z'))).toBe(0);
	});

	it('is released as soon as anybody on earth may have it', () => {
		expect(releasedTo('2026-11-02', at('2026-11-01T09:59:59Z'))).toBe(0);
		expect(releasedTo('2026-11-02', at('2026-11-01T10:00:00Z'))).toBe(1);
		expect(releasedTo('2026-11-02', at('2026-11-04T10:00:00Z'))).toBe(4);
		expect(releasedTo('2026-11-02', at('2026-10-01T10:00:00Z'))).toBe(0);
	});
});

describe('isZone', () => {
	it.each([
		['Europe/Oslo', true],
		['UTC', true],
		['+02:00', false],
		['+02', false],
		['1Europe/Oslo', false],
		['Mars/Base', false],
		['', false]
	])('%s: %s', (zone, is) => expect(isZone(zone)).toBe(is));
});

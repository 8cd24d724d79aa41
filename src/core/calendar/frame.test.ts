import { describe, expect, it } from 'vitest';
import { calendarOf } from './frame';

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

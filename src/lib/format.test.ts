import { expect, it } from 'vitest';
import {
	counted,
	dayAndTimeIn,
	dayText,
	longDayText,
	minutesText,
	percent,
	placeOf,
	signed,
	timeIn,
	untilText,
	hoursText
} from './format';

const INSTANT = Date.parse('2026-11-25T23:30:00Z');

it('writes dates with their weekday', () => {
	expect(dayText('2026-11-25')).toBe('Wed 25 Nov');
	expect(longDayText('2026-11-25')).toBe('Wednesday 25 November 2026');
});

it('writes times as the clocks of a zone show them', () => {
	expect(timeIn('Asia/Kathmandu', INSTANT)).toBe('05:15');
	expect(dayAndTimeIn('Pacific/Auckland', INSTANT)).toBe('Thu 26 Nov 12:30');
	expect(timeIn('UTC', Date.parse('2026-11-25T00:00:00Z'))).toBe('00:00');
});

it('says the end of a day as the night before midnight', () => {
	// Midnight at the end of Friday 27 November in Oslo.
	expect(untilText('Europe/Oslo', Date.parse('2026-11-27T23:00:00Z'))).toBe('Friday night');
	expect(untilText('Europe/Oslo', Date.parse('2026-11-27T22:00:00Z'))).toBe('Fri 27 Nov 23:00');
});

it('names the place of a zone', () => {
	expect(['Europe/Oslo', 'America/La_Paz', 'America/Argentina/Salta', 'UTC'].map(placeOf)).toEqual([
		'Oslo',
		'La Paz',
		'Salta',
		'UTC'
	]);
});

it('writes figures with unit and sign', () => {
	expect([percent(0.814), percent(1)]).toEqual(['81 %', '100 %']);
	expect([signed(3.2), signed(-12.4), signed(0.3), signed(-0.2)]).toEqual(['+3', '−12', '±0', '±0']);
	expect([counted(1, 'day'), counted(0, 'day'), counted(1200, 'person', 'people')]).toEqual([
		'1 day',
		'0 days',
		'1,200 people'
	]);
	expect(minutesText(1895)).toBe('32 min');
});

it('says how long is left in the two largest units', () => {
	const minutes = (n: number) => hoursText(n * 60_000 + 59_999);
	expect([0, 45, 60, 200, 1439].map(minutes)).toEqual([
		'0 min',
		'45 min',
		'1 h',
		'3 h 20 min',
		'23 h 59 min'
	]);
	expect([1440, 3120].map(minutes)).toEqual(['1 day 0 h', '2 days 4 h']);
	expect(hoursText(-5)).toBe('0 min');
});

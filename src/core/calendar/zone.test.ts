/** What is kept of zones, against the library that it is taken from: Temporal, with the IANA time zone database. */
import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import { dateIn, instantOf, minutesIn } from './zone';

const HOUR = 3_600_000;
const at = (zone: string, instant: number) =>
	Temporal.Instant.fromEpochMilliseconds(instant).toZonedDateTimeISO(zone);
/** Hours around every change of a zone's clocks within some years, and some far from any. */
function telling(zone: string, from: string, to: string): number[] {
	const end = Date.parse(to);
	const found = [Date.parse(from) + 12_345_678];
	for (
		let now = at(zone, Date.parse(from)).getTimeZoneTransition('next');
		now && now.epochMilliseconds < end;
		now = now.getTimeZoneTransition('next')
	)
		for (const hours of [-72, -49, -48, -47, -25, -3, -1, 0, 1, 2, 25, 47, 48, 49, 72])
			found.push(now.epochMilliseconds + hours * HOUR, now.epochMilliseconds + hours * HOUR - 1);
	return found;
}
/** As the library has it: of two the first, of none the first after the gap. */
function instantBy(zone: string, date: string, minutes: number): number {
	const local = Temporal.PlainDateTime.from(`${date}T00:00`).add({ minutes });
	const found = local.toZonedDateTime(zone, { disambiguation: 'compatible' });
	if (found.toPlainDateTime().equals(local)) return found.epochMilliseconds;
	return found.add({ nanoseconds: 1 }).getTimeZoneTransition('previous')!.epochMilliseconds;
}

const CHANGING = [
	'Europe/Oslo',
	'America/New_York',
	'Australia/Lord_Howe',
	'Pacific/Apia',
	'Africa/Casablanca',
	'Asia/Gaza',
	'Asia/Kathmandu',
	'Pacific/Kwajalein',
	'America/Sao_Paulo',
	'UTC'
];

describe('dates, times and instants', () => {
	it.each(CHANGING)('are those of the library in %s, around every change of its clocks', (zone) => {
		for (const [from, to] of [
			['2025-06-01', '2028-06-01'],
			['2011-06-01', '2012-06-01'],
			['1993-06-01', '1994-01-01']
		] as const)
			for (const instant of telling(zone, from, to)) {
				const zoned = at(zone, instant);
				const date = zoned.toPlainDate().toString();
				expect(dateIn(zone, instant)).toBe(date);
				expect(minutesIn(zone, instant)).toBe(zoned.hour * 60 + zoned.minute);
				for (const minutes of [0, 90, 150, 330, 1439])
					expect([date, minutes, instantOf(date, minutes, zone)]).toEqual([
						date,
						minutes,
						instantBy(zone, date, minutes)
					]);
			}
	});

	it('are the same whichever was asked for before', () => {
		const days = [
			'2026-03-27',
			'2026-03-28',
			'2026-03-29',
			'2026-03-30',
			'2026-10-24',
			'2026-10-25',
			'2026-10-26'
		];
		const once = days.map((day) => instantOf(day, 150, 'Europe/Oslo'));
		expect([...days].reverse().map((day) => instantOf(day, 150, 'Europe/Oslo'))).toEqual(once.reverse());
	});

	it('are no dates or zones that there are not', () => {
		for (const date of ['2026-02-30', '2026-13-01', '26-01-01', 'today'])
			expect(() => instantOf(date, 0, 'Europe/Oslo')).toThrow(RangeError);
		expect(() => instantOf('2026-01-01', 0, 'Europe/Nowhere')).toThrow(RangeError);
		expect(() => dateIn('Nowhere', 0)).toThrow(RangeError);
	});
});

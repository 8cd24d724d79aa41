/** Due windows against luxon (its own zone arithmetic over the IANA database) in all zones, day by day. */
import { DateTime, IANAZone } from 'luxon';
import { describe, expect, it } from 'vitest';
import { dueWindow, type ReleasePolicy, DAY_MS } from '$core/calendar';

const FROM = '2025-01-01';
const DAYS = 3 * 365;
const ZONES = Intl.supportedValuesOf('timeZone').filter((zone) => IANAZone.isValidZone(zone));
const POLICY: ReleasePolicy = { startsOn: FROM, zone: null, opensAt: 330, lateHours: 36 };

/**
 * The instant of a local time as luxon sees it. Luxon moves a time within a gap on by the gap's length, so
 * the first valid minute is found by asking for each minute after it until one is not moved. Of an hour that
 * comes twice it is the first; such an hour needs a change of offset within the date.
 */
function withLuxon(date: DateTime, minutes: number, next = date.plus({ days: 1 }).startOf('day')): number {
	const at = (m: number) => date.set({ hour: Math.floor(m / 60), minute: m % 60 });
	let wanted = minutes;
	let found = at(wanted);
	while (found.hour * 60 + found.minute !== wanted) {
		wanted += 1;
		found = at(wanted);
	}
	if (date.offset === next.offset) return found.toMillis();
	const earlier = found.getPossibleOffsets().map((d) => d.toMillis());
	return Math.min(found.toMillis(), ...earlier);
}

/** When a clock changes over the three years, as luxon sees it: zones that change alike have the same days. */
function clockOf(zone: string): string {
	const rules = IANAZone.create(zone);
	const at = (instant: number) => rules.offset(instant);
	const changes: string[] = [];
	const start = Date.parse(FROM) - 2 * DAY_MS;
	for (let i = 0; i < DAYS + 4; i++) {
		let [from, to] = [start + i * DAY_MS, start + (i + 1) * DAY_MS];
		if (i === 0) changes.push(`${at(from)}`);
		const after = at(to);
		if (at(from) === after) continue;
		while (to - from > 60_000) {
			const middle = Math.floor((from + to) / 120_000) * 60_000;
			if (at(middle) === after) to = middle;
			else from = middle;
		}
		changes.push(`${to} ${after}`);
	}
	return changes.join();
}

/** A day, from 1, with its opening and due instants as luxon has them. */
type LuxonDay = [day: number, opens: number, due: number];

/** Days of a clock of which every zone that has it is asked: those around each change, and one in thirty of the others. */
function telling(days: readonly LuxonDay[]): LuxonDay[] {
	const long = (i: number): boolean => {
		const [before, after] = [days[i - 1], days[i]];
		return before !== undefined && after !== undefined && after[2] - before[2] !== DAY_MS;
	};
	return days.filter((_, i) => i % 30 === 0 || [-2, -1, 0, 1, 2].some((by) => long(i + by)));
}

/** The days to be compared: all of them for the first zone with a clock, and the telling ones for those that change alike. */
const known = new Map<string, LuxonDay[]>();
function daysBy(zone: string): LuxonDay[] {
	const clock = clockOf(zone);
	const found = known.get(clock);
	if (found) return telling(found);
	const days: LuxonDay[] = [];
	let date = DateTime.fromISO(FROM, { zone });
	for (let day = 1; day <= DAYS; day++) {
		const next = date.plus({ days: 1 }).startOf('day');
		days.push([day, withLuxon(date, 330, next), next.toMillis()]);
		date = next;
	}
	known.set(clock, days);
	return days;
}

describe(`due windows in ${ZONES.length} zones over three years`, () => {
	it('knows hundreds of zones, and that many of them change alike', () => {
		expect(ZONES.length).toBeGreaterThan(400);
		expect(clockOf('Europe/Oslo')).toBe(clockOf('Europe/Berlin'));
		// The same offsets, a change at another hour; a change of half an hour; none.
		const apart = [
			'Europe/Oslo',
			'Africa/Ceuta',
			'Africa/Lagos',
			'Australia/Lord_Howe',
			'Australia/Sydney',
			'Africa/Cairo',
			'Europe/Athens'
		];
		expect(new Set(apart.map(clockOf)).size).toBe(6);
		expect(clockOf('Africa/Ceuta')).toBe(clockOf('Europe/Oslo'));
	});

	it('of a clock that is known asks the days around every change', () => {
		const oslo = daysBy('Europe/Oslo');
		const berlin = daysBy('Europe/Berlin');
		// Two changes a year, five days around each, and one day in thirty of 1095: some of them are both.
		expect(berlin.length).toBeGreaterThan(60);
		expect(berlin.length).toBeLessThan(70);
		// Sunday 29 March 2026 is day 453.
		expect(berlin.map(([day]) => day)).toEqual(expect.arrayContaining([451, 452, 453, 454, 455]));
		expect([DAYS, berlin.length]).toContain(oslo.length);
	});

	it.each([
		'Africa',
		'America',
		'Antarctica',
		'Arctic',
		'Asia',
		'Atlantic',
		'Australia',
		'Europe',
		'Indian',
		'Pacific'
	])(
		'%s: opens and is due as luxon says, opens before it is due, and is due before the next is',
		(region) => {
			const wrong: string[] = [];
			for (const zone of ZONES.filter((name) => name.startsWith(`${region}/`))) {
				let due = 0;
				for (const [day, opensAt, dueAt] of daysBy(zone)) {
					const window = dueWindow(day, { zone, shiftDays: 0 }, POLICY);
					if (window.opens !== opensAt || window.due !== dueAt) wrong.push(`${zone} day ${day}`);
					if (!(window.opens < window.due && window.due < window.closes && due < window.due))
						wrong.push(`${zone} order ${day}`);
					due = window.due;
				}
			}
			expect(wrong).toEqual([]);
		},
		240_000
	);

	it('agrees on release hours that fall into gaps and doubled hours', () => {
		const changes = [
			['Europe/Oslo', '2026-03-29', 150],
			['Europe/Oslo', '2026-10-25', 150],
			['America/New_York', '2026-03-08', 135],
			['America/New_York', '2026-11-01', 90],
			['Australia/Lord_Howe', '2026-10-04', 135],
			['Australia/Lord_Howe', '2026-04-05', 105],
			['America/Santiago', '2026-09-06', 15],
			['Africa/Cairo', '2026-04-24', 20]
		] as const;
		for (const [zone, date, minutes] of changes) {
			const { opens } = dueWindow(
				1,
				{ zone, shiftDays: 0 },
				{ startsOn: date, zone: null, opensAt: minutes, lateHours: 0 }
			);
			expect(new Date(opens).toISOString(), `${zone} ${date}`).toBe(
				new Date(withLuxon(DateTime.fromISO(date, { zone }), minutes)).toISOString()
			);
		}
	});
});

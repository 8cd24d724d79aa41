import { DAY_MS } from '../calendar';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DAY_STATES } from '../day/day-state';
import { personDay, type DayResult, type DayState } from '../day';
import { PRACTICE } from '../../../tests/support/practice';
import { wilson } from '../stats';
import { adherence, dayTally, together } from './adherence';
import { extrasOf, type ExtraEntry } from './extras';
import { packDays, unpackDays } from './day-code';
import { foldAttendance, type AttendanceRecords } from './fold';
import { attendanceOf, isFading, isSilent } from './summary';
import { entryOf, packEntry, type Strip } from '../day/strip';

const day = (state: DayState, credit = 0): DayResult => ({ state, credit, pain: false });

describe('adherence', () => {
	it('counts what was due and nothing else', () => {
		const days = [
			day('done', 1),
			day('partial', 0.5),
			day('late', 0.75),
			day('missed'),
			day('excused'),
			day('rest'),
			day('open'),
			day('ahead'),
			day('cancelled')
		];
		expect(adherence(days)).toMatchObject({ credit: 2.25, due: 4, rate: 0.5625 });
	});

	it('has no rate while nothing was due', () => {
		expect(adherence([day('rest'), day('ahead')])).toEqual({
			credit: 0,
			due: 0,
			rate: null,
			low: null,
			high: null
		});
	});

	it('is never lowered by a day done in full', () => {
		const any = fc.array(
			fc.record({
				state: fc.constantFrom<DayState>('done', 'partial', 'late', 'missed', 'excused', 'rest'),
				credit: fc.double({ min: 0, max: 1, noNaN: true }),
				pain: fc.boolean()
			})
		);
		fc.assert(
			fc.property(any, (days) => {
				const before = adherence(days).rate ?? 0;
				expect(adherence([...days, day('done', 1)]).rate ?? 0).toBeGreaterThanOrEqual(before - 1e-12);
			})
		);
	});
});

describe('the days as a person counts them', () => {
	const day = (state: 'done' | 'late' | 'partial' | 'missed' | 'excused' | 'rest', credit: number) => ({
		state,
		credit
	});
	it('says what was done, and what was made up apart from it', () => {
		const days = [...Array.from({ length: 15 }, () => day('done', 1)), day('missed', 0), day('missed', 0)];
		expect(dayTally([...days, day('excused', 0), day('rest', 0)], 2)).toEqual({
			due: 17,
			done: 15,
			partly: 0,
			madeUp: 2
		});
	});
	it('makes up for no more than is missing', () => {
		expect(dayTally([day('done', 1), day('partial', 0.4)], 3)).toEqual({
			due: 2,
			done: 1,
			partly: 1,
			madeUp: 0.6
		});
		expect(dayTally([day('done', 1)], 3).madeUp).toBe(0);
		expect(dayTally([], 3)).toEqual({ due: 0, done: 0, partly: 0, madeUp: 0 });
	});
});

describe('wilson', () => {
	it('stays within 0 and 1 and holds the share', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 1000 }),
				fc.double({ min: 0, max: 1, noNaN: true }),
				(n, share) => {
					const { low, high } = wilson(share * n, n);
					expect(low).toBeGreaterThanOrEqual(0);
					expect(high).toBeLessThanOrEqual(1);
					expect(low).toBeLessThanOrEqual(share + 1e-9);
					expect(high).toBeGreaterThanOrEqual(share - 1e-9);
				}
			)
		);
	});

	it('names the argument that is out of bounds', () => {
		expect(() => wilson(1, 0)).toThrow(/n: 0/);
		expect(() => wilson(3, 2)).toThrow(/successes: 3/);
	});
});

describe('attendanceOf', () => {
	const policy = { partial: 'share', lateWorth: 0.5 } as const;
	/** A day of training every day: opens at 5 in the morning of day d, is due at its end, closes a day later. */
	const windows = Array.from({ length: 21 }, (_, i) => ({
		opens: i * DAY_MS + DAY_MS / 5,
		due: (i + 1) * DAY_MS,
		closes: (i + 2) * DAY_MS
	}));
	const strip = (days: number[]): Strip =>
		Object.fromEntries(
			days.map((d) => [
				d,
				packEntry({ kind: 'check-in', credit: 1, at: d * DAY_MS - 1000, pain: false, standing: 'on time' })
			])
		);
	const look = (own: Strip, now: number, fromDay = 1, extras: ExtraEntry[] = []) => {
		const days = windows.map((window, i) =>
			personDay(
				{ day: i + 1, kind: 'train', cancelled: null },
				window,
				{ strip: own, fromDay, holds: [] },
				policy,
				now
			)
		);
		return { days, ...attendanceOf(days, { strip: own, extras }, now) };
	};

	it('counts silent days back from the last one due', () => {
		// At the end of day 14 the window of day 13 has closed, that of day 14 not yet.
		expect(look(strip([1, 2, 3, 4, 5, 6, 7, 8, 9, 10]), 14 * DAY_MS).silent).toBe(3);
		expect(look(strip([1, 2, 3, 13]), 14 * DAY_MS).silent).toBe(0);
		expect(look(strip([]), 14 * DAY_MS).silent).toBe(13);
	});

	it('sets the last seven days against the seven before, in points', () => {
		expect(look(strip([1, 2, 3, 4, 5, 6, 7]), 14 * DAY_MS).trend).toBeCloseTo(-100);
		expect(look(strip([1, 2]), 3 * DAY_MS).trend).toBeNull();
		// Five of the seven days before and two of the last seven that are over, of six: −38 points.
		expect(look(strip([1, 2, 3, 4, 5, 8, 9]), 14 * DAY_MS).trend).toBeCloseTo((2 / 6 - 5 / 7) * 100);
	});

	it('calls silent and fading whom the house calls so', () => {
		const house = PRACTICE.house;
		expect([1, 2].map((silent) => isSilent({ silent }, house))).toEqual([false, true]);
		expect([-24.9, -25, null].map((trend) => isFading({ trend }, house))).toEqual([false, true, false]);
		expect(isSilent({ silent: 2 }, { ...house, silentFrom: 3 })).toBe(false);
		expect(isFading({ trend: -20 }, { ...house, fadingFrom: 20 })).toBe(true);
	});

	it('does not hold against a late joiner what was before', () => {
		const { days, adherence: rate } = look(strip([10, 11, 12]), 13 * DAY_MS, 10);
		expect(rate).toMatchObject({ due: 3, rate: 1 });
		expect(days[8]).toMatchObject({
			theirs: false,
			open: false,
			why: 'before they joined',
			state: 'excused'
		});
		expect(days[9]).toMatchObject({ theirs: true, open: true, why: null });
	});

	it('counts a day that is cancelled for nobody, and lets stand what was done on it', () => {
		const cancelled = [3, 4].map((d) => ({ day: d, at: 0 }));
		const checkins = [1, 2, 4].map((d) => ({
			day: d,
			credit: 1,
			first: d * DAY_MS - 1000,
			at: d * DAY_MS - 1000,
			pain: false,
			standing: 'on time' as const
		}));
		const { strip: own } = foldAttendance({
			checkins,
			excuses: [],
			pauses: [],
			cancelled,
			extras: [],
			days: 21
		});
		const { days, adherence: rate } = look(own, 6 * DAY_MS);
		expect(days.slice(0, 5).map(({ state }) => state)).toEqual([
			'done',
			'done',
			'cancelled',
			'done',
			'missed'
		]);
		expect(days[2]?.why).toBe('cancelled for everyone');
		expect(rate).toMatchObject({ due: 4, credit: 3 });
	});

	it('is made up for by sessions from the shelf that count, and never beyond what was due', () => {
		const at = 5.5 * DAY_MS;
		const done = strip([1, 2]);
		const rate = (extras: ExtraEntry[], now = 6 * DAY_MS) => look(done, now, 1, extras).adherence;
		// At the end of day 6 five days are over; two of them were done.
		expect(rate([])).toMatchObject({ credit: 2, due: 5, rate: 0.4 });
		expect(rate([[at, 0.5, 1]])).toMatchObject({ credit: 2.5, due: 5, rate: 0.5 });
		expect(rate([[at, 1, 0]])).toMatchObject({ credit: 2, due: 5 });
		expect(rate([[7 * DAY_MS, 1, 1]])).toMatchObject({ credit: 2 });
		const many = Array.from({ length: 9 }, (): ExtraEntry => [at, 1, 1]);
		expect(rate(many)).toMatchObject({ credit: 5, due: 5, rate: 1 });
		expect(
			look(done, 6 * DAY_MS, 1, [
				[at, 1, 0],
				[at + 1, 0.5, 1]
			]).extras
		).toEqual({
			taken: 2,
			credit: 0.5,
			last: at + 1
		});
	});

	it('has seen what came in at that very moment, in whatever order it was kept', () => {
		const entries: ExtraEntry[] = [
			[20, 0.5, 1],
			[10, 1, 1],
			[30, 1, 1]
		];
		expect(extrasOf(entries, 20)).toEqual({ taken: 2, credit: 1.5, last: 20 });
		expect(extrasOf(entries, 9)).toEqual({ taken: 0, credit: 0, last: null });
	});

	it('does not call silent who took something from the shelf, whether it counts or not', () => {
		const silent = (extras: ExtraEntry[]) => look(strip([1, 2]), 8 * DAY_MS, 1, extras).silent;
		expect(silent([])).toBe(5);
		// Taken on day 5, after it opened: days 6 and 7 are silent since.
		expect(silent([[4.5 * DAY_MS, 1, 0]])).toBe(2);
		expect(silent([[9 * DAY_MS, 1, 1]])).toBe(5);
	});

	it('of a group is what they did of what was due to all', () => {
		const all = [
			{ credit: 2, due: 4 },
			{ credit: 1, due: 1 },
			{ credit: 0, due: 0 }
		].map((one) => ({ ...one, rate: null, low: null, high: null }));
		expect(together(all)).toMatchObject({ credit: 3, due: 5, rate: 0.6, ...wilson(3, 5) });
		expect(together([]).rate).toBeNull();
	});

	it('looks back as things stood then', () => {
		expect(look(strip([1, 2, 3, 4, 5]), 3 * DAY_MS).adherence).toMatchObject({ credit: 3, due: 3 });
	});
});

describe('foldAttendance', () => {
	const none = { checkins: [], excuses: [], pauses: [], cancelled: [], extras: [], days: 10 };
	const kindOn = (records: Partial<AttendanceRecords>, on: number) =>
		entryOf(foldAttendance({ ...none, ...records }).strip, on)?.kind ?? null;
	const checkins = [{ day: 2, credit: 0.5, first: 45, at: 50, pain: true, standing: 'late' as const }];
	const cancelled = [{ day: 2, at: 40 }];
	const excuses = [{ day: 2, at: 30 }];
	const pauses = [{ fromDay: 2, toDay: 3, at: 20 }];

	it('lets what was done stand above all, then what is cancelled, then excuses, then pauses', () => {
		expect(kindOn({ checkins, cancelled, excuses, pauses }, 2)).toBe('check-in');
		expect(kindOn({ cancelled, excuses, pauses }, 2)).toBe('cancelled');
		expect(kindOn({ excuses, pauses }, 2)).toBe('excuse');
		expect(kindOn({ pauses }, 2)).toBe('pause');
		expect([1, 3, 4].map((on) => kindOn({ pauses }, on))).toEqual([null, 'pause', null]);
	});

	it('keeps what came in as it was, and when', () => {
		const { strip: own, lastSeen } = foldAttendance({ ...none, checkins });
		// The day is one on which something came in from the first time on; they were last seen when it was corrected.
		expect(entryOf(own, 2)).toEqual({
			kind: 'check-in',
			credit: 0.5,
			at: 45,
			pain: true,
			standing: 'late'
		});
		expect(lastSeen).toBe(50);
		expect(foldAttendance(none)).toEqual({ strip: {}, extras: [], lastSeen: null });
		const twice = [
			...checkins,
			{ day: 1, credit: 1, first: 70, at: 70, pain: false, standing: 'on time' as const }
		];
		expect(foldAttendance({ ...none, checkins: twice }).lastSeen).toBe(70);
	});

	it('ends a pause without an end with the challenge, and no later', () => {
		const open = foldAttendance({ ...none, pauses: [{ fromDay: 8, toDay: null, at: 5 }] }).strip;
		expect(Object.keys(open)).toEqual(['8', '9', '10']);
		const beyond = foldAttendance({ ...none, pauses: [{ fromDay: 9, toDay: 40, at: 5 }] }).strip;
		expect(Object.keys(beyond)).toEqual(['9', '10']);
	});

	it('of two pauses over a day has the one that was written first', () => {
		const two = [
			{ fromDay: 1, toDay: 5, at: 9 },
			{ fromDay: 3, toDay: 4, at: 7 }
		];
		for (const order of [two, [...two].reverse()])
			expect(entryOf(foldAttendance({ ...none, pauses: order }).strip, 3)?.at).toBe(7);
	});

	it('comes to the same in whatever order things were written', () => {
		const on = fc.integer({ min: 1, max: 10 });
		const at = fc.integer({ min: 1, max: 1000 });
		const byDay = { selector: (one: { day: number }) => one.day, maxLength: 10 };
		const records = fc.record({
			checkins: fc.uniqueArray(
				fc.record({
					day: on,
					credit: fc.double({ min: 0, max: 1, noNaN: true }),
					first: at,
					at,
					pain: fc.boolean(),
					standing: fc.constantFrom('on time' as const, 'late' as const)
				}),
				byDay
			),
			excuses: fc.uniqueArray(fc.record({ day: on, at }), byDay),
			cancelled: fc.uniqueArray(fc.record({ day: on, at }), byDay),
			pauses: fc.array(fc.record({ fromDay: on, toDay: fc.option(on, { nil: null }), at }), { maxLength: 4 }),
			extras: fc.array(
				fc.record({ at, credit: fc.double({ min: 0.1, max: 1, noNaN: true }), counts: fc.boolean() }),
				{ maxLength: 4 }
			),
			days: fc.constant(10)
		});
		fc.assert(
			fc.property(records, (all) => {
				const mixed = {
					checkins: [...all.checkins].reverse(),
					excuses: [...all.excuses].reverse(),
					cancelled: [...all.cancelled].reverse(),
					pauses: [...all.pauses].reverse(),
					extras: [...all.extras].reverse(),
					days: all.days
				};
				expect(foldAttendance(mixed)).toEqual(foldAttendance(all));
			})
		);
	});
});

describe('packDays', () => {
	it('is a letter a day, with what is more than that', () => {
		const days = [
			day('done', 1),
			day('partial', 0.61),
			{ ...day('late', 0.75), pain: true },
			day('rest'),
			day('ahead')
		];
		expect(packDays(days)).toBe('dp61l75!ra');
	});

	it('comes back as the same days, credit to the per cent', () => {
		const any = fc.array(
			fc.record({
				state: fc.constantFrom(...DAY_STATES),
				credit: fc.integer({ min: 0, max: 100 }).map((per) => per / 100),
				pain: fc.boolean()
			})
		);
		fc.assert(
			fc.property(any, (days) => {
				expect(unpackDays(packDays(days))).toEqual(days);
			})
		);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DAY_STATES } from '../day/day-state';
import type { DayResult, DayState } from '../day';
import { wilson } from '../stats';
import { adherence } from './adherence';
import { packDays, unpackDays } from './day-code';
import { personDays } from './person-days';
import { entryOf, packEntry, type Strip } from '../day/strip';

const DAY = 86_400_000;
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

describe('personDays', () => {
	const policy = { partial: 'share', lateWorth: 0.5 } as const;
	/** A day of training every day: opens at 5 in the morning of day d, is due at its end, closes a day later. */
	const windows = Array.from({ length: 21 }, (_, i) => ({
		opens: i * DAY + DAY / 5,
		due: (i + 1) * DAY,
		closes: (i + 2) * DAY
	}));
	const kinds = windows.map(() => 'train' as const);
	const strip = (days: number[]): Strip =>
		Object.fromEntries(
			days.map((d) => [d, packEntry({ kind: 'check-in', credit: 1, at: d * DAY - 1000, pain: false })])
		);
	const look = (done: number[], now: number, fromDay = 1) =>
		personDays(
			kinds.map((kind) => ({ kind })),
			windows,
			{ strip: strip(done), fromDay },
			policy,
			now
		);

	it('packs and unpacks an entry as it was', () => {
		const entry = { kind: 'excuse' as const, credit: 0.25, at: 123, pain: true };
		expect(entryOf({ 3: packEntry(entry) }, 3)).toEqual(entry);
		expect(entryOf({}, 3)).toBeNull();
	});

	it('counts silent days back from the last one due', () => {
		// At the end of day 14 the window of day 13 has closed, that of day 14 not yet.
		expect(look([1, 2, 3, 4, 5, 6, 7, 8, 9, 10], 14 * DAY).silent).toBe(3);
		expect(look([1, 2, 3, 13], 14 * DAY).silent).toBe(0);
		expect(look([], 14 * DAY).silent).toBe(13);
	});

	it('sets the last seven days against the seven before, in points', () => {
		expect(look([1, 2, 3, 4, 5, 6, 7], 14 * DAY).trend).toBeCloseTo(-100);
		expect(look([1, 2], 3 * DAY).trend).toBeNull();
	});

	it('does not hold against a late joiner what was before', () => {
		const { adherence: rate } = look([10, 11, 12], 13 * DAY, 10);
		expect(rate).toMatchObject({ due: 3, rate: 1 });
	});

	it('counts a day that is held for all for nobody, and lets stand what was done on it', () => {
		const plan = kinds.map((kind, i) => ({ kind, cancelled: i === 2 || i === 3 ? 'storm' : null }));
		const { days, adherence: rate } = personDays(
			plan,
			windows,
			{ strip: strip([1, 2, 4]), fromDay: 1 },
			policy,
			6 * DAY
		);
		expect(days.slice(0, 5).map(({ state }) => state)).toEqual([
			'done',
			'done',
			'cancelled',
			'done',
			'missed'
		]);
		expect(rate).toMatchObject({ due: 4, credit: 3 });
	});

	it('looks back as things stood then', () => {
		expect(look([1, 2, 3, 4, 5], 3 * DAY).adherence).toMatchObject({ credit: 3, due: 3 });
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

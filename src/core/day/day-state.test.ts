import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayState, standingAt, STANDINGS, type CreditPolicy, type DayEntry } from './day-state';

const window = { opens: 1000, due: 2000, closes: 3000 };
const share: CreditPolicy = { partial: 'share', lateWorth: 0.75 };
const checkin = (at: number, credit = 1, pain = false): DayEntry => ({
	kind: 'check-in',
	credit,
	at,
	pain,
	standing: standingAt(window, at)
});
const state = (
	entry: DayEntry | null,
	now: number,
	policy = share,
	kind: 'train' | 'rest' = 'train',
	theirs?: boolean
) => dayState(kind, window, entry, policy, now, theirs);

describe('dayState', () => {
	it('goes from ahead to open to missed when nothing comes', () => {
		expect([999, 1000, 2500, 2999, 3000].map((now) => state(null, now).state)).toEqual([
			'ahead',
			'open',
			'open',
			'open',
			'missed'
		]);
	});

	it('is done on time, late after the day, and worth what the policy says', () => {
		expect(state(checkin(1500), 9000)).toEqual({ state: 'done', credit: 1, pain: false });
		expect(state(checkin(2500), 9000)).toEqual({ state: 'late', credit: 0.75, pain: false });
		expect(state(checkin(3000), 9000)).toEqual({ state: 'missed', credit: 0, pain: false });
	});

	it('keeps the standing that a result was given, wherever its window lies by now', () => {
		const elsewhere = { opens: 9000, due: 9100, closes: 9200 };
		const then = (at: number) => dayState('train', elsewhere, checkin(at), share, 20_000).state;
		expect([1500, 2500, 3500].map(then)).toEqual(['done', 'late', 'missed']);
		const gone = { opens: 1, due: 2, closes: 3 };
		expect(dayState('train', gone, checkin(1500), share, 20_000)).toMatchObject({ state: 'done', credit: 1 });
	});

	it('gives part of the work its part, or nothing where all counts', () => {
		expect(state(checkin(1500, 0.4), 9000)).toMatchObject({ state: 'partial', credit: 0.4 });
		expect(state(checkin(2500, 0.4), 9000).credit).toBeCloseTo(0.3);
		expect(state(checkin(1500, 0.4), 9000, { ...share, partial: 'strict' })).toMatchObject({
			state: 'missed',
			credit: 0
		});
	});

	it('leaves a day open while an honest nothing can still be corrected', () => {
		expect([1600, 2000].map((now) => state(checkin(1500, 0), now).state)).toEqual(['open', 'missed']);
	});

	it('does not see what came in later than the instant looked at', () => {
		expect(state(checkin(1500), 1400).state).toBe('open');
		expect(state({ kind: 'excuse', credit: 0, at: 1500, pain: false, standing: null }, 1400).state).toBe(
			'open'
		);
	});

	it('rests, is excused, paused or cancelled', () => {
		expect(state(null, 500, share, 'rest').state).toBe('rest');
		expect(state({ kind: 'excuse', credit: 0, at: 10, pain: false, standing: null }, 9000).state).toBe(
			'excused'
		);
		expect(state(null, 9000, share, 'train', false).state).toBe('excused');
		expect(state({ kind: 'pause', credit: 0, at: 10, pain: false, standing: null }, 9000).state).toBe(
			'excused'
		);
		const cancelled = { kind: 'cancelled' as const, credit: 0, at: 10, pain: false, standing: null };
		expect([500, 1500, 9000].map((now) => state(cancelled, now).state)).toEqual([
			'ahead',
			'cancelled',
			'cancelled'
		]);
		expect(state({ ...cancelled, at: 9001 }, 9000).state).toBe('missed');
	});

	it('counts an instant as within from its opening on, and as past from its end on', () => {
		expect(state(checkin(1500), 1500)).toEqual({ state: 'done', credit: 1, pain: false });
		expect(state(checkin(1999), 9000).state).toBe('done');
		expect(state(checkin(2000), 9000).state).toBe('late');
		expect(state(checkin(2999), 9000).state).toBe('late');
		expect(state(null, 9000)).toEqual({ state: 'missed', credit: 0, pain: false });
	});

	it('takes all of the work for all, however strict', () => {
		const strict: CreditPolicy = { ...share, partial: 'strict' };
		expect(state(checkin(1500, 1), 9000, strict)).toMatchObject({ state: 'done', credit: 1 });
		expect(state(checkin(1500, 0.999), 9000, strict)).toMatchObject({ state: 'missed', credit: 0 });
	});

	it('carries the report of pain whatever the state', () => {
		expect(state(checkin(3500, 1, true), 9000).pain).toBe(true);
	});

	it('never credits below 0 or above 1', () => {
		const entry = fc.record({
			kind: fc.constantFrom('check-in' as const, 'excuse' as const),
			credit: fc.double({ min: 0, max: 1, noNaN: true }),
			at: fc.integer({ min: 0, max: 5000 }),
			pain: fc.boolean(),
			standing: fc.constantFrom(...STANDINGS)
		});
		fc.assert(
			fc.property(
				fc.option(entry, { nil: null }),
				fc.integer({ min: 0, max: 6000 }),
				fc.double({ min: 0, max: 1, noNaN: true }),
				(e, now, lateWorth) => {
					const { credit } = state(e, now, { partial: 'share', lateWorth });
					expect(credit).toBeGreaterThanOrEqual(0);
					expect(credit).toBeLessThanOrEqual(1);
				}
			)
		);
	});
});

import { describe, expect, it } from 'vitest';
import { conflictOf, setsDone } from './two-results';

const there = { id: 'c', done: 'all', credit: 1, effort: 7, standing: 'on time', receivedAt: 10 };

const refused = { kind: 'check-in', day: 3, body: { replaces: null } } as const;

describe('two results of a day', () => {
	it('can be chosen between while the day is open', () => {
		expect(conflictOf(refused, { now: 99, window: { closes: 100 }, checkin: there }, 90)).toEqual({
			there,
			canReplace: true,
			ahead: 9
		});
	});
	it('offers nothing that cannot succeed once it has closed', () => {
		expect(conflictOf(refused, { now: 100, window: { closes: 100 }, checkin: there }, 90)?.canReplace).toBe(
			false
		);
	});
	it('is none where nothing stands for the day, and for a warning sign', () => {
		expect(conflictOf(refused, { now: 1, window: { closes: 100 }, checkin: null }, 90)).toBeNull();
		expect(
			conflictOf({ ...refused, kind: 'stop' }, { now: 1, window: { closes: 100 }, checkin: there }, 90)
		).toBeNull();
	});
	it('is none where a correction of that result was refused for another reason', () => {
		const correction = { ...refused, body: { replaces: there.id } };
		expect(conflictOf(correction, { now: 1, window: { closes: 100 }, checkin: there }, 90)).toBeNull();
	});
	it('counts the sets of which anything was done', () => {
		expect(setsDone({ sets: [{ amount: 8 }, { amount: 0 }, { amount: '5' }] })).toBe(2);
		expect(setsDone({ sets: null })).toBeNull();
		expect(setsDone({})).toBeNull();
	});
});

import { describe, expect, it } from 'vitest';
import type { DayKind } from './';
import { milestonesOf, placeAmong } from './milestones';

const days = (text: string) =>
	[...text].map((letter) => ({
		kind: ({ t: 'train', c: 'cardio', x: 'test', a: 'active-rest', h: 'train' }[letter] ?? 'rest') as DayKind,
		cancelled: letter === 'h' ? 'Storm' : null
	}));

describe('milestonesOf', () => {
	it('counts what is done and names the middle of it', () => {
		const week = milestonesOf(days('tct.tx.'));
		expect(week).toEqual({ works: [1, 2, 3, 5, 6], halfway: 3 });
		expect(placeAmong(week, 3)).toEqual({ number: 3, of: 5, left: 2 });
		expect(placeAmong(week, 6)).toEqual({ number: 5, of: 5, left: 0 });
	});

	it('has the first half of an even number end at halfway', () => {
		expect(milestonesOf(days('tt.tt')).halfway).toBe(2);
	});

	it('says how many are left on a day of rest', () => {
		expect(placeAmong(milestonesOf(days('t.t')), 2)).toEqual({ number: null, of: 2, left: 1 });
	});

	it('leaves out days that are held for all', () => {
		expect(milestonesOf(days('thta'))).toEqual({ works: [1, 3, 4], halfway: 3 });
	});

	it('has its middle on the only day there is, be it the first', () => {
		expect(milestonesOf(days('t..'))).toEqual({ works: [1], halfway: 1 });
		expect(placeAmong(milestonesOf(days('tt')), 1)).toEqual({ number: 1, of: 2, left: 1 });
	});

	it('has no middle where nothing is done', () => {
		expect(milestonesOf(days('...'))).toEqual({ works: [], halfway: null });
	});
});

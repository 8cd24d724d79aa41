/** Weaker side first, the lower of two counts, bad ones do not count: common practice, no source. */
import { describe, expect, it } from 'vitest';
import { countReps } from './count-reps';

describe('what counts of a set', () => {
	it('is what was done where nothing speaks against it', () => {
		expect(countReps({ amount: 10 })).toBe(10);
		expect(countReps({ amount: 0 })).toBe(0);
		expect(countReps({ amount: 10, other: null })).toBe(10);
	});
	it('is that of the weaker side, whichever it is', () => {
		expect(countReps({ amount: 8, other: 9 })).toBe(8);
		expect(countReps({ amount: 9, other: 8 })).toBe(8);
	});
	it('is half where one side was not done at all, a half one left out', () => {
		expect(countReps({ amount: 9, other: 0 })).toBe(4);
		expect(countReps({ amount: 0, other: 10 })).toBe(5);
	});
	it('leaves out what was done badly, and of 9 or 10 takes 9', () => {
		expect(countReps({ amount: 10, bad: 2 })).toBe(8);
		expect(countReps({ amount: 10, unsure: true })).toBe(9);
		expect(countReps({ amount: 10, other: 8, bad: 1, unsure: true })).toBe(6);
		expect(countReps({ amount: 1, bad: 3 })).toBe(0);
		expect(countReps({ amount: 0, unsure: true })).toBe(0);
	});
	it('refuses what cannot be counted', () => {
		for (const counted of [{ amount: -1 }, { amount: NaN }, { amount: 3, other: -2 }, { amount: 3, bad: -1 }])
			expect(() => countReps(counted)).toThrow(/0 or more/);
	});
});

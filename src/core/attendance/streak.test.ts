import { expect, it } from 'vitest';
import type { DayState } from '../day';
import { streakOf } from './streak';

const days = (...states: (DayState | [DayState, number])[]) =>
	states.map((one) =>
		typeof one === 'string'
			? { state: one, credit: one === 'done' ? 1 : 0 }
			: { state: one[0], credit: one[1] }
	);

it('counts days on which something was done, back from the last', () => {
	expect(streakOf([])).toBe(0);
	expect(streakOf(days('done', 'done', 'done'))).toBe(3);
	expect(streakOf(days('done', 'missed', 'done', ['partial', 0.5], ['late', 0.75]))).toBe(3);
	expect(streakOf(days('done', 'missed'))).toBe(0);
});

it('is broken by no rest, no excuse, no cancelled day and no day that is still open or ahead', () => {
	expect(
		streakOf(days('done', 'rest', 'excused', 'cancelled', 'held', 'done', 'open', 'ahead', 'ahead'))
	).toBe(2);
});

it('is not made longer by a day that is excused', () => {
	expect(streakOf(days('done', ['excused', 1]))).toBe(1);
});

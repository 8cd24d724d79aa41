import { expect, it } from 'vitest';
import { effectOf } from './answered';

const DAY = 86_400_000;

it('finds the first check-in after something was done, and the days to it', () => {
	expect(effectOf(10 * DAY, [14 * DAY, 9 * DAY, 12.5 * DAY], 20 * DAY)).toEqual({
		checkedInAt: 12.5 * DAY,
		days: 2
	});
	expect(effectOf(10 * DAY, [9 * DAY, 10 * DAY], 13.9 * DAY)).toEqual({ checkedInAt: null, days: 3 });
	expect(effectOf(10 * DAY, [12 * DAY], 11 * DAY), 'what has not come in yet is not seen').toEqual({
		checkedInAt: null,
		days: 1
	});
});

import { DAY_MS } from '../calendar';
import { expect, it } from 'vitest';
import { effectOf } from './answered';

it('finds the first check-in after something was done, and the days to it', () => {
	expect(effectOf(10 * DAY_MS, [14 * DAY_MS, 9 * DAY_MS, 12.5 * DAY_MS], 20 * DAY_MS)).toEqual({
		checkedInAt: 12.5 * DAY_MS,
		days: 2
	});
	expect(effectOf(10 * DAY_MS, [9 * DAY_MS, 10 * DAY_MS], 13.9 * DAY_MS)).toEqual({
		checkedInAt: null,
		days: 3
	});
	expect(effectOf(10 * DAY_MS, [12 * DAY_MS], 11 * DAY_MS), 'what has not come in yet is not seen').toEqual({
		checkedInAt: null,
		days: 1
	});
});

import { expect, it } from 'vitest';
import { reentryOf } from './reentry';

it('leads back over the next training days, the longer off the slower', () => {
	expect(reentryOf(6, [10, 11, 12])).toEqual([]);
	expect(reentryOf(7, [10, 12, 13])).toEqual([
		{ share: 0.7, fromDay: 10, toDay: 10 },
		{ share: 0.85, fromDay: 12, toDay: 12 }
	]);
	expect(reentryOf(14, [10, 12, 13, 15, 16])).toEqual([
		{ share: 0.6, fromDay: 10, toDay: 12 },
		{ share: 0.8, fromDay: 13, toDay: 15 }
	]);
	expect(reentryOf(40, [1, 2, 3, 4, 5, 6]).map(({ share, toDay }) => [share, toDay])).toEqual([
		[0.5, 2],
		[0.7, 4],
		[0.85, 5]
	]);
});

it('goes no further than there are days', () => {
	expect(reentryOf(21, [40, 41])).toEqual([{ share: 0.5, fromDay: 40, toDay: 41 }]);
	expect(reentryOf(21, [])).toEqual([]);
});

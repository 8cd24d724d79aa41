import { expect, it } from 'vitest';
import { wantedOf } from './wanted';

it('counts who wants more or less of a part, most first, beside the sets of its best worked muscle', () => {
	const wants = (
		area: 'shoulders' | 'calves' | 'chest' | null,
		wants: 'more' | 'less' | 'other' = 'more'
	) => ({ area, wants });
	expect(
		wantedOf([wants('chest', 'less'), wants('shoulders'), wants('shoulders', 'less'), wants(null, 'other')], {
			'front shoulder': 3,
			'side shoulder': 5,
			'rear shoulder': 2
		})
	).toEqual([
		{ area: 'shoulders', more: 1, less: 1, sets: 5 },
		{ area: 'chest', more: 0, less: 1, sets: 0 }
	]);
	expect(wantedOf([wants(null, 'other')], {})).toEqual([]);
});

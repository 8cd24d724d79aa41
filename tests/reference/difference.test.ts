/** Differences of shares: Newcombe 1998, Stat Med 17:873, table II, method 10; from memory. */
import { expect, it } from 'vitest';
import { differenceOf } from '$core/stats';

it.each([
	[56, 70, 48, 80, 0.2, 0.0524, 0.3339],
	[9, 10, 3, 10, 0.6, 0.1705, 0.809],
	[10, 10, 0, 20, 1, 0.6791, 1],
	[10, 10, 0, 10, 1, 0.6075, 1]
])('%d of %d against %d of %d', (x, n, y, m, difference, low, high) => {
	const found = differenceOf({ x, n }, { x: y, n: m })!;
	expect(found.difference).toBeCloseTo(difference, 6);
	expect(found.low).toBeCloseTo(low, 3);
	expect(found.high).toBeCloseTo(high, 3);
});

it('is none where one side is of nobody', () => {
	expect(differenceOf({ x: 0, n: 0 }, { x: 1, n: 2 })).toBeNull();
	expect(differenceOf({ x: 1, n: 2 }, { x: 0, n: 0 })).toBeNull();
});

import { expect, it } from 'vitest';
import { isFinal, MOST_TRIES, nextTry } from './tries';

it('tries again with growing pauses, and gives up', () => {
	const pauses = Array.from({ length: MOST_TRIES }, (_, i) => nextTry(i + 1, 1000));
	expect(pauses).toEqual([61_000, 301_000, 901_000, 3_601_000, 14_401_000, 43_201_000, null]);
	expect(nextTry(0, 0)).toBeNull();
});

it('takes replies of the server as final or not by their class', () => {
	expect([550, 552, 599].map(isFinal)).toEqual([true, true, true]);
	expect([421, 452, 250, 600, undefined].map(isFinal)).toEqual([false, false, false, false, false]);
});

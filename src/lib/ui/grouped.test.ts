import { expect, it } from 'vitest';
import { grouped } from './grouped';

it('groups in the order in which the keys first come up, and things in theirs', () => {
	const groups = grouped(['pear', 'apple', 'plum', 'avocado'], (word) => word[0]);
	expect([...groups]).toEqual([
		['p', ['pear', 'plum']],
		['a', ['apple', 'avocado']]
	]);
	expect(grouped([], String).size).toBe(0);
});

import { expect, it } from 'vitest';
import { capital, counted, listed } from './words';

it('counts with the right word', () => {
	expect([0, 1, 2, 1200].map((n) => counted(n, 'day'))).toEqual(['0 days', '1 day', '2 days', '1,200 days']);
	expect(counted(2, 'person', 'people')).toBe('2 people');
});

it('lists as one says it, and does not go on for ever', () => {
	expect(listed([])).toBe('');
	expect(listed([3])).toBe('3');
	expect(listed([3, 4])).toBe('3 and 4');
	expect(listed(['a', 'b', 'c'])).toBe('a, b and c');
	expect(listed([1, 2, 3, 4, 5], 4)).toBe('1, 2, 3 and 2 more');
});

it('begins a sentence', () => {
	expect(capital('front shoulder')).toBe('Front shoulder');
	expect(capital('')).toBe('');
});

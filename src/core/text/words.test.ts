import { expect, it } from 'vitest';
import { nearest } from './nearest';
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

it('lists as many as are wanted, and no “1 more” for the last', () => {
	expect(listed([1, 2, 3, 4], 4)).toBe('1, 2, 3 and 4');
});

it('finds the nearest within a third of the letters, the first of two as near', () => {
	expect(nearest(' Squatt ', ['push-up', 'squat'])).toBe('squat');
	expect(nearest('plank', ['blank', 'flank'])).toBe('blank');
	expect(nearest('abcdef', ['abcdXY'])).toBe('abcdXY');
	expect(nearest('abcdef', ['abcXYZ'])).toBeNull();
	expect(nearest('ab', ['ax'])).toBe('ax');
	expect(nearest('ab', [])).toBeNull();
});

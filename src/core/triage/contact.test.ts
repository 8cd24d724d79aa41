import { DAY_MS } from '../calendar';
import { expect, it } from 'vitest';
import { heardAgo, isOwedPraise, praisedAgo } from './contact';

const NOW = 100 * DAY_MS;
const did = (way: string, daysAgo: number) => ({ way, at: NOW - daysAgo * DAY_MS });

it('counts days since a coach turned to somebody by themselves', () => {
	expect(heardAgo([did('wrote', 9), did('called', 4.9), did('praised', 20)], NOW)).toBe(4);
	expect(heardAgo([did('later', 1), did('settled', 2), did('post', 3)], NOW)).toBeNull();
	expect(heardAgo([did('wrote', -1), did('asked', 3)], NOW), 'what is still to come').toBe(3);
	expect(praisedAgo([did('wrote', 1), did('praised', 6)], NOW)).toBe(6);
});

it('owes praise for a whole week, and not again within a fortnight', () => {
	const whole = { credit: 4, due: 4 };
	expect(isOwedPraise([], whole, NOW)).toBe(true);
	expect(isOwedPraise([did('wrote', 1)], whole, NOW)).toBe(true);
	expect(isOwedPraise([did('praised', 13.9)], whole, NOW)).toBe(false);
	expect(isOwedPraise([did('praised', 14)], whole, NOW)).toBe(true);
	expect(isOwedPraise([], { credit: 3.5, due: 4 }, NOW)).toBe(false);
	expect(isOwedPraise([], { credit: 0, due: 0 }, NOW)).toBe(false);
});

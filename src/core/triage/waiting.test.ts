import { describe, expect, it } from 'vitest';
import { lastUnanswered, type Dealt, type Written } from './waiting';

const NOW = 1000;
const theirs = (at: number): Written => ({ byCoach: false, at, toSeveral: false, aboutDay: null });
const ours = (at: number, more: Partial<Written> = {}): Written => ({
	...theirs(at),
	byCoach: true,
	...more
});
const did = (way: string, at: number, until: number | null = null): Dealt => ({ way, at, until });
const waits = (thread: Written[], dealt: Dealt[] = [], now = NOW) => lastUnanswered(thread, dealt, now);

describe('what waits for an answer', () => {
	it('is what they wrote last, when nothing was written to them since', () => {
		const thread = [theirs(1), ours(2), theirs(3), theirs(4)];
		expect(waits(thread)).toBe(thread[3]);
		expect([waits([]), waits([theirs(3), ours(4)]), waits([ours(4)])]).toEqual([null, null, null]);
	});

	it('is not answered by what goes to several, nor by a line about a result', () => {
		const thread = [theirs(3), ours(4, { toSeveral: true }), ours(5, { aboutDay: 12 })];
		expect(waits(thread)).toBe(thread[0]);
		expect(waits(thread.slice(1))).toBeNull();
		// What they say about a result of theirs waits as well.
		expect(waits([ours(4), { ...theirs(5), aboutDay: 12 }])).toMatchObject({ at: 5 });
	});

	it.each(['called', 'talked', 'settled'])('waits no longer once %s', (way) => {
		expect(waits([theirs(3)], [did(way, 3)])).toBeNull();
		expect(waits([theirs(3)], [did(way, NOW)])).toBeNull();
	});

	it('waits whatever was done before it, or is yet to be done when one looks back', () => {
		expect(waits([theirs(3)], [did('called', 2), did('settled', NOW + 1)])).toMatchObject({ at: 3 });
	});

	it.each(['wrote', 'post', 'praised', 'adjusted', 'asked'])('is not answered by: %s', (way) => {
		expect(waits([theirs(3)], [did(way, 4)])).toMatchObject({ at: 3 });
	});

	it('waits again from when it was put off to', () => {
		const later = [did('later', 5, 900)];
		expect(waits([theirs(3)], later, 899)).toBeNull();
		expect(waits([theirs(3)], later, 900)).toMatchObject({ at: 3 });
	});
});

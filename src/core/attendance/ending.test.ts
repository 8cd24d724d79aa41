import { describe, expect, it } from 'vitest';
import type { DayState } from '../day';
import { adherence } from './adherence';
import { endingOf, lastActiveDay } from './ending';

/** Two weeks of one letter a day: x done, / half, o missed, r rest, - excused. */
function row(name: string, code: string) {
	const STATE: Record<string, [DayState, number]> = {
		x: ['done', 1],
		'/': ['partial', 0.5],
		o: ['missed', 0],
		'-': ['excused', 0],
		r: ['rest', 0]
	};
	const days = [...code].map((letter, i) => {
		const [state, credit] = STATE[letter] ?? ['missed', 0];
		return { day: i + 1, state, credit, kind: letter === 'r' ? ('rest' as const) : ('train' as const) };
	});
	return { name, days, adherence: adherence(days) };
}

describe('what a challenge came to', () => {
	const rows = [
		row('stayed', 'xoxrxorxoxrxor'),
		row('best', 'xxxrxxrxxxrxx-'),
		row('gone', 'xx/rxxrooorooo'),
		row('never', 'ooorooroooroor')
	];
	const ending = endingOf(rows, 14);
	const names = (all: readonly { name: string }[]) => all.map(({ name }) => name);

	it('tells who went on to the end from who dropped out and who never began', () => {
		expect(names(ending.finished)).toEqual(['stayed', 'best']);
		expect(names(ending.dropped)).toEqual(['gone']);
		expect(names(ending.neverBegan)).toEqual(['never']);
	});

	it('adds up weeks over all people, without what was not due', () => {
		// By hand: week 1 is 3 + 5 + 4.5 + 0 of 5 each; week 2 is 3 of 5, 5 of 5 (one excused), 0 of 6, 0 of 5.
		expect(ending.weeks.map(({ adherence: { credit, due }, active }) => [credit, due, active])).toEqual([
			[12.5, 20, 3],
			[8, 21, 2]
		]);
		expect(ending.adherence.credit).toBe(20.5);
		expect(ending.adherence.due).toBe(41);
	});

	it('names those who did the most, and nobody who did nothing', () => {
		expect(names(ending.most)).toEqual(['best', 'stayed', 'gone']);
	});

	it('the last day that counts for being there is the seventh before the end', () => {
		const at = (day: number) => endingOf([row('one', `${'o'.repeat(day - 1)}x${'o'.repeat(14 - day)}`)], 14);
		expect(at(7).dropped).toHaveLength(1);
		expect(at(8).finished).toHaveLength(1);
		expect(lastActiveDay(row('none', 'ooo').days)).toBeNull();
	});

	it('of nobody nothing is added up', () => {
		expect(endingOf([], 14).adherence.rate).toBeNull();
		expect(endingOf([], 14).weeks).toHaveLength(2);
	});
});

import { DAY_MS } from '../calendar';
import { describe, expect, it } from 'vitest';
import type { ReasonKind } from './reason';
import { ownWeekOf, reviewRules, whatWorked, type Reviewed } from './review';

const HOUR = 3_600_000;
/** Mornings of days 1 to 28, with what was open on some of them. */
const somebody = (
	id: string,
	{
		open = {},
		lastDay = 28,
		checkins = [],
		reached = []
	}: {
		open?: Record<number, ReasonKind[]>;
		lastDay?: number | null;
		checkins?: number[];
		reached?: number[];
	}
): Reviewed => ({
	id,
	mornings: Array.from({ length: 28 }, (_, i) => ({
		day: i + 1,
		at: (i + 1) * DAY_MS,
		reasons: open[i + 1] ?? []
	})),
	lastDay,
	checkins,
	reached
});

describe('rules looked back on', () => {
	it('are right about who was named and dropped out, and who was not and did not', () => {
		const review = reviewRules(
			[
				somebody('hit', { open: { 9: ['fading'] }, lastDay: 14 }),
				somebody('miss', { lastDay: 10 }),
				somebody('too late', { open: { 12: ['missing'] }, lastDay: 10 }),
				somebody('other reason', { open: { 5: ['pain', 'easy'] }, lastDay: 10 }),
				somebody('alarm', { open: { 9: ['pain', 'first miss'] } }),
				somebody('quiet', { open: { 9: ['pain'] } }),
				somebody('never began', { open: { 3: ['never started'] }, lastDay: null })
			],
			28
		);
		expect(review).toEqual({
			hits: ['hit'],
			misses: ['miss', 'too late', 'other reason'],
			alarms: ['alarm'],
			quiet: ['quiet'],
			warning: 5
		});
	});
	it('take a week without anything at the end for dropping out, and the day after the last for in time', () => {
		const list = (lastDay: number) =>
			reviewRules([somebody('a', { open: { [lastDay + 1]: ['missing'] }, lastDay })], 28);
		expect(list(21)).toMatchObject({ hits: ['a'], warning: 0 });
		expect(list(22)).toMatchObject({ alarms: ['a'], warning: null });
	});
});

describe('what worked', () => {
	const open = { 10: ['missing'] as ReasonKind[] };
	const at = 10 * DAY_MS;
	const ANY = { mornings: 0, people: 0 };
	const worked = (...people: Reviewed[]) => whatWorked(people, 28 * DAY_MS, ANY);
	it('counts who checked in within two days, with and without being turned to within one', () => {
		expect(
			worked(
				somebody('a', { open, reached: [at + HOUR], checkins: [at + 47 * HOUR] }),
				somebody('b', { open, reached: [at + HOUR], checkins: [at + 49 * HOUR] }),
				somebody('c', { open, checkins: [at + HOUR] }),
				somebody('d', { open, reached: [at + 25 * HOUR] }),
				somebody('e', { open, checkins: [at - HOUR] })
			)
		).toMatchObject([{ kind: 'missing', reached: { n: 2, x: 1 }, others: { n: 3, x: 1 } }]);
	});
	it('leaves out mornings after somebody was turned to, praise, and what is not known yet', () => {
		expect(worked(somebody('a', { open, reached: [at - HOUR] }))).toEqual([]);
		expect(worked(somebody('a', { open, reached: [at - 49 * HOUR] }))).toMatchObject([
			{ others: { n: 1, x: 0 } }
		]);
		expect(worked(somebody('a', { open: { 10: ['full week'] } }))).toEqual([]);
		expect(whatWorked([somebody('a', { open })], at + 47 * HOUR, ANY)).toEqual([]);
		expect(whatWorked([somebody('a', { open })], at + 48 * HOUR, ANY)).toHaveLength(1);
	});
	it('says nothing below five mornings of three people on each side', () => {
		const five = Object.fromEntries([10, 13, 16, 19, 22].map((day) => [day, ['missing' as const]]));
		const turned = ['a', 'b', 'c'].map((id) =>
			somebody(id, { open: five, reached: [10, 13, 16, 19, 22].map((day) => day * DAY_MS + HOUR) })
		);
		const left = ['d', 'e', 'f'].map((id) => somebody(id, { open: five }));
		expect(whatWorked([...turned, ...left], 28 * DAY_MS)).toMatchObject([{ kind: 'missing' }]);
		expect(whatWorked([...turned, ...left.slice(1)], 28 * DAY_MS)).toEqual([]);
		const four = somebody('d', { open: { 10: ['missing'] } });
		expect(whatWorked([...turned, four, { ...four, id: 'e' }, { ...four, id: 'f' }], 28 * DAY_MS)).toEqual(
			[]
		);
	});
	it('says a difference only where both sides are of somebody', () => {
		expect(worked(somebody('a', { open }))[0]!.difference).toBeNull();
		const both = worked(somebody('a', { open, reached: [at], checkins: [at + 1] }), somebody('b', { open }));
		expect(both[0]!.difference!.difference).toBe(1);
	});
});

it('a coach’s week: who needed her, whom she reached, how fast, what is open', () => {
	const until = 28 * DAY_MS;
	expect(
		ownWeekOf(
			[
				somebody('a', { open: { 23: ['pain'], 24: ['pain'] }, reached: [23 * DAY_MS + 4 * HOUR] }),
				somebody('b', {
					open: { 26: ['fading'], 28: ['fading'] },
					reached: [20 * DAY_MS, 26 * DAY_MS + 30 * HOUR]
				}),
				somebody('c', { open: { 27: ['hard'] } }),
				somebody('d', { open: { 20: ['hard'] } })
			],
			until
		)
	).toEqual({ needed: 3, reached: 2, hours: 17, open: 1 });
	expect(ownWeekOf([], until)).toEqual({ needed: 0, reached: 0, hours: null, open: 0 });
});

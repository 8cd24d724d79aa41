import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyDay, insertDays, pasteWeek, putDays, removeDays, swapDays } from './edit';
import { EMPTY_PLAN, REST_DAY, type Plan, type PlannedDay } from './model';

const day = (session: string | null, more: Partial<PlannedDay> = {}): PlannedDay =>
	session === null ? REST_DAY : { kind: 'train', session, effort: null, tests: [], ...more };
const planOf = (...sessions: (string | null)[]): Plan => ({
	...EMPTY_PLAN,
	days: sessions.map((s) => day(s))
});
const laid = (plan: Plan) => plan.days.map(({ session }) => session ?? '-').join('');

const FORTNIGHT = planOf('a', 'b', 'c', null, 'd', 'e', null, 'f', 'g', null, null, null, null, null);

describe('changes to the days of a plan', () => {
	it('swap, copy, paste a week over others', () => {
		expect(laid(swapDays(FORTNIGHT, 1, 4))).toBe('-bcade-fg-----');
		expect(laid(copyDay(FORTNIGHT, 1, [4, 14]))).toBe('abcade-fg----a');
		expect(laid(pasteWeek(FORTNIGHT, 1, [2]))).toBe('abc-de-abc-de-');
		expect(laid(pasteWeek(planOf('a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i'), 1, [1, 2]))).toBe('abcdefgab');
	});

	it('keep tests on their own days when work is copied over them, and take them along in a swap', () => {
		const plan = {
			...planOf('a', 'b', 'c'),
			days: [day('a', { kind: 'test', tests: ['t'] }), day('b'), day('c')]
		};
		expect(copyDay(plan, 1, [2]).days[1]?.tests).toEqual([]);
		expect(swapDays(plan, 1, 3).days[2]?.tests).toEqual(['t']);
	});

	it('put rest days in and take days out, with everything after them', () => {
		expect(laid(insertDays(planOf('a', 'b', 'c'), 2))).toBe('a-bc');
		expect(laid(removeDays(planOf('a', 'b', 'c'), 2))).toBe('ac');
		expect(laid(removeDays(planOf('a'), 1))).toBe('a');
		expect(() => insertDays({ ...EMPTY_PLAN, days: Array(80).fill(REST_DAY) }, 1, 7)).toThrow(
			/at most 84 days/
		);
	});

	it('change nothing where a day is not there, and nothing on the day that is copied', () => {
		const tested = { ...planOf('a', 'b'), days: [day('a', { tests: ['t'] }), day('b')] };
		for (const [a, b] of [
			[0, 1],
			[1, 3],
			[3, 1],
			[2, 2]
		] as const)
			expect(swapDays(tested, a, b)).toBe(tested);
		expect(copyDay(tested, 3, [1])).toBe(tested);
		expect(copyDay(tested, 1, [1, 2]).days[0]?.tests).toEqual(['t']);
		expect(laid(copyDay(tested, 1, [1, 2]))).toBe('aa');
	});

	it('paste the week that is meant, over none but those, each day keeping its tests', () => {
		const weeks = planOf(...'aaaaaaabbbbbbbccccccc'.split(''));
		const tested = {
			...weeks,
			days: weeks.days.map((d, i) => (i === 0 || i === 8 ? { ...d, tests: [`t${i}`] } : d))
		};
		const pasted = pasteWeek(tested, 2, [1, 2]);
		expect(laid(pasted)).toBe('bbbbbbbbbbbbbbccccccc');
		expect(pasted.days.map(({ tests }) => tests.join()).slice(0, 9)).toEqual([
			't0',
			'',
			'',
			'',
			'',
			'',
			'',
			'',
			't8'
		]);
		expect(laid(pasteWeek(tested, 3, [1]))).toBe('cccccccbbbbbbbccccccc');
		expect(laid(pasteWeek(planOf(...'abcdefgh'.split('')), 2, [1]))).toBe('hbcdefgh');
	});

	it('grow to 84 days and no further', () => {
		const days = (count: number): Plan => ({ ...EMPTY_PLAN, days: Array<PlannedDay>(count).fill(REST_DAY) });
		expect(insertDays(days(80), 1, 4).days).toHaveLength(84);
		expect(() => insertDays(days(80), 1, 5)).toThrow('a plan has at most 84 days; it would have 85');
	});

	it('make a rest day bare', () => {
		expect(putDays(FORTNIGHT, [1], { kind: 'rest' }).days[0]).toEqual(REST_DAY);
		expect(
			putDays(FORTNIGHT, [1, 2], { effort: 7 })
				.days.map(({ effort }) => effort)
				.slice(0, 3)
		).toEqual([7, 7, null]);
	});

	it('lose nothing: a swap is undone by itself, days put in and taken out leave the plan as it was', () => {
		const plan = fc
			.array(fc.option(fc.constantFrom('a', 'b', 'c')), { minLength: 1, maxLength: 80 })
			.map((s) => planOf(...s));
		fc.assert(
			fc.property(plan, fc.nat(79), fc.nat(79), (p, i, j) => {
				const [a, b] = [(i % p.days.length) + 1, (j % p.days.length) + 1];
				expect(swapDays(swapDays(p, a, b), a, b)).toEqual(p);
				expect(removeDays(insertDays(p, a, 3), a, 3)).toEqual(p);
			})
		);
	});
});

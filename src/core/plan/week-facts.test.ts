import { describe, expect, it } from 'vitest';
import { parseSessionText } from '../session';
import { resolvePlan } from './resolved-plan';
import { EMPTY_PLAN, REST_DAY, type PlannedDay } from './model';
import { weekFacts } from './week-facts';
import { PRACTICE } from '../../../tests/support/practice';

const read = (text: string) => parseSessionText(text, PRACTICE).session;
const SESSIONS = [
	{ key: 'push', name: 'Push', body: read('4 x 10 push-up, rest 60') },
	{ key: 'walk', name: 'Walk', body: read('steady 30 min, talk test: brisk walk') }
];
const day = (session: string, effort: number): PlannedDay => ({ kind: 'train', session, effort, tests: [] });
const rest = (n: number) => Array<PlannedDay>(n).fill(REST_DAY);
const LAID = resolvePlan(
	{
		...EMPTY_PLAN,
		days: [day('walk', 4), ...rest(6), day('walk', 4), day('push', 6), day('walk', 4), ...rest(4)]
	},
	SESSIONS,
	PRACTICE
);

describe('weekFacts', () => {
	it('gives a week with the week before', () => {
		const first = weekFacts(LAID, 1);
		expect(first).toMatchObject({
			works: 1,
			minutes: 30,
			load: 120,
			rise: null,
			steady: 1,
			hard: 0,
			aerobic: 30
		});
		const second = weekFacts(LAID, 2);
		// Four sets of ten at 3 s with three rests of 60 s: 300 s, five minutes at effort 6; two walks of 120 each.
		expect(second).toMatchObject({ works: 3, minutes: 65, load: 270, steady: 2, aerobic: 60 });
		expect(second.rise).toEqual({ share: 270 / 120 - 1, than: 1 });
	});

	it('holds a week against the last one that was not lighter', () => {
		const week = [day('walk', 4), ...rest(6)];
		const plan = { ...EMPTY_PLAN, days: [...week, ...week, ...week], deload: { every: 2, keep: 0.5 } };
		expect(weekFacts(resolvePlan(plan, SESSIONS, PRACTICE), 3).rise).toEqual({ share: 0, than: 1 });
	});

	it('counts groups by the muscle that has most, assisting ones half', () => {
		const groups = Object.fromEntries(
			weekFacts(LAID, 2).groups.map(({ group, days, sets }) => [group, [days, sets]])
		);
		expect(groups.chest).toEqual([1, 4]);
		expect(groups.trunk).toEqual([1, 2]);
		expect(groups.back).toEqual([0, 0]);
	});

	it('knows its weeks', () => {
		expect(() => weekFacts(LAID, 3)).toThrow(/week: 3; the plan has 2/);
	});
});

import { describe, expect, it } from 'vitest';
import { parseSessionText } from '../session';
import { resolvePlan } from './resolved-plan';
import { EMPTY_PLAN, newRule, newBenchmark, REST_DAY, type PlannedDay } from './model';
import { planSheet } from './sheet';
import { PRACTICE } from '../../../tests/support/practice';

const read = (text: string) => parseSessionText(text, PRACTICE).session;
const SESSIONS = [
	{
		key: 'p',
		name: 'Press day',
		body: read('warm-up: 1 x 10 squat, rest 10\n3 x 10 overhead press @ 8 kg, rest 60')
	},
	{ key: 'h', name: 'Hold day', body: read('2 x 30 s plank, rest 30') }
];
const day = (session: string, more: Partial<PlannedDay> = {}): PlannedDay => ({
	kind: 'train',
	session,
	effort: null,
	tests: [],
	...more
});
const PLAN = {
	...EMPTY_PLAN,
	days: [
		day('p'),
		REST_DAY,
		day('h', { tests: ['t', 'gone'] }),
		...Array<PlannedDay>(4).fill(REST_DAY),
		day('p')
	],
	tests: [newBenchmark('t', 'Plank', 'Plank', 'longest hold')],
	rules: [newRule('r', { session: 'p' }, [{ kind: 'reps', reps: 2 }])]
};

describe('planSheet', () => {
	const sheet = planSheet(resolvePlan(PLAN, SESSIONS, PRACTICE), '2028-02-27', [
		null,
		null,
		'Storm',
		...Array<null>(5).fill(null)
	]);

	it('has the days in their weeks with dates over a 29 February', () => {
		expect(sheet.weeks.map(({ days }) => days.length)).toEqual([7, 1]);
		expect(sheet.weeks[0]?.days[2]).toMatchObject({
			day: 3,
			date: '2028-02-29',
			session: 'Hold day',
			tests: ['Plank'],
			cancelled: 'Storm'
		});
		expect(sheet.endsOn).toBe('2028-03-05');
	});

	it('counts what is done, without what is cancelled, and names the middle', () => {
		expect(sheet.works).toBe(2);
		expect(sheet.weeks.flatMap(({ days }) => days.filter((d) => d.halfway).map((d) => d.day))).toEqual([1]);
	});

	it('says what is new in a week, what a session is made of and how it rises', () => {
		expect(sheet.weeks[1]?.steps).toEqual(['Overhead press 12 reps']);
		expect(sheet.sessions[0]).toMatchObject({ name: 'Press day', times: 2, exercises: ['Overhead press'] });
		const [least, most] = sheet.sessions[0]!.minutes;
		expect(most).toBeGreaterThanOrEqual(least);
		expect(sheet.rules).toEqual(['Press day: +2 reps every week from week 2']);
		expect(sheet.tests).toEqual(['Plank: longest hold, Plank']);
	});

	it('measures load against the heaviest day', () => {
		const loads = sheet.weeks.flatMap(({ days }) => days.map(({ load }) => load));
		expect(Math.max(...loads)).toBe(1);
		expect(loads[1]).toBe(0);
	});
});

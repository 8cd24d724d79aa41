/** Two sessions of one day as one: what rules changed keeps its place in it. */
import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { dayOfTwo } from './day-of-two';
import { newRule, EMPTY_PLAN } from './model';
import { sessionInWeek } from './progression';
import { resolvePlan } from './resolved-plan';

const MORNING = sessionOf('3 x 10 squat\n3 x 10 push-up');
const EVENING = sessionOf('2 x 10 squat\n3 x 30 s plank');
const RULES = [
	newRule('reps', { exercise: 'Squat' }, [{ kind: 'reps', reps: 2 }]),
	newRule('hold', { session: 'e', block: 1 }, [{ kind: 'seconds', seconds: 5 }])
];
const inWeek = (week: number) => ({
	first: { ...sessionInWeek(MORNING, 'm', week, { rules: RULES, deload: null }, PRACTICE), name: 'A' },
	second: { ...sessionInWeek(EVENING, 'e', week, { rules: RULES, deload: null }, PRACTICE), name: 'B' }
});

describe('dayOfTwo', () => {
	it('says at which block of the day something changed, got stuck and was met', () => {
		const { first, second } = inWeek(2);
		const stuck = { rule: 'hold', block: 1, part: null, why: 'no more' };
		const day = dayOfTwo({ ...first, stuck: [stuck] }, { ...second, stuck: [stuck] });
		expect(day.changes.map(({ rule, block, to }) => [rule, block, to])).toEqual([
			['reps', 0, '12 reps'],
			['reps', 2, '12 reps'],
			['hold', 3, '35 s']
		]);
		expect(day.stuck.map(({ block }) => block)).toEqual([1, 3]);
		expect([...day.met].sort()).toEqual(['hold', 'reps']);
		expect(day.session.blocks.map(({ dayPart }) => dayPart ?? null)).toEqual([
			'Morning: A',
			null,
			'Evening: B',
			null
		]);
	});

	it('is what a plan sends on such a day: minutes, sets and names of both', () => {
		const sessions = [
			{ key: 'm', name: 'A', body: MORNING },
			{ key: 'e', name: 'B', body: EVENING }
		];
		const day = { kind: 'train' as const, session: 'm', effort: null, tests: [] };
		const plan = { ...EMPTY_PLAN, days: [day, { ...day, evening: 'e' }, { ...day, evening: 'gone' }] };
		const [alone, both, unknown] = resolvePlan(plan, sessions, PRACTICE).days;
		const only = resolvePlan({ ...plan, days: [{ ...day, session: 'e' }] }, sessions, PRACTICE).days[0];
		expect(both?.prescribed).toMatchObject({ name: 'A + B', names: ['A', 'B'], key: 'm' });
		expect(both?.minutes).toBeCloseTo((alone?.minutes ?? 0) + (only?.minutes ?? 0));
		expect(both?.prescribed?.balance.sets.quads).toBe(5);
		expect(unknown?.prescribed?.names).toEqual(['A']);
	});
});

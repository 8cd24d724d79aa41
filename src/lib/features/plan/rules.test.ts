import { describe, expect, it } from 'vitest';
import { EMPTY_PLAN, resolvePlan, newRule, weekSteps, type Plan, type PlanSession } from '$core/plan';
import { parseSessionText } from '$core/session';
import { choicesOf, sameTarget } from './rule-form';
import { stepDefinitions } from '$core/plan';
import { ruleTable } from './rule-table';
import { PRACTICE } from '../../../../tests/support/practice';

const sessionOf = (key: string, name: string, text: string): PlanSession => ({
	key,
	name,
	body: parseSessionText(text, PRACTICE).session
});
const SESSIONS = [
	sessionOf('a', 'Press day', 'warm-up: 2 x 10 squat, rest 10\n3 x 10 overhead press @ 8 kg, rest 60'),
	sessionOf('b', 'Hold day', '2 x 30 s plank, rest 30')
];
/** One of the two on the first day of each week. */
const planOf = (letters: string, more: Partial<Plan> = {}): Plan => ({
	...EMPTY_PLAN,
	days: [...letters].flatMap((letter) =>
		Array.from({ length: 7 }, (_, i) =>
			i === 0
				? { kind: 'train' as const, session: letter, effort: null, tests: [] }
				: { kind: 'rest' as const, session: null, effort: null, tests: [] }
		)
	),
	...more
});
const PRESS = newRule('press', { exercise: 'Overhead press' }, [{ kind: 'load', kg: 1 }]);
const HOLD = newRule('hold', { session: 'b' }, [{ kind: 'seconds', seconds: 5 }], { from: 3 });

describe('what a rule makes of an exercise over the weeks', () => {
	it('is a row a place, empty where the session does not come', () => {
		const resolved = resolvePlan(planOf('abaa', { rules: [PRESS] }), SESSIONS, PRACTICE);
		expect(ruleTable(resolved, PRESS)).toEqual([
			{ what: 'Press day, Overhead press: load', values: ['8 kg', null, '10 kg', '11 kg'] }
		]);
		expect(ruleTable(resolved, HOLD)).toEqual([]);
	});
});

describe('what a week brings', () => {
	it('is what differs from the week before', () => {
		const plan = planOf('aaaa', { rules: [PRESS], deload: { every: 3, keep: 0.5 } });
		const texts = [1, 2, 3, 4].map((week) =>
			weekSteps(resolvePlan(plan, SESSIONS, PRACTICE), week).map(({ text }) => text)
		);
		expect(texts).toEqual([[], ['Overhead press 9 kg'], [], ['Overhead press 10 kg']]);
	});

	it('names the session of a block, and nothing beyond the plan', () => {
		const rule = newRule('r', { session: 'a' }, [{ kind: 'rounds', rounds: 1 }]);
		const resolved = resolvePlan(planOf('aa', { rules: [rule] }), SESSIONS, PRACTICE);
		expect(weekSteps(resolved, 2)).toEqual([{ session: 'Press day', text: 'Press day: sets 4' }]);
		expect(weekSteps(resolved, 3)).toEqual([]);
	});
});

describe('what a rule can be about', () => {
	it('is what the plan has in its main work: exercises, sessions, blocks', () => {
		const [exercises, sessions, blocks] = choicesOf(resolvePlan(planOf('ab'), SESSIONS, PRACTICE));
		expect(exercises?.choices).toEqual([
			{ label: 'Overhead press', on: { exercise: 'Overhead press' }, loaded: true },
			{ label: 'Plank', on: { exercise: 'Plank' }, loaded: false }
		]);
		expect(sessions?.choices.map(({ label }) => label)).toEqual(['Press day', 'Hold day']);
		expect(blocks?.choices.map(({ on }) => on)).toEqual([
			{ session: 'a', block: 1 },
			{ session: 'b', block: 0 }
		]);
		expect(sameTarget({ session: 'a', block: 1 }, blocks?.choices[0]?.on ?? { exercise: '' })).toBe(true);
		expect(choicesOf(resolvePlan(EMPTY_PLAN, SESSIONS, PRACTICE)).flatMap(({ choices }) => choices)).toEqual(
			[]
		);
	});

	it('has words, usual amounts and a field for each of its numbers', () => {
		for (const { kind, label, initial, fields } of stepDefinitions()) {
			expect(initial.kind).toBe(kind);
			expect(label.length).toBeGreaterThan(3);
			expect(fields.map(({ key }) => key as string)).toEqual(
				Object.keys(initial).filter((key) => key !== 'kind')
			);
		}
	});
});

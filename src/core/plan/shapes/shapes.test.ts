import { describe, expect, it } from 'vitest';
import { checkSession } from '../../review';
import { parseSessionText, sessionFaults } from '../../session';
import { checkPlan } from '../check-plan';
import { layOut, type PlanSession } from '../laid';
import { planOfShape, SHAPES, startersOf } from './shapes';
import { STARTERS, type StarterName } from './starter-sessions';

const NAMES = Object.keys(STARTERS) as StarterName[];
const sessions: PlanSession[] = NAMES.map((name) => ({
	key: name,
	name,
	body: parseSessionText(STARTERS[name].lines.join('\n')).session
}));
const keys = Object.fromEntries(NAMES.map((name) => [name, name]));

describe('starter sessions', () => {
	it.each(NAMES)('%s is sound, of exercises that the library knows, and safe', (name) => {
		const { session, faults, notes } = parseSessionText(STARTERS[name].lines.join('\n'));
		expect({ faults, notes }).toEqual({ faults: [], notes: [] });
		expect(sessionFaults(session)).toEqual([]);
		const safety = checkSession(session, { group: { people: 20, beginners: 20 } }).filter(
			({ weight }) => weight === 'safety'
		);
		expect(safety).toEqual([]);
	});

	it('are all used by some shape', () => {
		expect(new Set(SHAPES.flatMap(startersOf))).toEqual(new Set(NAMES));
	});
});

describe.each(SHAPES.map((shape) => [shape.name, shape] as const))('%s', (_, shape) => {
	const plan = planOfShape(shape, keys);
	const laid = layOut(plan, sessions);

	it('fills its days, trains on its days and tests at start and end', () => {
		expect(plan.days).toHaveLength(shape.days);
		const worked = new Set(plan.days.flatMap(({ kind }, i) => (kind === 'rest' ? [] : [(i % 7) + 1])));
		expect([...worked].sort()).toEqual(shape.trainingDays);
		for (const test of plan.tests)
			expect(laid.days.filter((day) => day.tests.includes(test.id)).map((day) => day.day)).toEqual(
				shape.testDays
			);
	});

	it('has nothing that a careful coach would have to look at', () => {
		const found = checkPlan(laid, { budgetMinutes: shape.budgetMinutes });
		expect(found.filter(({ weight }) => weight !== 'hint').map(({ title }) => title)).toEqual([]);
	});

	it('asks for more from week to week, and less in a lighter one', () => {
		const whole = laid.weeks.filter(
			({ light, days }) => !light && days.every((day) => day.tests.length === 0)
		);
		const work = whole.map(({ days }) =>
			days.reduce((sum, day) => sum + (day.sent?.timeline.totals.work ?? 0), 0)
		);
		for (const [i, now] of work.entries()) if (i > 0) expect(now).toBeGreaterThan(work[i - 1] ?? Infinity);
		for (const week of laid.weeks.filter(({ light }) => light))
			expect(week.load).toBeLessThan(laid.weeks[week.week - 2]?.load ?? 0);
	});

	it('needs a key for each of its sessions', () => {
		expect(() => planOfShape(shape, {})).toThrow(/keys/);
	});
});

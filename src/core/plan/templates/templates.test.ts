import { describe, expect, it } from 'vitest';
import { checkSession } from '../../analysis';
import { parseSessionText, sessionFaults } from '../../session';
import { checkPlan } from '../check-plan';
import { resolvePlan, type PlanSession } from '../resolved-plan';
import { planOfTemplate, TEMPLATES, startersOf } from './templates';
import { STARTERS, type StarterName } from './starter-sessions';
import { PRACTICE } from '../../../../tests/support/practice';

const NAMES = Object.keys(STARTERS) as StarterName[];
const sessions: PlanSession[] = NAMES.map((name) => ({
	key: name,
	name,
	body: parseSessionText(STARTERS[name].lines.join('\n'), PRACTICE).session
}));
const keys = Object.fromEntries(NAMES.map((name) => [name, name]));

describe('starter sessions', () => {
	it.each(NAMES)('%s is sound, of exercises that the library knows, and safe', (name) => {
		const { session, faults, notes } = parseSessionText(STARTERS[name].lines.join('\n'), PRACTICE);
		expect({ faults, notes }).toEqual({ faults: [], notes: [] });
		expect(sessionFaults(session, PRACTICE)).toEqual([]);
		const safety = checkSession(session, PRACTICE, {
			group: { people: 20, beginners: 20, limits: [] }
		}).filter(({ severity }) => severity === 'safety');
		expect(safety).toEqual([]);
	});

	it('are all used by some template', () => {
		expect(new Set(TEMPLATES.flatMap(startersOf))).toEqual(new Set(NAMES));
	});
});

describe.each(TEMPLATES.map((template) => [template.name, template] as const))('%s', (_, template) => {
	const plan = planOfTemplate(template, keys);
	const resolved = resolvePlan(plan, sessions, PRACTICE);

	it('fills its days, trains on its days and tests at start and end', () => {
		expect(plan.days).toHaveLength(template.days);
		const worked = new Set(plan.days.flatMap(({ kind }, i) => (kind === 'rest' ? [] : [(i % 7) + 1])));
		expect([...worked].sort()).toEqual(template.trainingDays);
		for (const test of plan.tests)
			expect(resolved.days.filter((day) => day.tests.includes(test.id)).map((day) => day.day)).toEqual(
				template.testDays
			);
	});

	it('has nothing that a careful coach would have to look at', () => {
		const found = checkPlan(resolved, PRACTICE, { budgetMinutes: template.budgetMinutes });
		expect(found.filter(({ severity }) => severity !== 'hint').map(({ title }) => title)).toEqual([]);
	});

	it('asks for more from week to week, and less in a lighter one', () => {
		const whole = resolved.weeks.filter(
			({ light, days }) => !light && days.every((day) => day.tests.length === 0)
		);
		const work = whole.map(({ days }) =>
			days.reduce((sum, day) => sum + (day.prescribed?.timeline.totals.work ?? 0), 0)
		);
		for (const [i, now] of work.entries()) if (i > 0) expect(now).toBeGreaterThan(work[i - 1] ?? Infinity);
		for (const week of resolved.weeks.filter(({ light }) => light))
			expect(week.load).toBeLessThan(resolved.weeks[week.week - 2]?.load ?? 0);
	});

	it('needs a key for each of its sessions', () => {
		expect(() => planOfTemplate(template, {})).toThrow(/keys/);
	});
});

import { describe, expect, it } from 'vitest';
import type { Practice } from '../practice';
import { changedFindings, checkPlan, type PlanCheckOptions } from './check-plan';
import { putDays, swapDays } from './edit';
import type { PlanFinding } from './finding';
import { resolvePlan } from './resolved-plan';
import { DEFAULT_AUDIENCE } from '../people';
import { EMPTY_PLAN, newBenchmark, newRule, type Plan } from './model';
import { LETTERED, letteredPlan } from '../../../tests/support/plans';
import { PRACTICE, practiceWith } from '../../../tests/support/practice';

const find = (
	plan: Plan,
	rule: string,
	more: PlanCheckOptions = {},
	practice: Practice = PRACTICE
): PlanFinding[] =>
	checkPlan(resolvePlan(plan, LETTERED, practice), practice, more).filter((finding) => finding.rule === rule);
/** What is left of a finding after its remedy. */
const mended = (plan: Plan, rule: string, more: PlanCheckOptions = {}) => {
	const [finding] = find(plan, rule, more);
	expect(finding?.remedy, rule).toBeTruthy();
	return find(finding?.remedy?.apply(plan) ?? plan, rule, more);
};
const rule = newRule.bind(null, 'r1');
const TEST = newBenchmark('t', 'Plank', 'Plank', 'longest hold');

describe('checks over the weeks', () => {
	it('see the same muscles hard two days running, and swap a day away', () => {
		const [found] = find(letteredPlan('LL-U-S-'), 'hard two days running');
		expect(found).toMatchObject({ place: { days: [1, 2] }, severity: 'watch' });
		expect(found?.figure).toContain('8 and 8 sets on glutes');
		expect(mended(letteredPlan('LL-U-S-'), 'hard two days running')).toEqual([]);
		expect(find(letteredPlan('LUL-S--'), 'hard two days running')).toEqual([]);
		expect(
			find(letteredPlan('LL-U-S-'), 'hard two days running', {}, practiceWith({ house: { hardSets: 9 } }))
		).toEqual([]);
		// Across the end of a week too.
		expect(find(letteredPlan('U-S---L L------'), 'hard two days running')[0]?.place.days).toEqual([7, 8]);
	});

	it('gather the same clash of several weeks, and say nothing of days that are released', () => {
		const plan = letteredPlan('LL----- LL----- LL-----');
		const [all, ...more] = find(plan, 'hard two days running');
		expect(more).toEqual([]);
		expect(all).toMatchObject({ place: { days: [1, 2, 8, 9, 15, 16] } });
		expect(all?.title).toContain('in 3 weeks');
		expect(mended(plan, 'hard two days running')).toEqual([]);
		expect(find(plan, 'hard two days running', { releasedTo: 8 })[0]).toMatchObject({
			place: { days: [8, 9, 15, 16] }
		});
		// Day 9 may still move, day 8 is released.
		const after = find(plan, 'hard two days running', { releasedTo: 8 })[0]?.remedy?.apply(plan);
		expect(after?.days.slice(0, 8)).toEqual(plan.days.slice(0, 8));
		expect(find(plan, 'hard two days running', { releasedTo: 21 })).toEqual([]);
	});

	it('see training days without a session, and weeks without training', () => {
		expect(find(letteredPlan('L?-?---'), 'day without a session')[0]).toMatchObject({
			place: { days: [2, 4] }
		});
		expect(mended(letteredPlan('L?-?---'), 'day without a session')).toEqual([]);
		expect(find(letteredPlan('L------ -------'), 'week without training')[0]?.title).toBe(
			'Week 2 has no training'
		);
	});

	it('see more than six training days in a row', () => {
		expect(find(letteredPlan('UUUUUU- UUUUUU-'), 'no rest day')).toEqual([]);
		expect(find(letteredPlan('UUUUUUU U------'), 'no rest day')[0]?.title).toContain(
			'8 training days in a row'
		);
		expect(mended(letteredPlan('UUUUUUU UUU----'), 'no rest day')).toEqual([]);
	});

	it('see sessions over the budget, in the weeks in which they are', () => {
		// An EMOM of two groups: a round more is two minutes more.
		const longer = [rule({ session: 'E' }, [{ kind: 'rounds', rounds: 1 }])];
		const plan = letteredPlan('E------ E------ E------', { rules: longer });
		const minutes = resolvePlan(plan, LETTERED, PRACTICE).days.map((day) => day.minutes);
		expect(minutes.filter(Boolean)).toEqual([8, 10, 12]);
		expect(find(plan, 'over the budget', { budgetMinutes: 11 })[0]).toMatchObject({ place: { days: [15] } });
		expect(find(plan, 'over the budget', { budgetMinutes: 12 })).toEqual([]);
	});

	it('see guidance missed: strengthening days, sets a week, aerobic minutes, cardio', () => {
		const whole = letteredPlan('B-S-BHS B-S-BHS');
		expect(find(whole, 'strengthening days')).toEqual([]);
		expect(find(letteredPlan('L-S-L--'), 'strengthening days')[0]?.title).toContain('chest');
		expect(find(whole, 'sets a week')[0]?.figure).toContain('in 2 weeks');
		// 2 × 40 min moderate; 8 × 30 s with 7 × 90 s between are 14.5 min vigorous and count twice: 80 + 29.
		expect(find(whole, 'aerobic minutes')[0]?.figure).toContain('Week 1 has 109');
		expect(find(letteredPlan('SSSSB--'), 'aerobic minutes')).toEqual([]);
		expect(find(whole, 'hard cardio')[0]?.title).toBe('Hard cardio 1 times a week, not 2');
		expect(find(whole, 'steady cardio')).toEqual([]);
		expect(find(letteredPlan('L-H-S--', {}), 'hard cardio after lifting')).toEqual([]);
	});

	it('see a week much harder than the one before, alike days, and a lighter week that never comes', () => {
		expect(find(letteredPlan('U-U-U-- U-U-UL-'), 'rise of the week')[0]?.title).toMatch(
			/Week 2 is \d+ % harder than week 1/
		);
		expect(find(letteredPlan('U-U-U-- U-U-U--'), 'rise of the week')).toEqual([]);
		expect(find(letteredPlan('UUUUUUU'), 'monotony')).toEqual([]);
		expect(find(letteredPlan('UUUUUU-'), 'monotony')[0]?.figure).toContain('Monotony 2.3');
		const never = letteredPlan('U------ U------ U------', { deload: { every: 4, keep: 0.6 } });
		expect(find(never, 'lighter week')[0]?.title).toBe('The lighter week never comes');
		expect(mended(never, 'lighter week')).toEqual([]);
	});

	it('see a test without its repeat, and lay it', () => {
		const plan = letteredPlan('T-U-U-- U-U-U-- U-U-UT-', { tests: [TEST] });
		expect(find(plan, 'test and repeat')[0]?.title).toBe('Plank is on no day');
		const once = putDays(plan, [1], { tests: ['t'] });
		expect(find(once, 'test and repeat')[0]?.title).toBe('Plank has no repeat');
		expect(mended(once, 'test and repeat')).toEqual([]);
		expect(find(putDays(once, [12], { tests: ['t'] }), 'test and repeat')[0]?.title).toBe('Plank ends early');
		expect(find(putDays(plan, [10, 20], { tests: ['t'] }), 'test and repeat')[0]?.title).toBe(
			'Plank begins late'
		);
		expect(mended(letteredPlan('T-U-U-- U-U-UT-', { tests: [TEST] }), 'test day without a test')).toEqual([]);
		expect(find(letteredPlan('U-U-U-- U-U-U--'), 'no test')).toHaveLength(1);
	});

	it('see a hard day before a test', () => {
		const plan = letteredPlan('LT-----', {});
		expect(find(plan, 'tired into a test')[0]?.place.days).toEqual([1, 2]);
		expect(mended(plan, 'tired into a test')).toEqual([]);
	});

	it('see a week that brings nothing new', () => {
		const same = letteredPlan('U-L---- U-L----');
		expect(find(same, 'nothing new')[0]?.title).toContain('Week 2: the same');
		expect(
			find({ ...same, rules: [rule({ exercise: 'Push-up' }, [{ kind: 'reps', reps: 1 }])] }, 'nothing new')
		).toEqual([]);
		expect(find(letteredPlan('U-L---- U-B----'), 'nothing new')).toEqual([]);
	});

	it('see equipment that is needed once only', () => {
		expect(find(letteredPlan('LUJ-JJJ L-J----'), 'equipment on one day')[0]?.title).toBe(
			'A band is needed on day 2 alone'
		);
	});

	it('see where a rule runs into a wall, in which week, and offer a way', () => {
		const emom = letteredPlan('E------ E------ E------ E------ E------', {
			rules: [rule({ exercise: 'squat' }, [{ kind: 'reps', reps: 2 }])]
		});
		const [full] = find(emom, 'progression');
		// 10 squats take 30 s; from 16, in week 4, fewer than 15 s are left.
		expect(full?.title).toBe('Week 4, Session E: the minute is full');
		expect(full?.figure).toContain('12 s of rest');
		const after = full?.remedy?.apply(emom);
		expect(after?.rules).toHaveLength(2);
		expect(find(after ?? emom, 'progression')).toEqual([]);

		const heavy = letteredPlan('L------ L------ L------', {
			rules: [rule({ exercise: 'goblet squat' }, [{ kind: 'load', kg: 2 }])],
			audience: { ...DEFAULT_AUDIENCE, heaviestKg: 14 }
		});
		expect(find(heavy, 'progression')[0]?.title).toBe('Week 3, Session L: Goblet squat at 16 kg');
		expect(mended(heavy, 'progression')).toEqual([]);

		const longer = letteredPlan('U------ U------ U------', {
			rules: [rule({ session: 'U' }, [{ kind: 'rounds', rounds: 1 }])]
		});
		expect(find(longer, 'progression', { budgetMinutes: 15 })[0]?.title).toContain(
			'Week 3, Session U: over the budget'
		);

		const top = letteredPlan('L------ L------ L------', {
			rules: [rule({ exercise: 'goblet squat' }, [{ kind: 'variation' }])]
		});
		expect(find(top, 'progression')[0]?.title).toContain('hardest variation');

		const idle = letteredPlan('U------', {
			rules: [rule({ exercise: 'Rope haul' }, [{ kind: 'reps', reps: 1 }])]
		});
		expect(find(idle, 'progression')[0]?.title).toContain('changes nothing');
		expect(mended(idle, 'progression')).toEqual([]);
	});

	it('leave tests as they are, whatever the week: they are always taken under the same conditions', () => {
		const plan = letteredPlan('T------ T------', {
			deload: { every: 2, keep: 0.5 },
			rules: [rule({ exercise: 'Plank' }, [{ kind: 'seconds', seconds: 5 }])]
		});
		const { days } = resolvePlan(plan, LETTERED, PRACTICE);
		expect(days[7]?.prescribed?.session).toBe(days[0]?.prescribed?.session);
		expect(days[7]?.light).toBe(true);
	});

	it('see what does not fit the audience', () => {
		const beginners = { level: 'beginner', items: ['mat'], heaviestKg: 8, conditions: [] } as const;
		expect(find(letteredPlan('J------', { audience: beginners }), 'audience, limits')[0]).toMatchObject({
			severity: 'safety'
		});
		expect(find(letteredPlan('U------', { audience: beginners }), 'audience, equipment')[0]?.title).toContain(
			'band'
		);
		expect(mended(letteredPlan('U------', { audience: beginners }), 'audience, equipment')).toEqual([]);
		expect(find(letteredPlan('L------', { audience: beginners }), 'audience, load')[0]?.title).toContain(
			'Goblet squat 12 kg'
		);
	});

	it('say nothing of an empty plan, and what a move would bring and end', () => {
		expect(checkPlan(resolvePlan(EMPTY_PLAN, [], PRACTICE), PRACTICE)).toEqual([]);
		const plan = letteredPlan('L-L-U--');
		const before = checkPlan(resolvePlan(plan, LETTERED, PRACTICE), PRACTICE);
		const after = checkPlan(resolvePlan(swapDays(plan, 2, 3), LETTERED, PRACTICE), PRACTICE);
		const { brings } = changedFindings(before, after);
		expect(brings.map(({ rule: name }) => name)).toContain('hard two days running');
		expect(changedFindings(before, before)).toEqual({ brings: [], ends: [] });
	});

	it('give every finding a figure and a source, and every remedy a plan', () => {
		const plan = letteredPlan('LL?TUUU JJJJJJJ LLHESHB', {
			tests: [TEST],
			rules: [rule({ session: 'L' }, [{ kind: 'variation' }])]
		});
		const findings = checkPlan(resolvePlan(plan, LETTERED, PRACTICE), PRACTICE, { budgetMinutes: 10 });
		expect(findings.length).toBeGreaterThan(10);
		for (const { rule: name, title, figure, source, remedy } of findings) {
			expect(
				[title, figure, source].every((text) => text.trim().length > 0),
				name
			).toBe(true);
			if (remedy) expect(remedy.apply(plan), name).not.toEqual(plan);
		}
	});
});

/** What the checks over the weeks say of whole plans, word by word, and the plan that each remedy makes. */
import { describe, expect, it } from 'vitest';
import { checkPlan, type PlanCheckOptions } from './check-plan';
import { DEFAULT_AUDIENCE } from '../people';
import { newBenchmark, newRule, type Plan } from './model';
import { resolvePlan } from './resolved-plan';
import { LETTERED, letteredPlan } from '../../../tests/support/plans';
import { PRACTICE } from '../../../tests/support/practice';

/** Its days as letters again, and what else a remedy may have changed. */
function told(plan: Plan, before: Plan): string {
	const letters = plan.days.map(({ session, kind, tests }, i) => {
		const letter = session ?? (kind === 'rest' ? '-' : kind === 'active-rest' ? '~' : '?');
		return `${i % 7 === 0 && i > 0 ? ' ' : ''}${letter}${tests.length > 0 ? `[${tests.join()}]` : ''}`;
	});
	const rules = plan.rules.map(
		({ id, from, until, steps }) => `${id} ${from}-${until ?? ''} ${steps.map(({ kind }) => kind).join('+')}`
	);
	return [
		letters.join(''),
		...(plan.rules === before.rules ? [] : [`rules ${rules.join(', ')}`]),
		...(plan.deload === before.deload ? [] : [`deload ${plan.deload?.every} ${plan.deload?.keep}`]),
		...(plan.audience === before.audience ? [] : [`items ${plan.audience.items.join(', ')}`])
	].join('; ');
}
/** Every finding in a line or two. */
function all(letters: string, more: Partial<Plan> = {}, options: PlanCheckOptions = {}): string[] {
	const plan = letteredPlan(letters, more);
	return checkPlan(resolvePlan(plan, LETTERED, PRACTICE), PRACTICE, options).flatMap(
		({ severity, rule, title, figure, place, remedy }) => [
			`${severity}, ${rule}: ${title}. ${figure} (${place.days.join(' ')}${place.progression ? `, rule ${place.progression}` : ''})`,
			...(remedy ? [`→ ${remedy.label}: ${told(remedy.apply(plan), plan)}`] : [])
		]
	);
}
const rule = newRule.bind(null, 'r1');
const TEST = newBenchmark('t', 'Plank', 'Plank', 'longest hold');

describe('plans as the checks see them', () => {
	it('three weeks with everything wrong', () => {
		expect(all('LL?TUUU JJJJJJJ LLHESHB', { tests: [TEST] }, { budgetMinutes: 10 })).toEqual([
			'watch, day without a session: 1 training day without a session. The first is day 3; nothing can be sent on it. (3)',
			'→ Make it a rest day: LL-TUUU JJJJJJJ LLHESHB',
			'watch, no rest day: 21 training days in a row, days 1 to 21. At most 6 in a row are usual, then a day of rest. (1 21)',
			'→ Rest on day 7: LL?TUU~ JJJJJJJ LLHESHB',
			'watch, over the budget: Session L takes 13 min of 10. On 4 days: 1, 2, 15 and 16; the longest is day 1. (1 2 15 16)',
			'watch, over the budget: Session U takes 11 min of 10. On 3 days: 5, 6 and 7; the longest is day 5. (5 6 7)',
			'watch, over the budget: Session H takes 15 min of 10. On 2 days: 17 and 20; the longest is day 17. (17 20)',
			'watch, over the budget: Session S takes 40 min of 10. On 1 day: 19; the longest is day 19. (19)',
			'watch, over the budget: Session B takes 23 min of 10. On 1 day: 21; the longest is day 21. (21)',
			'watch, hard two days running: Glutes, quads and hamstrings hard on days 1 and 2, in 2 weeks. Session L, then Session L: 8 and 8 sets on glutes; 4 and more count as hard. (1 2 15 16)',
			'→ Swap days 2 with 6 and 16 with 20: LU?TULU JJJJJJJ LHHESLB',
			'watch, hard two days running: Chest, upper back and 2 more hard on days 5 and 6. Session U, then Session U: 4 and 4 sets on chest; 4 and more count as hard. (5 6)',
			'→ Swap days 1 with 6: UL?TULU JJJJJJJ LLHESHB',
			'watch, hard two days running: Chest, upper back and 2 more hard on days 6 and 7. Session U, then Session U: 4 and 4 sets on chest; 4 and more count as hard. (6 7)',
			'→ Swap days 1 with 7: UL?TUUL JJJJJJJ LLHESHB',
			'watch, strengthening days: Week 2: chest, shoulders, back, arms and trunk on fewer than 2 days. chest on 0 days, shoulders on 0 days, back on 0 days, arms on 0 days, trunk on 0 days; all major groups on at least 2 days a week. (8 9 10 11 12 13 14)',
			'watch, test and repeat: Plank is on no day. A test is taken at the start and again at the end. ()',
			'→ Take it on day 4: LL?T[t]UUU JJJJJJJ LLHESHB',
			'hint, sets a week: Shoulders, chest, back, arms and thighs under 10 sets a week. shoulders 5 at the least, in 2 weeks; chest 7 at the least, in 1 week; back 7 at the least, in 1 week; arms 7 at the least, in 1 week. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, test day without a test: Test day 4 without a test. What is measured on it is not said. (4)',
			'→ Take Plank: LL?T[t]UUU JJJJJJJ LLHESHB',
			'hint, aerobic minutes: 3 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 and 1 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In week 1 and 2; the house rule is 2. ()',
			'hint, rise of the week: Week 3 is 482 % harder than week 2. Load 126 → 733; up to 10 % is a rule of thumb, no limit of injury. (15 16 17 18 19 20 21)',
			'hint, monotony: Week 3: its days are much alike. Monotony 2.7, strain 2008 at a load of 733; above 2 hard and easy days are hardly apart. (15 16 17 18 19 20 21)'
		]);
	});

	it('whole weeks, a short one and none', () => {
		expect(all('B-S-BHS B-S-BHS UL-LH-- ------- U-U', { deload: { every: 4, keep: 0.6 } })).toEqual([
			'watch, week without training: Week 4 has no training. What is not used for two weeks begins to go; at least two days a week keep it. (22 23 24 25 26 27 28)',
			'watch, nothing new: Week 2: the same as the week before. No exercise that the last 8 sessions did not have, and no step of a rule; people tire of the same sessions sooner than of training. (8 10 12 13 14)',
			'hint, strengthening days: Week 3: chest, shoulders and arms on fewer than 2 days. chest on 1 day, shoulders on 1 day, arms on 1 day; all major groups on at least 2 days a week. (15 16 17 18 19 20 21)',
			'hint, sets a week: Shoulders, chest, arms, back, trunk and thighs under 10 sets a week. shoulders 2 at the least, in 3 weeks; chest 4 at the least, in 3 weeks; arms 4 at the least, in 3 weeks; back 6 at the least, in 3 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 31 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 3 weeks under 150 aerobic minutes. Week 3 has 29, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In week 3; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 1 times a week, not 2. In week 1, 2 and 3; the house rule is 2. ()'
		]);
	});

	it('what beginners do not have and should not do', () => {
		expect(
			all('LHS---- L-HU---', {
				audience: { level: 'beginner', items: ['mat'], heaviestKg: 8, conditions: [] }
			})
		).toEqual([
			'watch, audience, equipment: Not taken to be at hand: 2 dumbbells. Needed on 2 days: 1 and 8, in Session L. (1 8)',
			'→ People have it: LHS---- L-HU---; items mat, dumbbell',
			'watch, audience, equipment: Not taken to be at hand: band. Needed on 1 day: 11, in Session U. (11)',
			'→ People have it: LHS---- L-HU---; items mat, band',
			'watch, audience, load: Heavier than 8 kg: Goblet squat 12 kg and Romanian deadlift 12 kg. On 2 days; the heaviest that people are taken to have is 8 kg. (1 8)',
			'watch, strengthening days: Week 1: chest, shoulders, back, arms, trunk, hips and thighs on fewer than 2 days. chest on 0 days, shoulders on 0 days, back on 1 day, arms on 0 days, trunk on 1 day, hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (1 2 3 4 5 6 7)',
			'hint, strengthening days: Week 2: chest, shoulders, arms, hips and thighs on fewer than 2 days. chest on 1 day, shoulders on 1 day, arms on 1 day, hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (8 9 10 11 12 13 14)',
			'hint, sets a week: Back, trunk, shoulders, thighs, chest, arms and hips under 10 sets a week. back 2 at the least, in 2 weeks; trunk 2 at the least, in 2 weeks; shoulders 2 at the least, in 1 week; thighs 4 at the least, in 2 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 14 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 2 weeks under 150 aerobic minutes. Week 2 has 29, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 and 1 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 1 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, equipment on one day: A band is needed on day 11 alone. 1 of 6 training days: people get band for one session. (11)',
			'hint, equipment on one day: A mat is needed on day 11 alone. 1 of 6 training days: people get mat for one session. (11)'
		]);
	});

	it('days that are released stay', () => {
		expect(all('UUUUUUU U-U-U-- U-U-U-- U-U-U-- U-U-U-- U-U-U--', {}, { releasedTo: 7 })).toEqual([
			'watch, no rest day: 8 training days in a row, days 1 to 8. At most 6 in a row are usual, then a day of rest. (1 8)',
			'watch, hard two days running: Chest, upper back and 2 more hard on days 7 and 8. Session U, then Session U: 4 and 4 sets on chest; 4 and more count as hard. (7 8)',
			'watch, strengthening days: Weeks 2, 3, 4, 5 and 6: hips and thighs on fewer than 2 days. hips on 0 days, thighs on 0 days; all major groups on at least 2 days a week. (8 9 10 11 12 13 14 15 16 17 18 19 20 21 22 23 24 25 26 27 28 29 30 31 32 33 34 35 36 37 38 39 40 41 42)',
			'watch, nothing new: Weeks 3, 4, 5 and 6: the same as the week before. No exercise that the last 8 sessions did not have, and no step of a rule; people tire of the same sessions sooner than of training. (15 17 19 22 24 26 29 31 33 36 38 40)',
			'hint, sets a week: Shoulders and trunk under 10 sets a week. shoulders 6 at the least, in 5 weeks; trunk 6 at the least, in 5 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 42 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 6 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()'
		]);
	});

	it('a minute that gets full', () => {
		expect(
			all('E------ E------ E------ E------ E------', {
				rules: [rule({ exercise: 'squat' }, [{ kind: 'reps', reps: 2 }])]
			})
		).toEqual([
			'watch, strengthening days: Weeks 1, 2, 3, 4 and 5: chest, shoulders, back, arms, trunk, hips and thighs on fewer than 2 days. chest on 1 day, shoulders on 1 day, back on 0 days, arms on 1 day, trunk on 1 day, hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21 22 23 24 25 26 27 28 29 30 31 32 33 34 35)',
			'watch, progression: Week 4, Session E: the minute is full. 12 s of rest are left in it; 15 s are the house rule. (22, rule r1)',
			'→ Go on with another round instead: E------ E------ E------ E------ E------; rules r1 2-3 reps, r1-w4 4- rounds',
			'hint, sets a week: Shoulders, trunk, chest, arms, hips and thighs under 10 sets a week. shoulders 2 at the least, in 5 weeks; trunk 2 at the least, in 5 weeks; chest 4 at the least, in 5 weeks; arms 4 at the least, in 5 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 35 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 5 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()'
		]);
	});

	it('a load that nobody has', () => {
		expect(
			all('L------ L------ L------', {
				rules: [rule({ exercise: 'goblet squat' }, [{ kind: 'load', kg: 2 }])],
				audience: { ...DEFAULT_AUDIENCE, heaviestKg: 14 }
			})
		).toEqual([
			'watch, strengthening days: Weeks 1, 2 and 3: chest, shoulders, back, arms, trunk, hips and thighs on fewer than 2 days. chest on 0 days, shoulders on 0 days, back on 1 day, arms on 0 days, trunk on 1 day, hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21)',
			'watch, progression: Week 3, Session L: Goblet squat at 16 kg. The heaviest that people are taken to have is 14 kg. (15, rule r1)',
			'→ Go on slower instead of heavier: L------ L------ L------; rules r1 2-2 load, r1-w3 3- tempo',
			'hint, sets a week: Back, trunk, thighs and hips under 10 sets a week. back 2 at the least, in 3 weeks; trunk 2 at the least, in 3 weeks; thighs 4 at the least, in 3 weeks; hips 8 at the least, in 3 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 21 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 3 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()'
		]);
	});

	it('a session that outgrows its time', () => {
		expect(
			all(
				'U------ U------ U------',
				{ rules: [rule({ session: 'U' }, [{ kind: 'rounds', rounds: 1 }])] },
				{ budgetMinutes: 15 }
			)
		).toEqual([
			'watch, over the budget: Session U takes 18 min of 15. On 1 day: 15; the longest is day 15. (15)',
			'watch, strengthening days: Weeks 1, 2 and 3: chest, shoulders, back, arms, trunk, hips and thighs on fewer than 2 days. chest on 1 day, shoulders on 1 day, back on 1 day, arms on 1 day, trunk on 1 day, hips on 0 days, thighs on 0 days; all major groups on at least 2 days a week. (1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21)',
			'watch, progression: Week 3, Session U: over the budget, 18 min of 15. 11 min in week 1; the rule has made it longer. (15, rule r1)',
			'→ Go on with less rest instead: U------ U------ U------; rules r1 2-2 rounds, r1-w3 3- rest',
			'hint, sets a week: Shoulders, trunk, chest, back and arms under 10 sets a week. shoulders 2 at the least, in 3 weeks; trunk 2 at the least, in 3 weeks; chest 4 at the least, in 3 weeks; back 4 at the least, in 3 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 21 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 3 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, rise of the week: Week 2 is 28 % harder than week 1. Load 67 → 86; up to 10 % is a rule of thumb, no limit of injury. (8 9 10 11 12 13 14)',
			'hint, rise of the week: Week 3 is 22 % harder than week 2. Load 86 → 105; up to 10 % is a rule of thumb, no limit of injury. (15 16 17 18 19 20 21)'
		]);
	});

	it('a session that has no rest left to take', () => {
		expect(
			all(
				'U------ U------',
				{
					rules: [
						rule({ session: 'U' }, [
							{ kind: 'rounds', rounds: 3 },
							{ kind: 'rest', seconds: 5 }
						])
					]
				},
				{ budgetMinutes: 12 }
			)
		).toEqual([
			'watch, over the budget: Session U takes 20 min of 12. On 1 day: 8; the longest is day 8. (8)',
			'watch, strengthening days: Weeks 1 and 2: chest, shoulders, back, arms, trunk, hips and thighs on fewer than 2 days. chest on 1 day, shoulders on 1 day, back on 1 day, arms on 1 day, trunk on 1 day, hips on 0 days, thighs on 0 days; all major groups on at least 2 days a week. (1 2 3 4 5 6 7 8 9 10 11 12 13 14)',
			'watch, progression: Week 2, Session U: over the budget, 20 min of 12. 11 min in week 1; the rule has made it longer. (8, rule r1)',
			'→ Take the rule out: U------ U------; rules ',
			'hint, sets a week: Shoulders, trunk, chest, back and arms under 10 sets a week. shoulders 2 at the least, in 2 weeks; trunk 2 at the least, in 2 weeks; chest 4 at the least, in 2 weeks; back 4 at the least, in 2 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 14 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 2 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, rise of the week: Week 2 is 76 % harder than week 1. Load 67 → 118; up to 10 % is a rule of thumb, no limit of injury. (8 9 10 11 12 13 14)'
		]);
	});

	it('variations that end', () => {
		expect(
			all('L------ L------ L------', { rules: [rule({ exercise: 'goblet squat' }, [{ kind: 'variation' }])] })
		).toEqual([
			'watch, strengthening days: Weeks 1, 2 and 3: chest, shoulders, back, arms, trunk, hips and thighs on fewer than 2 days. chest on 0 days, shoulders on 0 days, back on 1 day, arms on 0 days, trunk on 1 day, hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21)',
			'watch, progression: Week 3, Session L: Front squat is the hardest variation. goblet squat: next variation every week from week 2: from here on it stays as in the week before. (15, rule r1)',
			'→ Go on slower instead of heavier: L------ L------ L------; rules r1 2-2 variation, r1-w3 3- tempo',
			'watch, nothing new: Week 3: the same as the week before. No exercise that the last 8 sessions did not have, and no step of a rule; people tire of the same sessions sooner than of training. (15)',
			'hint, sets a week: Back, trunk, thighs and hips under 10 sets a week. back 2 at the least, in 3 weeks; trunk 2 at the least, in 3 weeks; thighs 4 at the least, in 3 weeks; hips 8 at the least, in 3 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 21 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 3 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()'
		]);
	});

	it('a wall in the first week of a rule', () => {
		expect(
			all('L------', {
				rules: [
					rule({ exercise: 'goblet squat' }, [{ kind: 'variation' }], { from: 1 }),
					newRule('r2', { exercise: 'Romanian deadlift' }, [{ kind: 'load', kg: 2 }], { from: 1 })
				],
				audience: { ...DEFAULT_AUDIENCE, heaviestKg: 10 }
			})
		).toEqual([
			'watch, audience, load: Heavier than 10 kg: Front squat 12 kg. On 1 day; the heaviest that people are taken to have is 10 kg. (1)',
			'watch, strengthening days: Week 1: chest, shoulders, back, arms, trunk, hips and thighs on fewer than 2 days. chest on 0 days, shoulders on 0 days, back on 1 day, arms on 0 days, trunk on 1 day, hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (1 2 3 4 5 6 7)',
			'watch, progression: Week 1, Session L: Romanian deadlift at 14 kg. The heaviest that people are taken to have is 10 kg. (1, rule r2)',
			'→ Go on slower instead of heavier: L------; rules r1 1- variation, r2-w1 1- tempo',
			'hint, sets a week: Back, trunk, thighs and hips under 10 sets a week. back 2 at the least, in 1 week; trunk 2 at the least, in 1 week; thighs 4 at the least, in 1 week; hips 8 at the least, in 1 week. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, aerobic minutes: 1 week under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()'
		]);
	});

	it('rules that change nothing', () => {
		expect(
			all('U------', {
				rules: [
					rule({ exercise: 'Rope haul' }, [{ kind: 'reps', reps: 1 }], { from: 1 }),
					newRule('r2', { session: 'U' }, [{ kind: 'reps', reps: 1 }], { from: 3 })
				]
			})
		).toEqual([
			'watch, strengthening days: Week 1: chest, shoulders, back, arms, trunk, hips and thighs on fewer than 2 days. chest on 1 day, shoulders on 1 day, back on 1 day, arms on 1 day, trunk on 1 day, hips on 0 days, thighs on 0 days; all major groups on at least 2 days a week. (1 2 3 4 5 6 7)',
			'watch, progression: A rule changes nothing: Rope haul: +1 rep every week from week 1. What it is about does not come in this plan, or cannot be changed in that way. (, rule r1)',
			'→ Take the rule out: U------; rules r2 3- reps',
			'watch, progression: A rule changes nothing: Session U: +1 rep every week from week 3. It begins in week 3, and the plan has 1. (, rule r2)',
			'→ Take the rule out: U------; rules r1 1- reps',
			'hint, sets a week: Shoulders, trunk, chest, back and arms under 10 sets a week. shoulders 2 at the least, in 1 week; trunk 2 at the least, in 1 week; chest 4 at the least, in 1 week; back 4 at the least, in 1 week. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, aerobic minutes: 1 week under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()'
		]);
	});

	it('hard intervals after a long day of lifting', () => {
		expect(all('WH-S-U- WH-W-H-')).toEqual([
			'watch, strengthening days: Week 2: chest, shoulders and arms on fewer than 2 days. chest on 0 days, shoulders on 0 days, arms on 0 days; all major groups on at least 2 days a week. (8 9 10 11 12 13 14)',
			'hint, strengthening days: Week 1: chest, shoulders, arms, hips and thighs on fewer than 2 days. chest on 1 day, shoulders on 1 day, arms on 1 day, hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (1 2 3 4 5 6 7)',
			'hint, sets a week: Shoulders, chest, arms, trunk, back and thighs under 10 sets a week. shoulders 2 at the least, in 1 week; chest 4 at the least, in 1 week; arms 4 at the least, in 1 week; trunk 5 at the least, in 2 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 14 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 2 weeks under 150 aerobic minutes. Week 2 has 58, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 and 1 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 1 times a week, not 2. In week 1; the house rule is 2. ()',
			'hint, hard cardio after lifting: Hard intervals on day 2, the day after Session W. 12 sets on the legs in 34 min the day before; the legs are not fresh. (1 2)',
			'→ Swap days 3 and 2: W-HS-U- WH-W-H-',
			'hint, hard cardio after lifting: Hard intervals on day 9, the day after Session W. 12 sets on the legs in 34 min the day before; the legs are not fresh. (8 9)',
			'→ Swap days 10 and 9: WH-S-U- W-HW-H-',
			'hint, rise of the week: Week 2 is 17 % harder than week 1. Load 544 → 634; up to 10 % is a rule of thumb, no limit of injury. (8 9 10 11 12 13 14)',
			'hint, equipment on one day: A band is needed on day 6 alone. 1 of 8 training days: people get band for one session. (6)',
			'hint, equipment on one day: A mat is needed on day 6 alone. 1 of 8 training days: people get mat for one session. (6)'
		]);
	});

	it('a hard day before a test', () => {
		expect(all('LT--SS-', { tests: [TEST] })).toEqual([
			'watch, strengthening days: Week 1: chest, shoulders, back, arms, hips and thighs on fewer than 2 days. chest on 0 days, shoulders on 0 days, back on 1 day, arms on 0 days, hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (1 2 3 4 5 6 7)',
			'watch, test and repeat: Plank is on no day. A test is taken at the start and again at the end. ()',
			'→ Take it on day 2: LT[t]--SS-',
			'hint, tired into a test: Day 1 is hard, day 2 is a test. 13 min at effort 6 on the day before; a test wants a light one. (1 2)',
			'→ Swap days 3 and 1: -TL-SS-',
			'hint, sets a week: Shoulders, back, trunk, thighs and hips under 10 sets a week. shoulders 0.5 at the least, in 1 week; back 2 at the least, in 1 week; trunk 3 at the least, in 1 week; thighs 4 at the least, in 1 week. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, aerobic minutes: 1 week under 150 aerobic minutes. Week 1 has 80, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()'
		]);
	});

	it('tests that begin late, end early or have no repeat', () => {
		expect(
			all('U-U-U-- T-U-U-- U-U-U-T', {
				tests: [TEST],
				days: letteredPlan('U-U-U-- T-U-U-- U-U-U-T').days.map((day, i) =>
					i === 7 ? { ...day, tests: ['t'] } : day
				)
			})
		).toEqual([
			'watch, strengthening days: Weeks 1, 2 and 3: hips and thighs on fewer than 2 days. hips on 0 days, thighs on 0 days; all major groups on at least 2 days a week. (1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21)',
			'watch, test and repeat: Plank has no repeat. On day 8 alone: without a second time nothing is shown. (8)',
			'→ Take it on day 21: U-U-U-- T[t]-U-U-- U-U-U-T[t]',
			'hint, sets a week: Hips, shoulders, trunk, chest, back and arms under 10 sets a week. hips 0.5 at the least, in 2 weeks; shoulders 4.5 at the least, in 3 weeks; trunk 5 at the least, in 3 weeks; chest 8 at the least, in 1 week. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, test day without a test: Test day 21 without a test. What is measured on it is not said. (21)',
			'→ Take Plank: U-U-U-- T[t]-U-U-- U-U-U-T[t]',
			'hint, aerobic minutes: 3 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, rise of the week: Week 3 is 47 % harder than week 2. Load 142 → 209; up to 10 % is a rule of thumb, no limit of injury. (15 16 17 18 19 20 21)'
		]);
	});

	it('six weeks without a lighter one', () => {
		expect(all('U-L-U-- L-U-L-- U-L-U-- L-U-L-- U-L-U-- L-U-L-- U-L----')).toEqual([
			'hint, strengthening days: Weeks 1, 3 and 5: hips and thighs on fewer than 2 days. hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (1 2 3 4 5 6 7 15 16 17 18 19 20 21 29 30 31 32 33 34 35)',
			'hint, strengthening days: Weeks 2, 4 and 6: chest, shoulders and arms on fewer than 2 days. chest on 1 day, shoulders on 1 day, arms on 1 day; all major groups on at least 2 days a week. (8 9 10 11 12 13 14 22 23 24 25 26 27 28 36 37 38 39 40 41 42)',
			'hint, strengthening days: Week 7: chest, shoulders, arms, hips and thighs on fewer than 2 days. chest on 1 day, shoulders on 1 day, arms on 1 day, hips on 1 day, thighs on 1 day; all major groups on at least 2 days a week. (43 44 45 46 47 48 49)',
			'hint, sets a week: Shoulders, chest, arms, trunk, thighs, back and hips under 10 sets a week. shoulders 2 at the least, in 7 weeks; chest 4 at the least, in 7 weeks; arms 4 at the least, in 7 weeks; trunk 4 at the least, in 7 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 49 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 7 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()'
		]);
	});

	it('a lighter week that never comes', () => {
		expect(all('U------ U------ U------', { deload: { every: 4, keep: 0.6 } })).toEqual([
			'watch, strengthening days: Weeks 1, 2 and 3: chest, shoulders, back, arms, trunk, hips and thighs on fewer than 2 days. chest on 1 day, shoulders on 1 day, back on 1 day, arms on 1 day, trunk on 1 day, hips on 0 days, thighs on 0 days; all major groups on at least 2 days a week. (1 2 3 4 5 6 7 8 9 10 11 12 13 14 15 16 17 18 19 20 21)',
			'watch, lighter week: The lighter week never comes. Every 4 weeks, and the plan has 3 weeks. ()',
			'→ Every 2 weeks: U------ U------ U------; deload 2 0.6',
			'watch, nothing new: Weeks 2 and 3: the same as the week before. No exercise that the last 8 sessions did not have, and no step of a rule; people tire of the same sessions sooner than of training. (8 15)',
			'hint, sets a week: Shoulders, trunk, chest, back and arms under 10 sets a week. shoulders 2 at the least, in 3 weeks; trunk 2 at the least, in 3 weeks; chest 4 at the least, in 3 weeks; back 4 at the least, in 3 weeks. More sets bring more size, up to about 10 and beyond; fewer still make stronger. ()',
			'hint, no test: Nothing is measured. 21 days without a test that is named; results before and after are what makes people stay. ()',
			'hint, aerobic minutes: 3 weeks under 150 aerobic minutes. Week 1 has 0, vigorous minutes counted twice; 150 to 300 are advised. What people walk and ride besides counts too. ()',
			'hint, steady cardio: Steady cardio 0 times a week, not 2. In every week; the house rule is 2. ()',
			'hint, hard cardio: Hard cardio 0 times a week, not 2. In every week; the house rule is 2. ()'
		]);
	});
});

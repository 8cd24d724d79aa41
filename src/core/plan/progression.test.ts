import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import { sessionFaults, type Session } from '../session';
import { newRule, type Rule } from './model';
import type { Step } from './steps';
import { sessionInWeek, stepsBy } from './progression';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { runs } from '../../../tests/support/runs';

const rule = newRule.bind(null, 'r');
/** The lines of a session in a week, under one rule. */
const lines = (
	session: Session,
	r: Rule,
	week: number,
	deload: { every: number; keep: number } | null = null
) =>
	sessionInWeek(session, 's', week, { rules: [r], deload }, PRACTICE).session.blocks.map((block) =>
		lineOf(block)
	);

const SQUAT = sessionOf('3 x 10 goblet squat @ 12 kg, rest 60');

describe('stepsBy', () => {
	it('steps from its first week on, not in lighter weeks, not after its last', () => {
		const every4 = { every: 4, keep: 0.6 };
		const weeks = [1, 2, 3, 4, 5, 6, 7, 8, 9];
		expect(weeks.map((w) => stepsBy(rule({ exercise: 'Squat' }, []), w, null))).toEqual([
			0, 1, 2, 3, 4, 5, 6, 7, 8
		]);
		expect(weeks.map((w) => stepsBy(rule({ exercise: 'Squat' }, []), w, every4))).toEqual([
			0, 1, 2, 2, 3, 4, 5, 5, 6
		]);
		expect(weeks.map((w) => stepsBy(rule({ exercise: 'Squat' }, [], { every: 2 }), w, null))).toEqual([
			0, 1, 1, 2, 2, 3, 3, 4, 4
		]);
		expect(weeks.map((w) => stepsBy(rule({ exercise: 'Squat' }, [], { until: 3 }), w, null))).toEqual([
			0, 1, 2, 2, 2, 2, 2, 2, 2
		]);
	});
});

describe('sessionInWeek', () => {
	it.each<[Step, string]>([
		[{ kind: 'load', kg: 2 }, '3 x 10 reps Goblet squat @ 16 kg, rest 60'],
		[{ kind: 'reps', reps: 1 }, '3 x 12 reps Goblet squat @ 12 kg, rest 60'],
		[{ kind: 'rounds', rounds: 1 }, '5 x 10 reps Goblet squat @ 12 kg, rest 60'],
		[{ kind: 'rest', seconds: 5 }, '3 x 10 reps Goblet squat @ 12 kg, rest 50'],
		[{ kind: 'tempo', seconds: 1 }, '3 x 10 reps Goblet squat 5-1-1-0 @ 12 kg, rest 60'],
		[{ kind: 'variation' }, '3 x 10 reps Front squat @ 12 kg, rest 60']
	])('%o, two steps on', (step, line) => {
		expect(lines(SQUAT, rule({ exercise: 'goblet squats' }, [step]), 3)).toEqual([line]);
	});

	it('adds repetitions up to the top, then load, and begins again', () => {
		const double = rule({ exercise: 'Goblet squat' }, [{ kind: 'double', top: 12, kg: 2 }]);
		expect([1, 2, 3, 4, 5, 7].map((week) => lines(SQUAT, double, week)[0])).toEqual([
			'3 x 10 reps Goblet squat @ 12 kg, rest 60',
			'3 x 11 reps Goblet squat @ 12 kg, rest 60',
			'3 x 12 reps Goblet squat @ 12 kg, rest 60',
			'3 x 10 reps Goblet squat @ 14 kg, rest 60',
			'3 x 11 reps Goblet squat @ 14 kg, rest 60',
			'3 x 10 reps Goblet squat @ 16 kg, rest 60'
		]);
	});

	it('takes the seconds of a circuit with its slot, and those of a hold with the hold', () => {
		const mixed = sessionOf(
			'circuit 3 rounds 30/15: squat + push-up',
			'2 x 30 s plank, rest 30',
			'steady 20 min, talk test: brisk walk'
		);
		const longer = rule({ session: 's' }, [{ kind: 'seconds', seconds: 5 }]);
		expect(lines(mixed, longer, 3)).toEqual([
			'circuit 3 rounds 40/15: Squat + Push-up',
			'2 x 40 s Plank, rest 30',
			'steady 20 min, talk test: Brisk walk'
		]);
		expect(
			lines(mixed, rule({ session: 's', block: 2 }, [{ kind: 'seconds', seconds: 60 }]), 3)[2]
		).toContain('22 min');
	});

	it('leaves warm-up and cool-down out of rules about the session, and takes a block by its place', () => {
		const session = sessionOf(
			'warm-up: 2 x 10 squat, rest 10',
			'2 x 10 squat, rest 10',
			'2 x 10 push-up, rest 10'
		);
		expect(lines(session, rule({ session: 's' }, [{ kind: 'reps', reps: 2 }]), 2)).toEqual([
			'warm-up: 2 x 10 reps Squat, rest 10',
			'2 x 12 reps Squat, rest 10',
			'2 x 12 reps Push-up, rest 10'
		]);
		expect(lines(session, rule({ session: 's', block: 2 }, [{ kind: 'reps', reps: 2 }]), 2)[1]).toBe(
			'2 x 10 reps Squat, rest 10'
		);
		expect(lines(session, rule({ session: 'other' }, [{ kind: 'reps', reps: 2 }]), 2)[1]).toBe(
			'2 x 10 reps Squat, rest 10'
		);
	});

	it('puts back in its week what was left out before', () => {
		const session = sessionOf(
			'2 x 10 squat, rest 10',
			'superset 2 rounds, rest 10 inside, 30 after: 8 curl + 8 push-up'
		);
		const part = rule({ session: 's', block: 1, part: 0 }, [{ kind: 'restore' }], { from: 3 });
		expect(
			sessionInWeek(session, 's', 2, { rules: [part], deload: null }, PRACTICE).session.blocks[1]?.parts
		).toHaveLength(1);
		expect(lines(session, part, 3)[1]).toContain('Curl');
		const block = rule({ session: 's', block: 1 }, [{ kind: 'restore' }], { from: 3 });
		expect(lines(session, block, 2)).toHaveLength(1);
		expect(lines(session, block, 3)).toHaveLength(2);
	});

	it('cuts the main work of a lighter week and keeps the load of the week before', () => {
		const session = sessionOf(
			'warm-up: 4 x 10 squat, rest 10',
			'5 x 10 goblet squat @ 12 kg, rest 60',
			'emom 12 min: 6 squat / 6 push-up'
		);
		const heavier = rule({ exercise: 'goblet squat' }, [{ kind: 'load', kg: 1 }]);
		expect(lines(session, heavier, 4, { every: 4, keep: 0.6 })).toEqual([
			'warm-up: 4 x 10 reps Squat, rest 10',
			'3 x 10 reps Goblet squat @ 14 kg, rest 60',
			'emom 8 min: 6 reps Squat / 6 reps Push-up'
		]);
	});

	it('says where it cannot go on, and stays sound', () => {
		const top = sessionInWeek(
			SQUAT,
			's',
			4,
			{
				rules: [rule({ exercise: 'Goblet squat' }, [{ kind: 'variation' }])],
				deload: null
			},
			PRACTICE
		);
		expect(top.stuck).toEqual([
			{ rule: 'r', block: 0, part: 0, why: 'Front squat is the hardest variation' }
		]);
		const emom = sessionOf('emom 8 min: 15 squat');
		const full = sessionInWeek(
			emom,
			's',
			9,
			{
				rules: [rule({ exercise: 'squat' }, [{ kind: 'reps', reps: 2 }])],
				deload: null
			},
			PRACTICE
		);
		expect(full.stuck[0]?.why).toMatch(/leaves no rest in the minute/);
		expect(sessionFaults(full.session, PRACTICE)).toEqual([]);
	});

	it('of any session by any rules is a sound session, and that of week 1 is the session itself', () => {
		const step: fc.Arbitrary<Step> = fc.oneof(
			fc.integer({ min: 1, max: 10 }).map((kg): Step => ({ kind: 'load', kg })),
			fc.integer({ min: 1, max: 5 }).map((reps): Step => ({ kind: 'reps', reps })),
			fc.integer({ min: 1, max: 30 }).map((seconds): Step => ({ kind: 'seconds', seconds })),
			fc.integer({ min: 1, max: 3 }).map((rounds): Step => ({ kind: 'rounds', rounds })),
			fc.integer({ min: 1, max: 15 }).map((seconds): Step => ({ kind: 'rest', seconds })),
			fc.integer({ min: 1, max: 2 }).map((seconds): Step => ({ kind: 'tempo', seconds })),
			fc.record({
				kind: fc.constant('double' as const),
				top: fc.integer({ min: 5, max: 20 }),
				kg: fc.constant(2)
			}),
			fc.constant<Step>({ kind: 'variation' })
		);
		const on = fc.oneof(
			fc.constantFrom('Goblet squat', 'Push-up', 'Plank').map((exercise) => ({ exercise })),
			fc.constant({ session: 's' }),
			fc.integer({ min: 0, max: 2 }).map((block) => ({ session: 's', block }))
		);
		const rules = fc.array(
			fc.record({
				id: fc.uuid(),
				on,
				steps: fc.array(step, { minLength: 1, maxLength: 2 }),
				from: fc.integer({ min: 2, max: 4 }),
				until: fc.option(fc.integer({ min: 4, max: 8 }), { nil: null }),
				every: fc.integer({ min: 1, max: 3 })
			}),
			{ maxLength: 4 }
		);
		fc.assert(
			fc.property(anySession, rules, fc.integer({ min: 1, max: 12 }), (session, all, week) => {
				const plan = { rules: all, deload: { every: 4, keep: 0.6 } };
				expect(sessionFaults(sessionInWeek(session, 's', week, plan, PRACTICE).session, PRACTICE)).toEqual(
					[]
				);
				expect(sessionInWeek(session, 's', 1, plan, PRACTICE).session).toBe(session);
			}),
			{ numRuns: runs(150) }
		);
	});
});

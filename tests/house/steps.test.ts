/** A step of progression is one file: nothing outside core/plan/steps lists the kinds, and a new one is known once registered. */
import { readdirSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { planSchema } from '$contracts/plan';
import {
	EMPTY_PLAN,
	newRule,
	registerStep,
	REST_DAY,
	resolvePlan,
	ruleText,
	stepDefinitions,
	type Step,
	type StepDefinition
} from '$core/plan';
import { PRACTICE } from '../support/practice';
import { sessionOf } from '../support/sessions';

/** Every exercise once more on each side. */
const sides: StepDefinition<{ kind: 'sides'; reps: number }> = {
	kind: 'sides',
	label: 'more on each side',
	fields: [{ key: 'reps', unit: 'reps a side', says: 'repetitions a side', most: 5, step: 1 }],
	initial: { kind: 'sides', reps: 2 },
	text: ({ reps }) => `+${reps} a side`,
	changePart: ({ reps }, times, part) =>
		part.perSide && part.target.kind === 'reps'
			? {
					part: { ...part, target: { kind: 'reps', reps: part.target.reps + times * reps } },
					what: 'a side',
					from: `${part.target.reps}`,
					to: `${part.target.reps + times * reps}`
				}
			: null
};
const STEP = { kind: 'sides', reps: 2 } as unknown as Step;

const planWith = (step: unknown) => ({
	...EMPTY_PLAN,
	days: Array.from({ length: 15 }, () => ({ ...REST_DAY, kind: 'train' as const, session: 'a' })),
	rules: [newRule('r', { session: 'a' }, [step as Step])]
});

it('each file of steps/ has one definition, which is registered under its name', () => {
	const files = readdirSync('src/core/plan/steps').map((name) => name.replace('.ts', ''));
	const others = ['definition', 'index'];
	expect(files.filter((name) => !others.includes(name)).sort()).toEqual(
		stepDefinitions()
			.map(({ kind }) => kind as string)
			.sort()
	);
});

describe('a step of a single file, once registered', () => {
	let unregister: () => void;
	beforeAll(() => (unregister = registerStep(sides)));
	afterAll(() => unregister());

	it('is in the menu with its fields, and in words', () => {
		expect(stepDefinitions().at(-1)).toMatchObject({ label: 'more on each side', initial: STEP });
		expect(ruleText(newRule('r', { exercise: 'Split squat' }, [STEP]))).toBe(
			'Split squat: +2 a side every week from week 2'
		);
	});

	it('changes the sessions of a plan', () => {
		const body = sessionOf('3 x 6 per side split squat\n3 x 10 push-up');
		const resolved = resolvePlan(planWith(STEP), [{ key: 'a', name: 'A', body }], PRACTICE);
		const changes = resolved.days.map(({ prescribed }) => prescribed?.changes.map(({ to }) => to));
		expect([changes[0], changes[7], changes[14]]).toEqual([[], ['8'], ['10']]);
	});

	it('passes the contract, and only as it should be', () => {
		expect(planSchema.isValidSync(planWith(STEP))).toBe(true);
		expect(planSchema.isValidSync(planWith({ kind: 'sides', reps: 9 }))).toBe(false);
		expect(planSchema.isValidSync(planWith({ kind: 'sides', reps: 2, kg: 1 }), { strict: true })).toBe(false);
	});
});

it('a kind that is taken is not registered twice; one that is removed is not valid any more', () => {
	expect(() => registerStep({ ...sides, kind: 'load' as 'sides' })).toThrow(RangeError);
	expect(planSchema.isValidSync(planWith(STEP))).toBe(false);
});

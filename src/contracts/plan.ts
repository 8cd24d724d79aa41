import { array, lazy, mixed, number, object, string, type Schema } from 'yup';
import { ITEMS } from '$core/exercise';
import { LEVELS } from '$core/people';
import { MEASURES, PLAN_LIMITS, type StepKind } from '$core/plan';
import { DAY_KINDS } from '$core/calendar';

const whole = (label: string, min: number, max: number) => {
	const says = `${label}: a whole number from ${min} to ${max}`;
	return number().strict().typeError(says).integer(says).min(min, says).max(max, says).required(says);
};
const amount = (label: string, max: number) => {
	const says = `${label}: a number above 0, at most ${max}`;
	return number().strict().typeError(says).moreThan(0, says).max(max, says).required(says);
};
const id = () => string().strict().trim().min(1).max(60).required();

const day = object({
	kind: string()
		.oneOf([...DAY_KINDS], 'choose a kind of day')
		.required('choose a kind of day'),
	session: string().strict().nullable().defined(),
	effort: number()
		.strict()
		.typeError('effort: a number from 0 to 10')
		.min(0, 'effort: a number from 0 to 10')
		.max(10, 'effort: a number from 0 to 10')
		.nullable()
		.defined(),
	tests: array(id()).max(PLAN_LIMITS.testsADay, `at most ${PLAN_LIMITS.testsADay} tests on a day`).required()
})
	.noUnknown()
	.test('rest', 'a rest day has no session; choose another kind of day for it', (value) =>
		value.kind === 'rest' ? value.session === null : true
	);

const STEPS: Record<StepKind, Record<string, Schema>> = {
	load: { kg: amount('kilograms a step', PLAN_LIMITS.kg) },
	reps: { reps: whole('repetitions a step', 1, PLAN_LIMITS.reps) },
	seconds: { seconds: whole('seconds a step', 1, PLAN_LIMITS.seconds) },
	rounds: { rounds: whole('rounds a step', 1, PLAN_LIMITS.rounds) },
	rest: { seconds: whole('seconds of rest a step', 1, PLAN_LIMITS.seconds) },
	tempo: { seconds: whole('seconds a step', 1, 10) },
	variation: {},
	double: {
		top: whole('repetitions at the top', 1, PLAN_LIMITS.reps),
		kg: amount('kilograms a step', PLAN_LIMITS.kg)
	},
	restore: {}
};
const KINDS = Object.keys(STEPS);
const step = lazy((value: { kind?: string } | null | undefined) =>
	object({
		kind: string()
			.oneOf(KINDS, `a step is one of ${KINDS.join(', ')}`)
			.required(),
		...(value?.kind !== undefined && Object.hasOwn(STEPS, value.kind) ? STEPS[value.kind as StepKind] : {})
	})
		.noUnknown()
		.strict()
);

const on = lazy((value: object | null | undefined) =>
	value && 'exercise' in value
		? object({ exercise: string().strict().trim().max(80).required('choose an exercise') })
				.noUnknown()
				.strict()
		: object({
				session: string().strict().required('choose what the rule is about'),
				block: number().strict().integer().min(0).max(59),
				part: number().strict().integer().min(0).max(29)
			})
				.noUnknown()
				.strict()
);

const week = (label: string) => whole(label, 1, PLAN_LIMITS.days / 7);
const rule = object({
	id: id(),
	on,
	steps: array(step)
		.min(1, 'a rule has at least one step')
		.max(PLAN_LIMITS.steps, `a rule has at most ${PLAN_LIMITS.steps} steps`)
		.required(),
	from: whole('the first harder week', 2, PLAN_LIMITS.days / 7),
	until: lazy((value) => (value === null ? mixed().nullable() : week('the last week'))),
	every: whole('weeks from step to step', 1, PLAN_LIMITS.every)
}).noUnknown();

const maybe = (schema: Schema) => lazy((value: unknown) => (value === null ? mixed().nullable() : schema));
const benchmark = object({
	id: id(),
	name: string()
		.strict()
		.trim()
		.max(PLAN_LIMITS.testName, `a name has at most ${PLAN_LIMITS.testName} letters`)
		.required('a test needs a name'),
	exercise: string().strict().trim().max(80).required('a test needs an exercise'),
	measure: string()
		.oneOf([...MEASURES], 'choose what is measured')
		.required(),
	seconds: maybe(whole('seconds', 1, 7200)),
	reps: maybe(whole('repetitions', 1, 1000)),
	kg: maybe(amount('kilograms', 500))
}).noUnknown();

/** What of a plan comes in and is kept beside its days. */
export const rulesSchema = {
	rules: array(rule).max(PLAN_LIMITS.rules, `at most ${PLAN_LIMITS.rules} rules`).required(),
	deload: maybe(
		object({
			every: whole('weeks to the lighter one', 2, PLAN_LIMITS.every),
			keep: number()
				.strict()
				.min(0.1, 'a lighter week keeps 10 to 90 %')
				.max(0.9, 'a lighter week keeps 10 to 90 %')
				.required()
		})
			.noUnknown()
			.strict()
	),
	tests: array(benchmark).max(PLAN_LIMITS.tests, `at most ${PLAN_LIMITS.tests} tests`).required(),
	audience: object({
		level: string()
			.oneOf([...LEVELS])
			.required(),
		items: array(
			string()
				.oneOf([...ITEMS])
				.required()
		).required(),
		heaviestKg: maybe(amount('the heaviest load', 500))
	})
		.noUnknown()
		.strict()
		.required()
};

export const planSchema = object({
	days: array(day)
		.min(1, 'a plan has at least one day')
		.max(PLAN_LIMITS.days, `a plan has at most ${PLAN_LIMITS.days} days, twelve weeks`)
		.required(),
	...rulesSchema
});

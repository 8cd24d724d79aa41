import { array, number, object, string, type InferType, type Lazy } from 'yup';
import { DAY_KINDS } from '$core/calendar';
import { ITEMS } from '$core/exercise';
import { CONDITIONS } from '$core/kit';
import { LEVELS } from '$core/people';
import {
	MEASURES,
	PLAN_LIMITS,
	stepDefinitions,
	type Plan,
	type PlannedDay,
	type RuleTarget,
	type Step,
	type StepField
} from '$core/plan';
import { LIMITS } from '$core/session';
import { byField, byKind } from './by-kind';
import type { Assert, Fits, Same } from './same';
import { amount, name, optional, orNull, whole, within } from './values';

const WEEKS = PLAN_LIMITS.days / 7;
const id = () => name(60, 'an id is missing');

const day = object({
	kind: string()
		.oneOf([...DAY_KINDS], 'choose a kind of day')
		.required('choose a kind of day'),
	session: string().nullable().defined(),
	evening: optional(name(60, 'the second session is missing')),
	effort: orNull(within('effort', 0, 10)),
	tests: array(id()).max(PLAN_LIMITS.testsADay, `at most ${PLAN_LIMITS.testsADay} tests on a day`).required()
})
	.noUnknown()
	.test('rest', 'a rest day has no session; choose another kind of day for it', (value) =>
		value.kind === 'rest' ? value.session === null : true
	)
	.test(
		'evening',
		'a second session comes after a first',
		({ session, evening }) => session !== null || evening === undefined
	)
	.meta({
		json: {
			if: { properties: { kind: { const: 'rest' } } },
			then: { properties: { session: { type: 'null' } } }
		}
	});

const fieldSchema = ({ says, most, step: by }: StepField) =>
	Number.isInteger(by) ? whole(says, 1, most) : amount(says, most);

/** Each kind of step has the fields of its definition. */
const step = byKind(
	'kind',
	() =>
		Object.fromEntries(
			stepDefinitions().map(({ kind, fields }) => [
				kind,
				Object.fromEntries(fields.map((field) => [field.key, fieldSchema(field)]))
			])
		),
	'a step needs its kind'
) as unknown as Lazy<Step>;

const on = byField(
	{
		exercise: { exercise: name(LIMITS.nameLength, 'choose an exercise') },
		session: {
			session: string().required('choose what the rule is about'),
			block: optional(whole('the block', 0, LIMITS.blocks - 1)),
			part: optional(whole('the exercise', 0, LIMITS.parts - 1))
		}
	},
	'choose what the rule is about'
);

const rule = object({
	id: id(),
	on,
	steps: array(step)
		.min(1, 'a rule has at least one step')
		.max(PLAN_LIMITS.steps, `a rule has at most ${PLAN_LIMITS.steps} steps`)
		.required(),
	from: whole('the first harder week', 2, WEEKS),
	until: orNull(whole('the last week', 1, WEEKS)),
	every: whole('weeks from step to step', 1, PLAN_LIMITS.every)
}).noUnknown();

const benchmark = object({
	id: id(),
	name: name(
		PLAN_LIMITS.testName,
		'a test needs a name',
		`a name has at most ${PLAN_LIMITS.testName} letters`
	),
	exercise: name(LIMITS.nameLength, 'a test needs an exercise'),
	measure: string()
		.oneOf([...MEASURES], 'choose what is measured')
		.required(),
	seconds: orNull(whole('seconds', 1, LIMITS.seconds)),
	reps: orNull(whole('repetitions', 1, LIMITS.reps)),
	kg: orNull(amount('kilograms', LIMITS.kg))
}).noUnknown();

/** What of a plan comes in and is kept beside its days. */
export const rulesShape = {
	rules: array(rule).max(PLAN_LIMITS.rules, `at most ${PLAN_LIMITS.rules} rules`).required(),
	deload: orNull(
		object({
			every: whole('weeks to the lighter one', 2, PLAN_LIMITS.every),
			keep: number()
				.min(0.1, 'a lighter week keeps 10 to 90 %')
				.max(0.9, 'a lighter week keeps 10 to 90 %')
				.required()
		})
			.noUnknown()
			.required()
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
		heaviestKg: orNull(amount('the heaviest load', LIMITS.kg)),
		conditions: array(
			string()
				.oneOf([...CONDITIONS], ({ value }) => `there is no condition called ${String(value)}`)
				.required()
		)
			.max(CONDITIONS.length)
			.required()
	})
		.noUnknown()
		.required()
};

export const testsSchema = object({ tests: rulesShape.tests });

export const planSchema = object({
	days: array(day)
		.min(1, 'a plan has at least one day')
		.max(PLAN_LIMITS.days, `a plan has at most ${PLAN_LIMITS.days} days, twelve weeks`)
		.required(),
	...rulesShape
});

export type PlanInput = InferType<typeof planSchema>;
export type PlanFits = Assert<Fits<PlanInput, Plan>>;
export type DayIsSame = Assert<Same<keyof InferType<typeof day>, keyof PlannedDay>>;
export type TargetFits = Assert<Fits<InferType<typeof on>, RuleTarget>>;

/** Gives some days a kind and a session. */
export const layDaysSchema = object({
	days: array(number().integer().min(1).required())
		.min(1, 'choose at least one day')
		.max(PLAN_LIMITS.days)
		.required(),
	kind: string()
		.oneOf([...DAY_KINDS], 'choose a kind of day')
		.required('choose a kind of day'),
	sessionId: string().trim().nullable().default(null)
});

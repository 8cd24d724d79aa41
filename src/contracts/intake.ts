/** What somebody answers before they begin, section by section. */
import { array, boolean, mixed, number, object, string, type InferType, type TestContext } from 'yup';
import {
	AGE_BANDS,
	BALANCES,
	FLOOR_WAYS,
	SCREEN_KEYS,
	SORE_PLACES,
	SORENESS,
	STANCES,
	WEEKS,
	type ScreenKey
} from '$core/health';
import { BAND_RANKS, KIT_LIMITS, PLAIN_ITEMS, UNITS } from '$core/kit';
import {
	bodyContradictions,
	CONSENT,
	EXPECTING,
	kitContradictions,
	LEVELS,
	trainingContradictions,
	WEIGHTS_USED,
	type Contradiction
} from '$core/people';
import { byKind } from './by-kind';
import { amount, name, orNull, TIME_OF_DAY, whole, words, zone } from './values';

const oneOf = <T extends string>(all: readonly T[], missing: string) =>
	mixed<T>()
		.oneOf([...all], missing)
		.required(missing);

/** Reports what speaks against itself where it stands. */
const noContradiction =
	<T>(find: (value: T) => Contradiction[]) =>
	(value: unknown, context: TestContext) => {
		const [first] = find(value as T);
		return first ? context.createError({ path: first.field, message: first.message }) : true;
	};

/** Weeks of a pregnancy or since a birth; null: does not apply. */
const weeks = (least: number, most: number, says: string) =>
	number().typeError(says).integer(says).min(least, says).max(most, says).nullable().default(null);

/** Any weight up to a tonne: what is above what can be owned is asked about in words of its own. */
const kilograms = () => amount('the weight in kg', 1000);
const count = () => whole('how many', 1, KIT_LIMITS.count);

export const ownedSchema = byKind(
	'kind',
	{
		dumbbell: { kg: kilograms(), count: count() },
		adjustable: { from: kilograms(), to: kilograms(), step: kilograms(), count: count() },
		kettlebell: { kg: kilograms(), count: count() },
		band: {
			rank: orNull(oneOf(BAND_RANKS, 'light, medium or heavy')),
			loop: boolean().default(false),
			count: count()
		},
		pack: {
			item: oneOf(['loaded backpack', 'water bottle'] as const, 'a backpack or a bottle'),
			kg: number()
				.typeError('kilograms are a number')
				.moreThan(0, 'a weight is above 0 kg')
				.max(1000, 'at most 1,000 kg')
				.nullable()
				.default(null),
			count: count()
		},
		item: { item: oneOf(PLAIN_ITEMS, 'choose what it is'), count: count() }
	},
	'say what it is'
);

export const youSchema = object({
	displayName: name(40, 'say what the others may call you', 'at most 40 letters'),
	zone: zone(),
	hour: string()
		.trim()
		.test('time', 'a time of day, as in 18:30', (value) => !value || TIME_OF_DAY.test(value))
		.default(''),
	units: oneOf(UNITS, 'kilograms or pounds?')
});

export const trainingSchema = object({
	level: oneOf(LEVELS, 'choose what fits you best'),
	weights: oneOf(WEIGHTS_USED, 'say how often you have trained with weights'),
	active: boolean().required('answer with yes or no'),
	minutes: whole('minutes you have', 5, 180),
	goals: words(300)
}).test('agrees', 'answers speak against each other', noContradiction(trainingContradictions));

export const kitSchema = object({
	none: boolean().default(false),
	owned: array(ownedSchema).max(KIT_LIMITS.pieces, `at most ${KIT_LIMITS.pieces} pieces`).default([]),
	other: string().trim().max(300, 'at most 300 letters').default('')
}).test('agrees', 'answers speak against each other', noContradiction(kitContradictions));

export const bodySchema = object({
	age: oneOf(AGE_BANDS, 'choose your age'),
	stance: oneOf(STANCES, 'say how you train'),
	balance: oneOf(BALANCES, 'say how your balance is'),
	floor: oneOf(FLOOR_WAYS, 'say how it is to get down to the floor'),
	hurts: array(
		object({
			place: oneOf(SORE_PLACES, 'choose the place'),
			how: oneOf(SORENESS, 'say how it is')
		}).required()
	)
		.max(2 * SORE_PLACES.length)
		.default([]),
	hurtsElsewhere: words(300),
	expecting: oneOf(EXPECTING, 'choose one of the three'),
	pregnantWeek: weeks(
		1,
		WEEKS.pregnant,
		`a pregnancy has weeks 1 to ${WEEKS.pregnant}; if the baby is born, say how many weeks ago`
	),
	birthWeeks: weeks(0, WEEKS.sinceBirth, `0 to ${WEEKS.sinceBirth} weeks; longer ago needs no answer`)
}).test('agrees', 'answers speak against each other', noContradiction(bodyContradictions));

const yesOrNo = () => boolean().required('answer with yes or no');
export const healthSchema = object(
	Object.fromEntries(SCREEN_KEYS.map((key) => [key, yesOrNo()])) as Record<
		ScreenKey,
		ReturnType<typeof yesOrNo>
	>
);

export const consentSchema = object({
	agreed: boolean()
		.oneOf([true], 'without your consent nothing can be kept, and nothing chosen for you')
		.required('say whether you agree'),
	version: number().oneOf([CONSENT.version], 'the text has changed meanwhile; read it once more').required()
});

/** The schema of each section. */
export const SECTION_SCHEMAS = {
	you: youSchema,
	training: trainingSchema,
	kit: kitSchema,
	body: bodySchema,
	health: healthSchema,
	consent: consentSchema
} as const;

export type IntakeSections = {
	[Name in keyof typeof SECTION_SCHEMAS]: InferType<(typeof SECTION_SCHEMAS)[Name]>;
};

/** A clearance that a coach records. */
export const clearanceSchema = object({
	who: name(120, 'say who gave it: name and profession'),
	note: words(1000),
	/** The id of the paper that says so; empty: none. */
	document: string().max(36).default(''),
	/** The day until which it is good, with it; empty: without an end. */
	until: string()
		.trim()
		.test(
			'date',
			'a day of the calendar; empty for no end',
			(value) => !value || /^\d{4}-\d{2}-\d{2}$/.test(value)
		)
		.default('')
});

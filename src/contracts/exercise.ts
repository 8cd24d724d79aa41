import { array, boolean, number, object, string, type InferType, type Lazy } from 'yup';
import { tempoSchema } from './tempo';
import { optional } from './values';
import {
	ARM_HEIGHTS,
	completeDemands,
	contradictionsIn,
	COUNTED_IN,
	DEMAND_WORDS,
	EXERCISE_LIMITS,
	IMPACTS,
	ITEMS,
	LEVERS,
	MUSCLES,
	PATTERNS,
	POSITIONS,
	RATED,
	RATINGS,
	RELATIVE_LOAD,
	SPACES,
	type DemandInput,
	type Exercise,
	type Rated,
	type Rating,
	type Tempo
} from '$core/exercise';

const line = (label: string) =>
	string()
		.trim()
		.max(EXERCISE_LIMITS.text, `${label} has at most ${EXERCISE_LIMITS.text} letters`)
		.required(`${label} is empty`);
const oneOf = <T extends string>(values: readonly T[], label: string) =>
	string<T>()
		.oneOf([...values], ({ value }) => `${label}: there is no “${value}”; there are ${values.join(', ')}`)
		.required(`${label} is missing`);
/** A field of the demands that may be left out. */
const anyOf = <T extends string>(values: readonly T[], label: string) =>
	string<T>().oneOf(
		[...values],
		({ value }) => `${label}: there is no “${value}”; there are ${values.join(', ')}`
	);
const rating = (label: string) =>
	number<Rating>()
		.typeError(`${label}: a whole number from 0 to 3`)
		.oneOf([...RATINGS], `${label}: a whole number from 0 to 3`);

/** Fields that a coach may rate. */
const KNOWN: ReadonlySet<string> = new Set([
	...RATED,
	'arms',
	'balance',
	'canHoldOn',
	'impact',
	'floorTransfer',
	'space',
	'lever',
	'relativeLoad'
]);

/** What a coach says an exercise demands; a field that is left out counts as the highest of its movement. */
const demandsSchema = object({
	...(Object.fromEntries(
		RATED.map((field) => [field, optional(rating(DEMAND_WORDS[field].toLowerCase()))])
	) as Record<Rated, Lazy<Rating | undefined>>),
	arms: optional(anyOf(ARM_HEIGHTS, 'arms')),
	balance: optional(rating('balance')),
	canHoldOn: optional(boolean()),
	impact: optional(anyOf(IMPACTS, 'impact')),
	floorTransfer: optional(boolean()),
	space: optional(anyOf(SPACES, 'space')),
	lever: optional(anyOf(LEVERS, 'lever')),
	relativeLoad: optional(
		number()
			.typeError('relative load: a number, 1 for a goblet squat')
			.min(RELATIVE_LOAD.least, `relative load: ${RELATIVE_LOAD.least} to ${RELATIVE_LOAD.most}`)
			.max(RELATIVE_LOAD.most, `relative load: ${RELATIVE_LOAD.least} to ${RELATIVE_LOAD.most}`)
			.nullable()
	)
})
	.test('known', function (_, { originalValue }) {
		const unknown = Object.keys((originalValue ?? {}) as object).find((key) => !KNOWN.has(key));
		return unknown === undefined || this.createError({ message: `demands: there is no “${unknown}”` });
	})
	.default({});

const name = string()
	.trim()
	.max(EXERCISE_LIMITS.name, `a name has at most ${EXERCISE_LIMITS.name} letters`)
	.matches(/^[^+/:,@\n]*$/, 'a name has none of the signs + / : , @ in it');

/** What a coach may say of an exercise of her own; its name is also what typed lines call it. */
export const exerciseSchema = object({
	name: name.required('an exercise needs a name'),
	countedIn: oneOf(COUNTED_IN, 'counted in'),
	perSide: boolean().required('say whether it is done per side'),
	tempo: tempoSchema.nullable().default(null),
	pattern: oneOf(PATTERNS, 'pattern'),
	primary: array(oneOf(MUSCLES, 'muscles'))
		.min(1, 'at least one muscle is worked directly')
		.required('at least one muscle is worked directly'),
	assisting: array(oneOf(MUSCLES, 'assisting muscles')).default([]),
	equipment: array(
		object({
			item: oneOf(ITEMS, 'equipment'),
			count: number().integer().min(1, 'equipment: 1 to 9 of it').max(9, 'equipment: 1 to 9 of it').required()
		})
	)
		.max(EXERCISE_LIMITS.needs, `at most ${EXERCISE_LIMITS.needs} things`)
		.default([]),
	position: oneOf(POSITIONS, 'position'),
	demands: demandsSchema,
	cues: array(line('a cue'))
		.min(1, 'at least one cue: what to say while it is done')
		.max(EXERCISE_LIMITS.cues, `at most ${EXERCISE_LIMITS.cues} cues`)
		.required('at least one cue: what to say while it is done'),
	cautions: array(line('a caution'))
		.max(EXERCISE_LIMITS.cautions, `at most ${EXERCISE_LIMITS.cautions} cautions`)
		.default([]),
	looksLike: name.nullable().default(null),
	easier: name.nullable().default(null),
	harder: name.nullable().default(null)
}).test('sound', 'the demands contradict the rest', function (value) {
	const { pattern, position, demands } = value;
	const equipment = value.equipment ?? [];
	const [first] = contradictionsIn({ pattern, position, equipment, demands: setFields(demands) });
	return first === undefined || this.createError({ path: 'demands', message: first });
});

/** The demands without the fields that are not set. */
const setFields = (demands: object): DemandInput =>
	Object.fromEntries(Object.entries(demands).filter(([, value]) => value !== undefined)) as DemandInput;

/** An exercise of a coach's own as it is stored. */
export type ExerciseInput = Omit<
	Exercise,
	'formerly' | 'ownId' | 'retired' | 'demands' | 'demandsSet' | 'cautions' | 'withheldCues'
> & {
	demands: DemandInput;
	cautions: readonly string[];
};

/** An exercise of a coach's own as the core has it, from what is stored of it. */
export const exerciseOfInput = (
	input: ExerciseInput,
	{
		ownId,
		formerly = [],
		retired = false
	}: Pick<Exercise, 'ownId'> & Partial<Pick<Exercise, 'formerly' | 'retired'>>
): Exercise => ({
	...input,
	demands: completeDemands(input.pattern, input.demands),
	demandsSet: input.demands,
	cautions: input.cautions.map((text) => ({ text, concerns: [] })),
	withheldCues: [],
	formerly,
	ownId,
	retired
});

/** What is stored of an exercise of a coach's own, from the exercise as the core has it. */
export function inputOfExercise({
	formerly: _formerly,
	ownId: _ownId,
	retired: _retired,
	withheldCues: _withheldCues,
	demandsSet,
	cautions,
	...input
}: Exercise): ExerciseInput {
	return { ...input, demands: demandsSet, cautions: cautions.map(({ text }) => text) };
}

/** Before demands were rated, files had impact and balance beside the other fields: both are demands now. */
export function withDemands(raw: unknown): unknown {
	if (typeof raw !== 'object' || raw === null || 'demands' in raw) return raw;
	const { impact, balance, ...rest } = raw as Record<string, unknown>;
	if (impact === undefined && balance === undefined) return raw;
	return {
		...rest,
		demands: { ...(impact !== undefined && { impact }), ...(balance !== undefined && { balance }) }
	};
}

/** The four phases of a list that was seen to have four. */
const tempoOf = ([down = 0, bottom = 0, up = 0, top = 0]: readonly number[]): Tempo => [
	down,
	bottom,
	up,
	top
];

/** The validated input as the core has it; a muscle that is worked directly does not assist as well. */
export function bodyOf(input: InferType<typeof exerciseSchema>): ExerciseInput {
	const primary = [...new Set(input.primary)];
	return {
		...input,
		tempo: input.tempo && tempoOf(input.tempo),
		demands: setFields(input.demands),
		primary,
		assisting: [...new Set(input.assisting)].filter((muscle) => !primary.includes(muscle)),
		looksLike: input.looksLike || null,
		easier: input.easier || null,
		harder: input.harder || null
	};
}

import { array, boolean, number, object, string, type InferType } from 'yup';
import {
	COUNTED_IN,
	EXERCISE_LIMITS,
	IMPACTS,
	ITEMS,
	MUSCLES,
	PATTERNS,
	POSITIONS,
	type BalanceDemand,
	type Exercise,
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
const name = string()
	.trim()
	.max(EXERCISE_LIMITS.name, `a name has at most ${EXERCISE_LIMITS.name} letters`)
	.matches(/^[^+/:,@\n]*$/, 'a name has none of the signs + / : , @ in it');

/** What a coach may say of an exercise of her own; its name is also what typed lines call it. */
export const exerciseSchema = object({
	name: name.required('an exercise needs a name'),
	countedIn: oneOf(COUNTED_IN, 'counted in'),
	perSide: boolean().required('say whether it is done per side'),
	tempo: array(
		number()
			.typeError('a tempo is four numbers of seconds, as in 3-1-1-0')
			.min(0, 'a tempo phase lasts 0 to 20 s')
			.max(20, 'a tempo phase lasts 0 to 20 s')
			.required()
	)
		.length(4, 'a tempo is four numbers of seconds, as in 3-1-1-0')
		.test('moves', 'a tempo takes some time: 2-0-1-0, say', (phases) => !phases || phases.some((s) => s > 0))
		.nullable()
		.default(null),
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
	impact: oneOf(IMPACTS, 'impact'),
	balance: number<BalanceDemand>()
		.oneOf([0, 1, 2], 'balance: 0 none, 1 some, 2 a support in reach')
		.required('balance is missing'),
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
});

export type ExerciseInput = Omit<Exercise, 'formerly' | 'ownId' | 'retired'>;

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
		primary,
		assisting: [...new Set(input.assisting)].filter((muscle) => !primary.includes(muscle)),
		looksLike: input.looksLike || null,
		easier: input.easier || null,
		harder: input.harder || null
	};
}

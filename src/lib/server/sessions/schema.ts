import {
	array,
	boolean,
	lazy,
	mixed,
	number,
	object,
	string,
	type AnyObjectSchema,
	type ObjectShape,
	type Schema
} from 'yup';
import {
	DEFAULT_OPTIONS,
	FORMATS,
	FORMAT_NAMES,
	LIMITS,
	ROLES,
	sessionFaults,
	type Fault,
	type FormatName,
	type Session,
	type TimelineOptions
} from '$core/session';
import { Refusal } from '../errors';

const count = () => number().strict().required();
const target = lazy((value: { kind?: string } | null | undefined) => {
	if (value === undefined) return object().required('how much of it? reps, seconds or metres');
	const kind = value?.kind;
	const amount = kind === 'seconds' ? 'seconds' : kind === 'metres' ? 'metres' : 'reps';
	return object({ kind: string().oneOf(['reps', 'seconds', 'metres']).required(), [amount]: count() })
		.noUnknown()
		.strict();
});
const maybe = <S extends Schema>(schema: S) =>
	lazy((value: unknown) => (value === undefined ? mixed().notRequired() : schema));

const part = object({
	exercise: string().strict().required('an exercise needs a name').max(LIMITS.nameLength),
	target,
	or: lazy((value: unknown) => (value === undefined ? mixed().notRequired() : target.resolve({ value }))),
	perSide: boolean().strict().required(),
	tempo: array(number().strict().required()).length(4).strict().nullable().defined(),
	kg: number().strict().nullable().defined(),
	partial: maybe(string().strict().required())
})
	.noUnknown()
	.strict();

const base = {
	role: string()
		.oneOf([...ROLES])
		.required(),
	parts: array(part).min(1, 'a block needs at least one exercise').max(LIMITS.parts).required(),
	setup: maybe(object({ text: string().strict().required(), seconds: count() }).noUnknown().strict())
};

const groups = array(array(number().strict().integer().min(0).required()).min(1).required())
	.min(1)
	.required();

/** What a block of a format has beside the numbers that its fields name. */
const MORE: Partial<Record<FormatName, ObjectShape>> = {
	'interval-circuit': { keepLastRest: boolean().strict().required() },
	emom: { groups },
	stations: { groups },
	'steady-cardio': {
		bpm: object({ low: count(), high: count() }).noUnknown().strict().nullable().defined()
	},
	'straight-sets': {
		drop: maybe(
			object({ times: count(), percent: count(), on: string().oneOf(['last', 'every']).required() })
				.noUnknown()
				.strict()
		)
	}
};

/** The fields of each format as it names them; the bounds between them are `sessionFaults`' business. */
function blockSchema(name: FormatName): AnyObjectSchema {
	const fields = FORMATS[name].fields.map((field): [string, Schema] => [
		field.key,
		field.nullable ? number().strict().nullable().defined() : count()
	]);
	return object({
		...base,
		format: mixed<FormatName>().oneOf([name]).required(),
		...Object.fromEntries(fields),
		...MORE[name]
	});
}
const BLOCKS = Object.fromEntries(FORMAT_NAMES.map((name) => [name, blockSchema(name)])) as Record<
	FormatName,
	AnyObjectSchema
>;

const block = lazy((value: unknown) => {
	const name = (value as { format?: string } | null)?.format;
	const known = FORMAT_NAMES.find((format) => format === name);
	if (known) return BLOCKS[known].noUnknown().strict();
	return object({
		format: string()
			.oneOf(FORMAT_NAMES, `there is no format “${name ?? ''}”; there are ${FORMAT_NAMES.join(', ')}`)
			.required()
	});
});

const sessionSchema = object({
	blocks: array(block).min(1, 'a session needs at least one block').max(LIMITS.blocks).required(),
	repeats: maybe(
		array(object({ from: count(), to: count(), times: count(), rest: count() }).noUnknown().strict())
			.strict()
			.required()
	),
	note: maybe(string().strict().required()),
	links: maybe(
		array(
			object({ title: string().strict().required(), url: string().strict().required() }).noUnknown().strict()
		)
			.strict()
			.required()
	),
	recovery: maybe(array(string().strict().required()).strict().required())
})
	.noUnknown()
	.strict();

/** Everything wrong with something that should be a session, with its place; empty when it is one. */
export function faultsOf(input: unknown, timing: TimelineOptions = DEFAULT_OPTIONS): Fault[] {
	const faults = shapeFaults(input);
	return faults.length > 0 ? faults : sessionFaults(input as Session, timing);
}

/**
 * Takes a session from outside: its shape first, then what its numbers mean.
 * @throws Refusal 400 with every fault and its place
 */
export function readSession(input: unknown, timing: TimelineOptions = DEFAULT_OPTIONS): Session {
	const faults = faultsOf(input, timing);
	if (faults.length === 0) return input as Session;
	throw new Refusal(
		400,
		'The session cannot be saved as it is.',
		faults.map(({ path, message }) => ({ field: path, message }))
	);
}

function shapeFaults(input: unknown): Fault[] {
	try {
		sessionSchema.validateSync(input, { abortEarly: false });
		return [];
	} catch (error) {
		const { inner, path, message } = error as {
			inner: { path?: string; message: string }[];
			path?: string;
			message: string;
		};
		return (inner.length > 0 ? inner : [{ path, message }]).map((fault) => ({
			path: fault.path ?? '',
			message: fault.message
		}));
	}
}

import { array, boolean, lazy, mixed, number, object, string, type AnyObjectSchema, type Schema } from 'yup';
import {
	formatNamed,
	formatNames,
	isFormat,
	LIMITS,
	ROLES,
	sessionFaults,
	type Extra,
	type ExtraField,
	type Fault,
	type FormatName,
	type Session
} from '$core/session';
import type { Practice } from '$core/practice';

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

const groups = () =>
	array(array(number().strict().integer().min(0).required()).min(1).required())
		.min(1)
		.required();

const extraFieldSchema = (field: ExtraField): Schema =>
	field.kind === 'number'
		? count()
		: string()
				.oneOf(field.options.map(({ value }) => value))
				.required();

/** What a block of a format has beside its numbers. */
function extraSchema(extra: Extra): Schema | ReturnType<typeof maybe> {
	if (extra.kind === 'flag') return boolean().strict().required();
	if (extra.kind === 'groups') return groups();
	const fields = extra.fields.map((field) => [field.key, extraFieldSchema(field)]);
	const record = object(Object.fromEntries(fields)).noUnknown().strict();
	return extra.without === 'null' ? record.nullable().defined() : maybe(record);
}

/** The fields of each format as it names them; the bounds between them are `sessionFaults`' business. */
function blockSchema(name: FormatName): AnyObjectSchema {
	const { fields, extras = [] } = formatNamed(name);
	return object({
		...base,
		format: mixed<FormatName>().oneOf([name]).required(),
		...Object.fromEntries(
			fields.map((field): [string, Schema] => [
				field.key,
				field.nullable ? number().strict().nullable().defined() : count()
			])
		),
		...Object.fromEntries(extras.map((extra) => [extra.key, extraSchema(extra)]))
	})
		.noUnknown()
		.strict();
}

const known = new Map<FormatName, AnyObjectSchema>();
const schemaOf = (name: FormatName): AnyObjectSchema => {
	const schema = known.get(name) ?? blockSchema(name);
	known.set(name, schema);
	return schema;
};

const block = lazy((value: unknown) => {
	const name = (value as { format?: unknown } | null)?.format;
	if (isFormat(name)) return schemaOf(name);
	const said = typeof name === 'string' ? name : '';
	return object({
		format: string()
			.oneOf(formatNames(), `there is no format “${said}”; there are ${formatNames().join(', ')}`)
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
export function faultsOf(input: unknown, practice: Practice): Fault[] {
	const faults = shapeFaults(input);
	return faults.length > 0 ? faults : sessionFaults(input as Session, practice);
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

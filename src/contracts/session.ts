import {
	array,
	boolean,
	lazy,
	mixed,
	number,
	object,
	string,
	tuple,
	type AnyObjectSchema,
	type Lazy,
	type Schema
} from 'yup';
import { byKind } from './by-kind';
import { MOST_FAULTS, readAs } from './read';
import { name, optional } from './values';
import { LEVELS } from '$core/people';
import {
	INSTEAD_WHEN,
	formatNamed,
	formatNames,
	isFormat,
	LIMITS,
	RESISTANCES,
	ROLES,
	countFaults,
	sessionFaults,
	type Extra,
	type ExtraField,
	type Fault,
	type FormatName,
	PARTIALS,
	type Session
} from '$core/session';
import type { Practice } from '$core/practice';

/** A number whose bounds the core looks after, with the words for it; here they are for the published JSON Schema. */
const count = (least: number, most: number) =>
	number()
		.strict()
		.required()
		.meta({ json: { type: 'integer', minimum: least, maximum: most } });
/** Text whose length the core looks after. */
const strictText = (most: number, pattern = '\\S') =>
	string()
		.strict()
		.required()
		.meta({ json: { maxLength: most, pattern } });
const seconds = () => count(0, LIMITS.seconds);
const effort = () =>
	number()
		.strict()
		.required()
		.meta({ json: { minimum: 0, maximum: 10 } });

/** True or not there. */
const flagged = () =>
	optional(
		boolean()
			.strict()
			.isTrue()
			.required()
			.meta({ json: { const: true } })
	);
const load = () => number().strict().required();

const target = byKind(
	'kind',
	{
		reps: { reps: count(1, LIMITS.reps), to: optional(count(1, LIMITS.reps)) },
		seconds: { seconds: count(1, LIMITS.seconds), to: optional(count(1, LIMITS.seconds)) },
		metres: { metres: count(1, LIMITS.metres), to: optional(count(1, LIMITS.metres)) }
	},
	'how much of it? reps, seconds or metres'
);

const part = object({
	exercise: strictText(LIMITS.nameLength, '^(?=.*\\S)[^+/:,@"\\n]+$')
		.required('an exercise needs a name')
		.max(LIMITS.nameLength),
	target,
	or: optional(target),
	perSide: boolean().strict().required(),
	tempo: array(
		number()
			.strict()
			.required()
			.meta({ json: { minimum: 0, maximum: LIMITS.tempoPhase } })
	)
		.length(4)
		.strict()
		.nullable()
		.defined()
		.meta({
			json: { description: 'Seconds down, held, up, held; null: the exercise’s own. Not all four are 0.' }
		}),
	kg: number()
		.strict()
		.nullable()
		.defined()
		.meta({ json: { exclusiveMinimum: 0, maximum: LIMITS.kg, description: 'Null: bodyweight.' } }),
	kgByLevel: optional(
		tuple([load(), load(), load()])
			.strict()
			.required()
			.meta({
				json: {
					type: 'array',
					minItems: 3,
					maxItems: 3,
					items: { type: 'number', exclusiveMinimum: 0, maximum: LIMITS.kg },
					description: `For ${LEVELS.join(', ')}; the second is kg.`
				}
			})
	),
	weights: optional(count(2, LIMITS.weights)),
	resistance: optional(
		string()
			.strict()
			.required()
			.meta({ json: { enum: [...RESISTANCES] } })
	),
	each: optional(
		array(count(1, LIMITS.metres))
			.strict()
			.required()
			.meta({
				json: {
					minItems: 2,
					maxItems: LIMITS.sets,
					description: 'Amounts of the sets one by one; the first is that of the target.'
				}
			})
	),
	pace: optional(count(...LIMITS.pace)),
	eachWay: flagged(),
	instead: optional(
		array(
			object({
				when: string()
					.oneOf([...INSTEAD_WHEN])
					.required(),
				exercise: strictText(LIMITS.nameLength, '^(?=.*\\S)[^+/:,@"\\n]+$').required().max(LIMITS.nameLength)
			})
				.noUnknown()
				.strict()
		)
			.min(1)
			.max(LIMITS.instead)
			.strict()
			.required()
			.meta({ json: { description: 'What may be done in its place, at will or because something hurts.' } })
	),
	effort: optional(object({ low: effort(), high: effort() }).noUnknown().strict().meta({ define: 'effort' })),
	partial: optional(
		string()
			.strict()
			.required()
			.meta({ json: { enum: Object.keys(PARTIALS) } })
	)
})
	.noUnknown()
	.strict()
	.meta({ define: 'part' });

const base = {
	dayPart: optional(strictText(LIMITS.dayPart)),
	role: string()
		.oneOf([...ROLES])
		.required(),
	parts: array(part).min(1, 'a block needs at least one exercise').max(LIMITS.parts).required(),
	setup: optional(
		object({ text: strictText(LIMITS.setupText), seconds: seconds() })
			.noUnknown()
			.strict()
			.meta({ define: 'setup' })
	)
};

const groups = () =>
	array(
		array(
			number()
				.strict()
				.integer()
				.min(0)
				.required()
				.meta({ json: { maximum: LIMITS.parts - 1 } })
		)
			.min(1)
			.required()
	)
		.min(1)
		.required()
		.meta({
			json: { description: 'Indexes of the parts of each group; every part belongs to exactly one.' }
		});

const extraFieldSchema = (field: ExtraField): Schema =>
	field.kind === 'number'
		? count(...field.bounds)
		: string()
				.oneOf(field.options.map(({ value }) => value))
				.required();

/** What a block of a format has beside its numbers. */
function extraSchema(extra: Extra): Schema | Lazy<unknown> {
	if (extra.kind === 'flag') return extra.without ? flagged() : boolean().strict().required();
	if (extra.kind === 'groups') return groups();
	const fields = extra.fields.map((field) => [field.key, extraFieldSchema(field)]);
	const record = object(Object.fromEntries(fields)).noUnknown().strict();
	return extra.without === 'null' ? record.nullable().defined() : optional(record);
}

/** The fields of each format as it names them; the bounds between them are `sessionFaults`' business. */
function shapeOf(name: FormatName): AnyObjectSchema {
	const { fields, extras = [], takes } = formatNamed(name);
	return object({
		...base,
		format: mixed<FormatName>().oneOf([name]).required(),
		...Object.fromEntries(
			fields.map((field): [string, Schema] => [
				field.key,
				field.nullable
					? count(...field.bounds)
							.nullable()
							.defined()
					: count(...field.bounds)
			])
		),
		...Object.fromEntries(extras.map((extra) => [extra.key, extraSchema(extra)])),
		parts: base.parts.meta({ json: { minItems: takes[0], maxItems: takes[1] } })
	})
		.noUnknown()
		.strict();
}

const known = new Map<FormatName, AnyObjectSchema>();
const schemaOf = (name: FormatName): AnyObjectSchema => {
	const schema = known.get(name) ?? shapeOf(name);
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

/** The shape of every block there can be, by the name of its format. */
export const blockShapes = (): { name: FormatName; schema: AnyObjectSchema }[] =>
	formatNames().map((name) => ({ name, schema: schemaOf(name) }));
/** Stands for any block; its shapes are `blockShapes`. */
export const blockSchema = block;

/** A session as it comes in, whatever its numbers mean: that is `faultsOf`. */
export const sessionSchema = object({
	blocks: array(block).min(1, 'a session needs at least one block').max(LIMITS.blocks).required(),
	repeats: optional(
		array(
			object({
				from: count(0, LIMITS.blocks - 1),
				to: count(0, LIMITS.blocks - 1),
				times: count(2, LIMITS.passes),
				rest: seconds()
			})
				.noUnknown()
				.strict()
		)
			.strict()
			.required()
			.meta({ json: { maxItems: LIMITS.repeats } })
	),
	note: optional(strictText(LIMITS.note)),
	links: optional(
		array(
			object({
				title: strictText(LIMITS.linkTitle),
				url: strictText(LIMITS.linkUrl, '^[Hh][Tt][Tt][Pp][Ss]?://[^\\s/?#]+\\.\\S*$')
			})
				.noUnknown()
				.strict()
		)
			.strict()
			.required()
			.meta({ json: { maxItems: LIMITS.links } })
	),
	pieces: flagged(),
	recovery: optional(
		array(strictText(LIMITS.recoveryText))
			.strict()
			.required()
			.meta({ json: { maxItems: LIMITS.recovery, description: 'What is done after it, one thing each.' } })
	)
})
	.noUnknown()
	.strict();

export const tagsSchema = array(
	string()
		.trim()
		.max(30, 'a tag has at most 30 letters')
		.matches(/^[^,]+$/, 'a tag has no comma in it')
		.required('a tag is empty')
)
	.max(12, 'a session has at most 12 tags')
	.default([]);

/** What a coach calls a session, and by which words she finds it. */
export const sessionHeadSchema = object({
	name: name(80, 'a session needs a name', 'a name has at most 80 letters'),
	tags: tagsSchema
});

/** A whole session in another file; its own rules look at it. */
export const sessionReference = mixed()
	.required()
	.meta({ json: { $ref: 'session-1.json' } });

/** What stands where a session has its blocks, as far as they are objects. */
function blocksIn(input: unknown): object[] {
	const blocks: unknown =
		typeof input === 'object' && input !== null && 'blocks' in input ? input.blocks : null;
	if (!Array.isArray(blocks)) return [];
	return blocks.filter((block: unknown): block is object => typeof block === 'object' && block !== null);
}

/**
 * Something that should be a session: as one where its shape is one's, and what is wrong with it, fifty faults at most. A session without
 * faults is sound.
 */
export function readSession(
	input: unknown,
	practice: Practice
): { session: Session | null; faults: Fault[] } {
	const tooMany = countFaults(blocksIn(input));
	if (tooMany.length > 0) return { session: null, faults: tooMany };
	const { value: session, faults } = readAs(sessionSchema, input);
	if (faults) return { session: null, faults: faults.map(({ field: path, message }) => ({ path, message })) };
	return { session, faults: sessionFaults(session, practice).slice(0, MOST_FAULTS) };
}

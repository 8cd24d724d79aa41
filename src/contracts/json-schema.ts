/** The contracts as JSON Schema (draft 7), for those who write files by hand or by program. */
import type { AnySchema, ObjectShape } from 'yup';
import { fieldShapesOf, variantsOf } from './by-kind';
import { bundleSchema } from './bundle';
import { blockSchema, blockShapes, sessionSchema } from './session';
import { sessionFileSchema } from './session-file';
import { innerOf, optionalOf } from './values';

/** Beside what a contract says by itself: words for a reader, bounds that the core checks, a name to be known by. */
declare module 'yup' {
	interface CustomSchemaMetadata {
		json?: JsonSchema;
		/** The definition under which it stands once, however often it is used. */
		define?: string;
	}
}

export type JsonSchema = Record<string, unknown>;

const DRAFT = 'http://json-schema.org/draft-07/schema#';
const BASE = 'https://cadrex.example/formats';

interface Test {
	name?: string;
	params?: Record<string, unknown>;
}

/** Schemas as they are walked through: what was named on the way stands in `definitions`. */
class Writer {
	readonly definitions: Record<string, JsonSchema> = {};

	of(schema: object): JsonSchema {
		const meta = metaOf(schema);
		const name = meta?.define;
		if (!name) return this.shape(schema);
		this.definitions[name] ??= this.shape(schema);
		return { $ref: `#/definitions/${name}` };
	}

	private shape(schema: object): JsonSchema {
		const json = metaOf(schema)?.json;
		if (isLazy(schema)) return { ...this.oneOfSeveral(schema), ...json };
		const plain = { ...this.plain(schema as AnySchema), ...json };
		return (schema as AnySchema).spec.nullable ? orNull(plain) : plain;
	}

	private oneOfSeveral(schema: object): JsonSchema {
		const maybe = optionalOf(schema);
		if (maybe) return this.of(maybe);
		const inner = innerOf(schema);
		if (inner) return orNull(this.of(inner));
		if (schema === blockSchema) {
			this.definitions.block ??= { oneOf: blockShapes().map((block) => this.of(block.schema)) };
			return { $ref: '#/definitions/block' };
		}
		const variants = variantsOf(schema);
		if (variants)
			return {
				oneOf: Object.entries(variants.shapes).map(([name, shape]) =>
					this.record(shape, { [variants.key]: { const: name } })
				)
			};
		const byField = fieldShapesOf(schema);
		if (byField) return { oneOf: Object.values(byField).map((shape) => this.record(shape)) };
		throw new Error('a schema that is chosen by its value has to say between which');
	}

	private record(shape: ObjectShape, first: Record<string, JsonSchema> = {}): JsonSchema {
		const fields = Object.entries(shape);
		const required = fields
			.filter(([, field]) => !optionalOf(field) && (field as AnySchema).spec?.default === undefined)
			.map(([key]) => key);
		return {
			type: 'object',
			additionalProperties: false,
			required: [...Object.keys(first), ...required],
			properties: {
				...first,
				...Object.fromEntries(fields.map(([key, field]) => [key, this.of(field)]))
			}
		};
	}

	private plain(schema: AnySchema): JsonSchema {
		const { tests, oneOf } = schema.describe() as { tests: Test[]; oneOf: unknown[] };
		if (oneOf.length > 0) return oneOf.length === 1 ? { const: oneOf[0] } : { enum: oneOf };
		if (schema.type === 'object') return this.record((schema as AnySchema & { fields: ObjectShape }).fields);
		if (schema.type === 'array') {
			const { innerType } = schema as AnySchema & { innerType?: object };
			return { type: 'array', ...lengthsOf(tests, 'Items'), items: innerType ? this.of(innerType) : {} };
		}
		if (schema.type === 'string') return textOf(tests);
		if (schema.type === 'number') return numberOf(tests);
		return schema.type === 'boolean' ? { type: 'boolean' } : {};
	}
}

const isLazy = (schema: object): boolean => !('type' in schema) || schema.type === 'lazy';

const metaOf = (schema: object): AnySchema['spec']['meta'] => (schema as Partial<AnySchema>).spec?.meta;

const orNull = (schema: JsonSchema): JsonSchema => ({ anyOf: [{ type: 'null' }, schema] });

/** A number that a test of a schema is given; undefined without the test. */
const given = (tests: Test[], test: string, param = test): number | undefined =>
	tests.find((each) => each.name === test && each.params?.[param] !== undefined)?.params?.[param] as
		number | undefined;

const withoutGaps = (schema: Record<string, unknown>): JsonSchema =>
	Object.fromEntries(Object.entries(schema).filter(([, value]) => value !== undefined));

const lengthsOf = (tests: Test[], of: 'Items' | 'Length'): JsonSchema =>
	withoutGaps({
		[`min${of}`]: given(tests, 'length') ?? given(tests, 'min'),
		[`max${of}`]: given(tests, 'length') ?? given(tests, 'max')
	});

function textOf(tests: Test[]): JsonSchema {
	const patterns = tests.flatMap(({ name, params }) =>
		name === 'matches' && params?.regex instanceof RegExp ? [params.regex.source] : []
	);
	// What has to be there is more than blanks, which are cut off before it is looked at.
	if (tests.some((test) => test.name === 'required')) patterns.unshift('\\S');
	const [only, ...more] = patterns;
	return {
		type: 'string',
		...lengthsOf(tests, 'Length'),
		...(only !== undefined && { pattern: only }),
		...(more.length > 0 && { allOf: more.map((pattern) => ({ type: 'string', pattern })) })
	};
}

const numberOf = (tests: Test[]): JsonSchema =>
	withoutGaps({
		type: tests.some((test) => test.name === 'integer') ? 'integer' : 'number',
		minimum: given(tests, 'min'),
		maximum: given(tests, 'max'),
		exclusiveMinimum: given(tests, 'min', 'more')
	});

function documentOf(key: string, title: string, description: string, schema: object): JsonSchema {
	const writer = new Writer();
	const body = writer.of(schema);
	const definitions = Object.keys(writer.definitions).length > 0 && { definitions: writer.definitions };
	return { $schema: DRAFT, $id: `${BASE}/${key}.json`, title, description, ...body, ...definitions };
}

/** Every published schema, by the name of its file in docs/formats. */
export const publishedSchemas = (): Record<string, JsonSchema> => ({
	'session.schema.json': documentOf(
		'session-1',
		'Cadrex session, version 1',
		'A session as blocks in order. Seconds, metres and kilograms. Bounds that depend on several fields (an EMOM ' +
			'minute that is too full, repeats that overlap, a drop set without a load) are checked by the application ' +
			'beyond this schema.',
		sessionSchema
	),
	'session-file.schema.json': documentOf(
		'session-file-1',
		'Cadrex session file, version 1',
		'One session as it leaves Cadrex and comes back.',
		sessionFileSchema
	),
	'challenge.schema.json': documentOf(
		'challenge-1',
		'Cadrex challenge, version 1',
		'A whole challenge as it leaves Cadrex and can be used again: no people, nothing that they sent in, no days ' +
			'cancelled for a storm. Days count from 1, in weeks of seven from day 1; blocks and parts from 0. What names ' +
			'something else (sessions by key, tests by id, blocks of a session) is checked by the application beyond ' +
			'this schema, as are dates and zones.',
		bundleSchema
	)
});

/** How large a value is, judged before what is in it: reading two thousand wrong items takes long, counting them does not. */
import type { AnySchema, ISchema } from 'yup';

/** For what a contract sets no bound of its own. */
export const SIZES = { items: 2000, letters: 100_000, fields: 200, deep: 30 } as const;
/** By how much something may be too large and is still looked into: the contract then says so in its own words. */
export const SLACK = { items: 200, letters: 300 } as const;

/** A field of the input and what is wrong with it. */
export interface FieldFault {
	/** As Yup writes it: `blocks[3].parts`; empty for the whole. */
	field: string;
	message: string;
}

/**
 * What Yup would make something of by itself that nobody meant: a text in the place of a list is read as JSON, around
 * everything that is counted here, and a list in the place of a text cannot be trimmed.
 */
const KINDS: Record<string, { name: string; fits: (value: unknown) => boolean }> = {
	string: { name: 'a text, no list and no object', fits: (value) => typeof value !== 'object' },
	array: { name: 'a list', fits: Array.isArray },
	object: { name: 'an object', fits: (value) => typeof value === 'object' && !Array.isArray(value) }
};

/** The parts of a Yup schema that say how it is built. */
type Built = Partial<Pick<AnySchema, 'tests' | 'spec' | 'type'>> & {
	fields?: Record<string, object>;
	innerType?: object;
	resolve?: ISchema<unknown>['resolve'];
};

/** The most letters or items that a schema takes by its own word. */
function mostOf({ tests = [], spec }: Built): number | undefined {
	const json = spec?.meta?.json;
	for (const test of tests) {
		const { name, params } = test.OPTIONS ?? {};
		const most = params?.[name === 'length' ? 'length' : 'max'];
		if ((name === 'max' || name === 'length') && typeof most === 'number') return most;
	}
	const published = json?.maxItems ?? json?.maxLength;
	return typeof published === 'number' ? published : undefined;
}

/** The schema that a value chooses, for those that depend on it; undefined where nothing is said of the value. */
const chosen = (schema: Built | undefined, value: unknown): Built | undefined =>
	schema?.type === 'lazy' && schema.resolve ? (schema.resolve({ value }) as Built) : schema;

const under = (path: string, key: string | number): string =>
	typeof key === 'number' ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`;

/**
 * The first place at which a value is far larger than its contract takes, or of another make; null when there is none. Looks at no more items
 * than it takes, so that it costs the same for an item too many and for a million. Never repeats what it was given.
 *
 * @param schema of the contract; what it says nothing of is held to {@link SIZES}
 */
export function sizeFault(
	schema: object | undefined,
	value: unknown,
	path = '',
	depth = 0
): FieldFault | null {
	const fault = (message: string): FieldFault => ({ field: path, message });
	if (depth > SIZES.deep) return fault(`has more than ${SIZES.deep} levels, one within another`);
	const known = chosen(schema, value);
	const kind = KINDS[known?.type ?? ''];
	if (kind && value !== null && value !== undefined && !kind.fits(value)) return fault(`is ${kind.name}`);
	if (typeof value === 'string') {
		// Spaces at the ends are taken off before a text is measured.
		const most = (known && mostOf(known)) ?? SIZES.letters;
		return value.length > most + SLACK.letters && value.trim().length > most + SLACK.letters
			? fault(`has ${counted(value.length)} letters; ${counted(most)} are taken at most`)
			: null;
	}
	if (Array.isArray(value)) {
		const most = (known && mostOf(known)) ?? SIZES.items;
		if (value.length > most + SLACK.items)
			return fault(`has ${counted(value.length)} entries; ${counted(most)} are taken at most`);
		for (const [i, item] of value.entries()) {
			const found = sizeFault(known?.innerType, item, under(path, i), depth + 1);
			if (found) return found;
		}
		return null;
	}
	if (typeof value !== 'object' || value === null) return null;
	let count = 0;
	for (const key in value)
		if (++count > SIZES.fields || key.length > SIZES.fields)
			return fault(`has more than ${SIZES.fields} fields, or one with a name as long`);
	for (const [key, field] of Object.entries(value)) {
		const found = sizeFault(known?.fields?.[key], field, under(path, key), depth + 1);
		if (found) return found;
	}
	return null;
}

const counted = (count: number): string => count.toLocaleString('en-GB');

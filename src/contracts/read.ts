import { ValidationError, type Schema } from 'yup';
import { sizeFault, type FieldFault } from './sizes';

/** Faults that are told at most: nobody mends more at a time, and the list is as long as somebody else likes. */
export const MOST_FAULTS = 50;

export type ReadAs<T> = { value: T; faults: null } | { value: null; faults: FieldFault[] };

/** Whether a name is that of something every object has by itself. */
export const isOfEveryObject = (name: string): boolean => name in Object.prototype;

/**
 * A field whose name is that of something every object has: no contract has such a field, and a schema that looks one up
 * finds what is no schema. Null where there is none.
 */
function nameFault(input: unknown): FieldFault | null {
	const open: unknown[] = [input];
	while (open.length > 0) {
		const next = open.pop();
		if (typeof next !== 'object' || next === null) continue;
		for (const [name, value] of Object.entries(next)) {
			if (isOfEveryObject(name)) return { field: name, message: `there is no field called ${name}` };
			if (typeof value === 'object' && value !== null) open.push(value);
		}
	}
	return null;
}

/**
 * Reads input from outside by its contract: its sizes first and alone, then everything in it.
 * @returns the value, or up to {@link MOST_FAULTS} faults
 */
export function readAs<T>(
	schema: Schema<T>,
	input: unknown,
	how: { stripUnknown?: boolean; strict?: boolean } = {}
): ReadAs<T> {
	const first = sizeFault(schema, input) ?? nameFault(input);
	if (first) return { value: null, faults: [first] };
	try {
		const value = schema.validateSync(input, { abortEarly: false, disableStackTrace: true, ...how });
		return { value, faults: null };
	} catch (error) {
		if (!ValidationError.isError(error)) throw error;
		const each = error.inner.length > 0 ? error.inner : [error];
		return {
			value: null,
			faults: each.slice(0, MOST_FAULTS).map(({ path, message }) => ({ field: path ?? '', message }))
		};
	}
}

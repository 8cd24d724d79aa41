import { ValidationError, type Schema } from 'yup';
import { Refusal } from '../platform/errors';

/** Faults as one sentence: the forms that have no place beside a field show it. */
function sentence(messages: string[]): string {
	const text = messages.join('; ');
	return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

/**
 * Checks input from outside against its schema, all faults at once.
 * @throws Refusal 400 with the list of faults
 */
export function validate<T>(schema: Schema<T>, input: unknown): T {
	try {
		return schema.validateSync(input, { abortEarly: false, stripUnknown: true });
	} catch (error) {
		if (!(error instanceof ValidationError)) throw error;
		const each = error.inner.length > 0 ? error.inner : [error];
		const faults = each.map((fault) => ({ field: fault.path ?? '', message: fault.message }));
		throw new Refusal(400, sentence(faults.map((fault) => fault.message)), faults);
	}
}

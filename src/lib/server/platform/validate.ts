import type { Schema } from 'yup';
import { readAs } from '$contracts/read';
import { Refusal } from './errors';

/** Faults as one sentence: the forms that have no place beside a field show it. */
function sentence(messages: string[]): string {
	const text = messages.join('; ');
	return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

/**
 * Checks input from outside against its schema, its faults at once.
 * @throws Refusal 400 with the list of faults
 */
export function validate<T>(schema: Schema<T>, input: unknown): T {
	const { value, faults } = readAs(schema, input, { stripUnknown: true });
	if (faults) throw new Refusal(400, sentence(faults.map(({ message }) => message)), faults);
	return value;
}

import { parseJson } from './json';

/** A field of a form as text; empty when it is missing or a file. */
export function formText(form: FormData, name: string): string {
	const value = form.get(name);
	return typeof value === 'string' ? value : '';
}

/** JSON of a hidden field; null when it did not arrive whole. */
export function jsonOf(form: FormData, name: string): unknown {
	try {
		return parseJson(formText(form, name));
	} catch {
		return null;
	}
}

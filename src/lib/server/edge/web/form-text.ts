import { parseJson } from '../../platform/json';

/** A field of a form as text; empty when it is missing or a file. */
export function formText(form: FormData, name: string): string {
	const value = form.get(name);
	return typeof value === 'string' ? value : '';
}

/** Days from one to another and a reason, as forms have them. */
export const spanIn = (form: FormData): { from: string; to: string; reason: string } => ({
	from: formText(form, 'from'),
	to: formText(form, 'to'),
	reason: formText(form, 'reason')
});

/** JSON of a hidden field; null when it did not arrive whole. */
export function jsonOf(form: FormData, name: string): unknown {
	try {
		return parseJson(formText(form, name));
	} catch {
		return null;
	}
}

import { parseJson } from './json';

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

/** What is different for a person as the form sends it, for `overrideSchema` to judge. */
export function overrideFrom(form: FormData): Record<string, unknown> {
	const on = formText(form, 'on');
	const change = formText(form, 'change');
	const number = (name: string): number | null =>
		formText(form, name) ? Number(formText(form, name)) : null;
	return {
		target: on === 'exercise' ? { kind: on, exercise: formText(form, 'exercise') } : { kind: 'day' },
		change:
			change === 'replace'
				? { kind: change, exercise: formText(form, 'instead') }
				: change === 'scale'
					? { kind: change, share: (number('share') ?? 0) / 100 }
					: change === 'load'
						? { kind: change, kg: number('kg') }
						: { kind: change },
		fromDay: number('fromDay'),
		toDay: number('toDay'),
		why: formText(form, 'why')
	};
}

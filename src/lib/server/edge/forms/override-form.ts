/** Reads the form in which a coach adds an override. */
import { formText } from '../web/form-text';

type Read = (form: FormData) => Record<string, unknown>;

const numberIn = (form: FormData, name: string): number | null =>
	formText(form, name) ? Number(formText(form, name)) : null;

/** The fields of each kind of change. */
const CHANGES: Readonly<Record<string, Read>> = {
	replace: (form) => ({ exercise: formText(form, 'instead') }),
	scale: (form) => ({ share: (numberIn(form, 'share') ?? 0) / 100 }),
	load: (form) => ({ kg: numberIn(form, 'kg') }),
	amount: (form) => ({ amount: numberIn(form, 'amount') }),
	tempo: (form) => ({
		tempo: formText(form, 'tempo')
			.trim()
			.split(/[\s-]+/)
			.map(Number)
	}),
	rest: (form) => ({ seconds: numberIn(form, 'seconds') })
};

/** An override as the form sends it, for `overrideSchema` to check. */
export function overrideFrom(form: FormData): Record<string, unknown> {
	const on = formText(form, 'on');
	const kind = formText(form, 'change');
	return {
		target: on === 'exercise' ? { kind: on, exercise: formText(form, 'exercise') } : { kind: 'day' },
		change: { kind, ...CHANGES[kind]?.(form) },
		fromDay: numberIn(form, 'fromDay'),
		toDay: numberIn(form, 'toDay'),
		why: formText(form, 'why')
	};
}

/** The form in which a coach says what is different for somebody. */
import { formText } from '../web/form-text';

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

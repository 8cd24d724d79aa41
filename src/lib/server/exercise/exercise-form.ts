import { ITEMS } from '$core/exercise';
import { formText } from '../web/form-text';

const lines = (form: FormData, name: string): string[] =>
	formText(form, name)
		.split(/\r?\n/)
		.map((line) => line.trim())
		.filter(Boolean);

/** An exercise as the form sends it, for `exerciseSchema` to judge. */
export function exerciseFrom(form: FormData): Record<string, unknown> {
	const tempo = formText(form, 'tempo').trim();
	return {
		name: formText(form, 'name'),
		countedIn: formText(form, 'countedIn'),
		perSide: form.get('perSide') === 'on',
		tempo: tempo ? tempo.split('-') : null,
		pattern: formText(form, 'pattern'),
		primary: form.getAll('primary').map(String),
		assisting: form.getAll('assisting').map(String),
		equipment: ITEMS.flatMap((item) => {
			const count = Number(form.get(`need-${item}`) ?? 0);
			return count === 0 ? [] : [{ item, count }];
		}),
		position: formText(form, 'position'),
		impact: formText(form, 'impact'),
		balance: Number(form.get('balance') ?? 0),
		cues: lines(form, 'cues'),
		cautions: lines(form, 'cautions'),
		looksLike: formText(form, 'looksLike').trim() || null,
		easier: formText(form, 'easier').trim() || null,
		harder: formText(form, 'harder').trim() || null
	};
}

import { ITEMS, RATED } from '$core/exercise';
import { formText } from '../web/form-text';

const lines = (form: FormData, name: string): string[] =>
	formText(form, name)
		.split(/\r?\n/)
		.map((line) => line.trim())
		.filter(Boolean);

/** Demands as the form sends them; an empty choice sets nothing. */
function demandsFrom(form: FormData): Record<string, unknown> {
	const said = (field: string) => formText(form, `demand-${field}`) || undefined;
	const flag = (field: string) => {
		const text = said(field);
		return text === undefined ? undefined : text === 'yes';
	};
	return {
		...Object.fromEntries(RATED.map((field) => [field, said(field)])),
		arms: said('arms'),
		balance: said('balance'),
		canHoldOn: flag('canHoldOn'),
		impact: said('impact'),
		floorTransfer: flag('floorTransfer'),
		space: said('space'),
		lever: said('lever'),
		relativeLoad: said('relativeLoad')
	};
}

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
		demands: demandsFrom(form),
		cues: lines(form, 'cues'),
		cautions: lines(form, 'cautions'),
		looksLike: formText(form, 'looksLike').trim() || null,
		easier: formText(form, 'easier').trim() || null,
		harder: formText(form, 'harder').trim() || null
	};
}

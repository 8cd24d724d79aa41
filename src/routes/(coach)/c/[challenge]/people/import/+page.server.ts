import { fail } from '@sveltejs/kit';
import { ROSTER_FIELDS } from '$core/people';
import { formText } from '$lib/server/web/form-text';
import { orFail } from '$lib/server/web/http';
import { importRoster, previewRoster, type RosterPreview } from '$lib/server/people/import';
import { Refusal } from '$lib/server/platform/errors';
import { textOf } from '$lib/server/web/text-file';
import { ownChallenge } from '$lib/server/web/own';
import type { Actions } from './$types';

/** The columns that the coach chose, null before they were asked. */
function chosenColumns(form: FormData): Record<string, number | null> | null {
	if (!form.has('column-name')) return null;
	return Object.fromEntries(
		ROSTER_FIELDS.map((field) => {
			const value = form.get(`column-${field}`);
			return [field, value === null || value === '' ? null : Number(value)];
		})
	);
}

/** Lines shown of each kind; the counts say how many there are. */
const SHOWN = 200;
const shown = (preview: RosterPreview) => ({
	...preview,
	lines: [
		...preview.lines.filter((line) => line.row === null).slice(0, SHOWN),
		...preview.lines.filter((line) => line.row !== null).slice(0, SHOWN)
	]
});

export const actions: Actions = {
	preview: async (event) => {
		const challenge = await ownChallenge(event);
		const form = await event.request.formData();
		let list = { text: formText(form, 'list'), notes: [] as string[] };
		try {
			list = await textOf(form, 'list');
			const preview = await previewRoster(event.locals.app, challenge, list.text, chosenColumns(form));
			return { list: list.text, preview: { ...shown(preview), notes: [...list.notes, ...preview.notes] } };
		} catch (refusal) {
			if (!(refusal instanceof Refusal)) throw refusal;
			return fail(refusal.status, { list: list.text.slice(0, 200_000), message: refusal.message });
		}
	},
	accept: async (event) => {
		const challenge = await ownChallenge(event);
		const form = await event.request.formData();
		const text = formText(form, 'list');
		const work = importRoster(
			event.locals.app,
			challenge,
			text,
			chosenColumns(form),
			form.get('goodOnly') === 'yes'
		);
		const made = await orFail(work, { list: text });
		if ('failed' in made) return made.failed;
		return {
			links: made.ok.map(({ name, email, secret }) => ({
				name,
				email,
				link: `${event.url.origin}/join/${secret}`
			}))
		};
	}
};

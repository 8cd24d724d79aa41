import { fail } from '@sveltejs/kit';
import { ROSTER_FIELDS } from '$core/people';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { importRoster, previewRoster, type RosterPreview } from '$lib/server/people/import';
import { Refusal } from '$lib/server/platform/errors';
import { givenBack, givenIn } from '$lib/server/edge/web/given';
import { ownChallenge } from '$lib/server/edge/web/own';
import { shownLinks } from '$lib/server/edge/web/shown-link';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions } from './$types';

/** The application as a list is read with: no longer than somebody waits for it. */
const readerOf = ({ app, gone }: App.Locals) => ({ ...app, gone });

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

/** Cells corrected in the preview: `fix-<line>-<field>`, of the columns that are chosen. */
function correctionsIn(form: FormData, columns: Record<string, number | null> | null) {
	return [...form].flatMap(([key, value]) => {
		const [, line, field] = /^fix-(\d+)-([a-z]+)$/.exec(key) ?? [];
		const column = field ? columns?.[field] : null;
		return line && typeof column === 'number' && typeof value === 'string'
			? [{ line: Number(line), column, value }]
			: [];
	});
}

/** Lines shown of each kind; the counts say how many there are. */
const SHOWN = 200;
const shown = ({ text: _, ...preview }: RosterPreview) => ({
	...preview,
	known: preview.known.slice(0, SHOWN),
	knownCount: preview.known.length,
	lines: [
		...preview.lines.filter((line) => line.row === null).slice(0, SHOWN),
		...preview.lines.filter((line) => line.row !== null).slice(0, SHOWN)
	]
});

export const actions: Actions = {
	preview: async (event) => {
		const challenge = await ownChallenge(event);
		const form = await event.request.formData();
		const given = await givenIn(form, 'list');
		try {
			const columns = chosenColumns(form);
			const preview = await previewRoster(
				readerOf(event.locals),
				challenge,
				given,
				columns,
				correctionsIn(form, columns)
			);
			return { list: givenBack(given, preview.text), preview: shown(preview) };
		} catch (refusal) {
			if (!(refusal instanceof Refusal)) throw refusal;
			return fail(refusal.status, { list: givenBack(given), message: refusal.message });
		}
	},
	accept: async (event) => {
		const challenge = await ownChallenge(event);
		const form = await event.request.formData();
		const given = { bytes: null, pasted: formText(form, 'list') };
		const work = importRoster(readerOf(event.locals), challenge, given, chosenColumns(form), {
			goodOnly: form.get('goodOnly') === 'yes',
			updateKnown: form.get('updateKnown') === 'yes',
			by: coachIn(event.locals).id
		});
		const made = await orFail(work, { list: givenBack(given) });
		if ('failed' in made) return made.failed;
		const addresses = await shownLinks(event, challenge, made.ok);
		if (!addresses) return { enrolled: made.ok.length };
		return { links: made.ok.map(({ name, email }, i) => ({ name, email, link: addresses[i] ?? '' })) };
	}
};

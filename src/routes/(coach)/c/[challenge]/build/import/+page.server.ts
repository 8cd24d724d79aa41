import { fail, redirect } from '@sveltejs/kit';
import { clockText, compileSession, formatLine } from '$core/session';
import { Refusal } from '$lib/server/platform/errors';
import { formText } from '$lib/server/web/form-text';
import { orFail } from '$lib/server/web/http';
import { practiceOf } from '$lib/server/practice/practice';
import { readSessionFile } from '$lib/server/session/session-file';
import { importSession } from '$lib/server/session/sessions';
import { textOf } from '$lib/server/web/text-file';
import { coachIn } from '$lib/server/web/viewer';
import type { Actions, RequestEvent } from './$types';

/** What the coach chose to call the exercises that nobody knew. */
function renamedIn(form: FormData): Record<string, string> {
	const names = form.getAll('unknown').map(String);
	const choices = form.getAll('choice').map(String);
	return Object.fromEntries(names.flatMap((name, i) => (choices[i] ? [[name, choices[i]]] : [])));
}

async function read({ request, locals }: RequestEvent) {
	const form = await request.formData();
	const { text } = await textOf(form, 'text');
	const timing = await practiceOf(locals.app.db, coachIn(locals).id);
	return { form, text, timing, file: readSessionFile(text, timing, renamedIn(form)) };
}

export const actions: Actions = {
	preview: async (event) => {
		try {
			const { text, timing, file } = await read(event);
			const body = file.faults.length === 0 ? file.body : null;
			return {
				text: text.slice(0, 500_000),
				faults: file.faults.slice(0, 200),
				unknown: file.unknown,
				preview: body && {
					name: file.name,
					lines: body.blocks.map(formatLine),
					length: clockText(compileSession(body, timing).totals.duration)
				}
			};
		} catch (refusal) {
			if (!(refusal instanceof Refusal)) throw refusal;
			return fail(refusal.status, { message: refusal.message });
		}
	},
	accept: async (event) => {
		const { form, text, file } = await read(event);
		if (file.faults.length > 0 || !file.body) return fail(400, { text, faults: file.faults.slice(0, 200) });
		const name = formText(form, 'name').trim() || file.name;
		const made = await orFail(
			importSession(event.locals.app, coachIn(event.locals).id, { name, body: file.body, tags: file.tags }),
			{ text }
		);
		if ('failed' in made) return made.failed;
		redirect(303, `/c/${event.params.challenge}/build/${made.ok.id}`);
	}
};

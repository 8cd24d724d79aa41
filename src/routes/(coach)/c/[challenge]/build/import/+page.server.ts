import { fail, redirect } from '@sveltejs/kit';
import { clockText, compileSession, formatLine } from '$core/session';
import { Refusal } from '$lib/server/platform/errors';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { practiceOf } from '$lib/server/records/practice';
import { importSession } from '$lib/server/training/session/sessions';
import { plainOf } from '$core/practice';
import { givenBack, givenIn } from '$lib/server/edge/web/given';
import { practiceOwner } from '$lib/server/edge/web/own';
import { visitorKey } from '$lib/server/edge/web/viewer';
import type { Actions, RequestEvent } from './$types';

/** What the coach chose to call the exercises that nobody knew. */
function renamedIn(form: FormData): Record<string, string> {
	const names = form.getAll('unknown').map(String);
	const choices = form.getAll('choice').map(String);
	return Object.fromEntries(names.flatMap((name, i) => (choices[i] ? [[name, choices[i]]] : [])));
}

async function read(event: RequestEvent) {
	const { locals } = event;
	const form = await event.request.formData();
	const given = await givenIn(form, 'text');
	const practice = await practiceOf(locals.app.db, await practiceOwner(event));
	const of = { given, practice: plainOf(practice), renamed: renamedIn(form) };
	const file = await locals.app.threads.run('session', of, visitorKey(locals), locals.gone);
	return { form, text: givenBack(given, file.text), practice, file };
}

export const actions: Actions = {
	preview: async (event) => {
		try {
			const { text, practice, file } = await read(event);
			const body = file.faults.length === 0 ? file.body : null;
			return {
				text,
				faults: file.faults,
				unknown: file.unknown,
				preview: body && {
					name: file.name,
					lines: body.blocks.map((block) => formatLine(block, practice)),
					length: clockText(compileSession(body, practice).totals.duration)
				}
			};
		} catch (refusal) {
			if (!(refusal instanceof Refusal)) throw refusal;
			return fail(refusal.status, { message: refusal.message });
		}
	},
	accept: async (event) => {
		const found = await orFail(read(event));
		if ('failed' in found) return found.failed;
		const { form, text, file } = found.ok;
		if (file.faults.length > 0 || !file.body) return fail(400, { text, faults: file.faults });
		const name = formText(form, 'name').trim() || file.name;
		const made = await orFail(
			importSession(event.locals.app, await practiceOwner(event), {
				name,
				body: file.body,
				tags: file.tags
			}),
			{ text }
		);
		if ('failed' in made) return made.failed;
		redirect(303, `/c/${event.params.challenge}/build/${made.ok.id}`);
	}
};

import { testLetter } from '$lib/server/contact/delivery/test-letter';
import { postSettingsOf, savePostSettings } from '$lib/server/contact/post/settings';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const { id, email } = coachIn(locals);
	return {
		settings: await postSettingsOf(app.db, id),
		/** Null: mail is written into files. */
		server: app.config.mail.server === null ? null : new URL(app.config.mail.server).host,
		email
	};
};

export const actions: Actions = {
	save: async (event) => {
		await ownChallenge(event);
		const form = await event.request.formData();
		const raw = {
			...Object.fromEntries(
				['style', 'greeting', 'signOff', 'quietFrom', 'quietTo', 'digestAt'].map((name) => [
					name,
					formText(form, name)
				])
			),
			digest: form.has('digest'),
			answers: form.has('answers'),
			automatic: form.getAll('automatic'),
			// One that is emptied is taken out.
			replies: form.getAll('reply').filter((one) => typeof one === 'string' && one.trim() !== '')
		};
		const done = await orFail(savePostSettings(event.locals.app.db, coachIn(event.locals).id, raw));
		return 'failed' in done ? done.failed : { saved: true };
	},
	test: async (event) => {
		await ownChallenge(event);
		return { test: await testLetter(event.locals.app, coachIn(event.locals)) };
	}
};

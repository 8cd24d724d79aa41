import { redirect } from '@sveltejs/kit';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import { shelfSession, takeFromShelf } from '$lib/server/done/shelf/shelf';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => ({
	session: await orError(shelfSession(locals.app, personIn(locals), params.session)),
	id: locals.app.ids.uuid()
});

export const actions: Actions = {
	default: async ({ request, params, locals }) => {
		const form = await request.formData();
		const raw = {
			id: formText(form, 'id'),
			sessionId: params.session,
			credit: formText(form, 'credit'),
			effort: formText(form, 'effort') || null,
			hurts: formText(form, 'hurts'),
			note: formText(form, 'note')
		};
		const done = await orFail(takeFromShelf(locals.app, personIn(locals), raw).then(() => ({})));
		if ('failed' in done) return done.failed;
		redirect(303, '/me/shelf');
	}
};

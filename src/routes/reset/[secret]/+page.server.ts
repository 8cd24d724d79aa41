import { error, redirect } from '@sveltejs/kit';
import { linkEnded, resetOf, resetPassword } from '$lib/server/account/auth/account';
import { sendNotice } from '$lib/server/account/auth/letters';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { networkIn, noteEvent } from '$lib/server/edge/web/security';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** Says whose password it is; to look changes nothing. Only links that are not good are counted. */
async function look(event: Pick<RequestEvent, 'locals' | 'params' | 'getClientAddress'>) {
	const { app } = event.locals;
	const coach = await resetOf(app, event.params.secret);
	if (coach) return coach;
	await orError(app.limits.link.take(networkIn(event)), event.locals);
	const { status, message } = linkEnded();
	error(status, message);
}

export const load: PageServerLoad = async (event) => ({ email: (await look(event)).email });

export const actions: Actions = {
	default: async (event) => {
		const { locals, params, request } = event;
		await look(event);
		const password = formText(await request.formData(), 'password');
		const done = await orFail(resetPassword(locals.app, params.secret, { password }));
		if ('failed' in done) return done.failed;
		await sendNotice(locals.app, { coachId: done.ok, change: 'password' });
		await noteEvent(event, 'password-reset', { coachId: done.ok });
		redirect(303, '/sign-in?notice=reset');
	}
};

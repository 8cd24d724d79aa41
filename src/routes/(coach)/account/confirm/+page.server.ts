import { redirect } from '@sveltejs/kit';
import { prove } from '$lib/server/account/auth/login';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { noteEvent } from '$lib/server/edge/web/security';
import { coachIn } from '$lib/server/edge/web/viewer';
import { wayBack } from '$lib/server/edge/web/way-back';
import type { Actions } from './$types';

export const actions: Actions = {
	default: async (event) => {
		const { request, locals, url } = event;
		const { app } = locals;
		const coach = coachIn(locals);
		const password = formText(await request.formData(), 'password');
		const work = app.limits.password.attempt(coach.id, () => prove(app, coach, password));
		const done = await orFail(work, {}, locals);
		if ('failed' in done) {
			if (done.failed.status === 401) await noteEvent(event, 'sign-in-failed');
			return done.failed;
		}
		await noteEvent(event, 'password-confirmed');
		redirect(303, wayBack(url.searchParams.get('then'), url.origin, '/account'));
	}
};

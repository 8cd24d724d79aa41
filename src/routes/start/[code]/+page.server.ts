import { redirect } from '@sveltejs/kit';
import { openLink } from '$lib/server/auth/link';
import { join, joinPage } from '$lib/server/people/join';
import { keepToken, tokenIn } from '$lib/server/web/cookies';
import { orError, orFail } from '$lib/server/web/http';
import { networkIn, noteEvent } from '$lib/server/web/security';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const found = joinPage(app, event.params.code);
	// Codes that lead nowhere are counted: nobody is to try them through.
	found.catch(() => undefined);
	const page = await found.catch(async (cause: unknown) => {
		await orError(app.limits.link.take(networkIn(event)), event.locals);
		throw cause;
	});
	return { page, zones: Intl.supportedValuesOf('timeZone') };
};

export const actions: Actions = {
	default: async (event) => {
		const { locals, params, cookies, url, request } = event;
		const typed = Object.fromEntries(await request.formData());
		const work = (async () => {
			await locals.app.limits.link.take(networkIn(event));
			return join(locals.app, params.code, typed);
		})();
		const done = await orFail(work, { typed }, locals);
		if ('failed' in done) return done.failed;
		if (done.ok === null) return { waiting: true };
		const token = await openLink(locals.app, done.ok, tokenIn(cookies, url, 'person') ?? null);
		if (!token) return { waiting: true };
		await noteEvent(event, 'link-opened');
		keepToken(cookies, url, 'person', token);
		redirect(303, '/me/intake');
	}
};

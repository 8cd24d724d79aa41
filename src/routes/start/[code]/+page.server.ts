import { linkOf, openLink } from '$lib/server/auth/link';
import { join, joinPage } from '$lib/server/people/join';
import { keepToken, tokenIn } from '$lib/server/web/cookies';
import { orError, orFail } from '$lib/server/web/http';
import { originFor } from '$lib/server/web/origin';
import { carryOn } from '$lib/server/post/letters';
import { mailOwnLink } from '$lib/server/post/invitations';
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
		const secret = done.ok;
		const link = await linkOf(locals.app, secret);
		const token = await openLink(locals.app, secret, tokenIn(cookies, url, 'person') ?? null);
		if (!link || !token) return { waiting: true };
		await noteEvent(event, 'link-opened');
		keepToken(cookies, url, 'person', token);
		const origin = originFor(event);
		if (origin) {
			await mailOwnLink(locals.app, { enrolmentId: link.enrolmentId, secret, base: `${origin}/join/` });
			await carryOn(locals.app);
		}
		return { joined: `${url.origin}/join/${secret}`, mailed: origin !== null };
	}
};

import { linkOf, openLink } from '$lib/server/account/auth/link';
import { join, joinPage } from '$lib/server/people/join';
import { openWish } from '$lib/server/people/join-wish';
import { mailOwnLink } from '$lib/server/contact/post/invitations';
import { carryOn } from '$lib/server/contact/post/letters';
import { keepToken, tokenIn } from '$lib/server/edge/web/cookies';
import { orError, orFail } from '$lib/server/edge/web/http';
import { originFor } from '$lib/server/edge/web/origin';
import { networkIn, noteEvent } from '$lib/server/edge/web/security';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** What was asked for; wishes that are none are counted. */
const wishIn = async ({ locals: { app }, params }: RequestEvent) => openWish(app, params.code, params.wish);

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const wish = wishIn(event);
	wish.catch(() => undefined);
	const { name, email } = await wish.catch(async (cause: unknown) => {
		await orError(app.limits.link.take(networkIn(event)), event.locals);
		throw cause;
	});
	return { page: await joinPage(app, event.params.code), name, email };
};

export const actions: Actions = {
	default: async (event) => {
		const { locals, params, cookies, url } = event;
		const { app } = locals;
		const done = await orFail((async () => join(app, params.code, await wishIn(event)))(), {}, locals);
		if ('failed' in done) return done.failed;
		if (done.ok === null) return { waiting: true };
		const secret = done.ok;
		const link = await linkOf(app, secret);
		const token = await openLink(app, secret, tokenIn(cookies, url, 'person') ?? null);
		if (!link || !token) return { waiting: true };
		await noteEvent(event, 'link-opened');
		keepToken(cookies, url, 'person', token);
		const origin = originFor(event);
		if (origin) {
			await mailOwnLink(app, { enrolmentId: link.enrolmentId, secret, base: `${origin}/join/` });
			await carryOn(app);
		}
		return { joined: `${url.origin}/join/${secret}`, mailed: origin !== null };
	}
};

import { error, redirect } from '@sveltejs/kit';
import { linkOf, openLink } from '$lib/server/account/auth/link';
import { keepToken, tokenIn } from '$lib/server/edge/web/cookies';
import { orError } from '$lib/server/edge/web/http';
import { networkIn, noteEvent } from '$lib/server/edge/web/security';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** Answers a link that is not good. Only these are counted: many people may open theirs from one address. */
async function refuse(event: RequestEvent): Promise<never> {
	await orError(event.locals.app.limits.link.take(networkIn(event)), event.locals);
	error(
		404,
		'This link is not good any more. Use “I lost my link” on the sign-in page, or ask your coach for a new one.'
	);
}

/** Says whose link it is; opening it is left to them, so that whoever only looks at an address changes nothing. */
export const load: PageServerLoad = async (event) => {
	const { app, visitor } = event.locals;
	const link = (await linkOf(app, event.params.secret)) ?? (await refuse(event));
	const now = await visitor.person();
	if (now?.enrolmentId === link.enrolmentId) redirect(303, '/me');
	return { name: link.name, challenge: link.challenge, by: link.by, other: now?.name ?? null };
};

export const actions: Actions = {
	default: async (event) => {
		const { locals, params, cookies, url } = event;
		const before = tokenIn(cookies, url, 'person') ?? null;
		const { enrolmentId } = (await linkOf(locals.app, params.secret)) ?? (await refuse(event));
		const token = (await openLink(locals.app, params.secret, before)) ?? (await refuse(event));
		await noteEvent(event, 'link-opened', { enrolmentId });
		keepToken(cookies, url, 'person', token);
		redirect(303, '/me');
	}
};

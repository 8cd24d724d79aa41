import { error, redirect } from '@sveltejs/kit';
import { openLink } from '$lib/server/auth/link';
import { keepToken, PERSON_COOKIE } from '$lib/server/web/cookies';
import { orError } from '$lib/server/web/http';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, cookies, url, getClientAddress }) => {
	const { app } = locals;
	const address = getClientAddress();
	await orError(app.limits.link.take(address), locals);
	const token = await openLink(app, params.secret);
	if (!token) error(404, 'This link is not good any more. Ask your coach for a new one.');
	await app.limits.link.clear(address);
	keepToken(cookies, url, PERSON_COOKIE, token);
	redirect(303, '/me');
};

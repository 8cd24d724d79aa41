import { error, redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { randomUUID } from 'node:crypto';
import { startDemo } from '$demo/world';
import { closeApp, startApp, type App } from '$lib/server/app';
import { mayEnter } from '$lib/server/auth/roles';
import { visitorOf } from '$lib/server/auth/visitor';

let app: App;

export const init: ServerInit = async () => {
	app = await startApp(process.env);
	if (app.config.demo) await startDemo(app);
	process.on(
		'sveltekit:shutdown',
		() => void closeApp(app).finally(() => process.emit('cadrex:closed' as 'beforeExit', 0))
	);
};

/** Headers that hold for every answer; the content security policy is SvelteKit's, in svelte.config.js. */
const HEADERS = {
	'x-content-type-options': 'nosniff',
	// The address of a personal link holds its secret: it must not travel on.
	'referrer-policy': 'same-origin',
	'permissions-policy': 'camera=(), microphone=(), geolocation=()'
};

export const handle: Handle = async ({ event, resolve }) => {
	const began = performance.now();
	const requestId = randomUUID().slice(0, 8);
	const { locals, cookies, url, route } = event;
	locals.app = app;
	locals.requestId = requestId;
	locals.log = app.log.child({ request: requestId });

	locals.visitor = visitorOf(app, cookies, url);
	locals.coach = null;
	locals.person = null;

	const answer = await mayEnter(route.id, locals);
	if (answer === 'not found') error(404, 'There is no such page here.');
	if (answer === 'sign in') {
		if (url.pathname.startsWith('/api/'))
			return Response.json({ message: 'Sign in first.', faults: [] }, { status: 401 });
		redirect(303, `/sign-in?then=${encodeURIComponent(url.pathname + url.search)}`);
	}

	const response = await resolve(event);
	for (const [name, value] of Object.entries(HEADERS)) response.headers.set(name, value);
	response.headers.set('x-request-id', requestId);
	if (locals.retryAfter) response.headers.set('retry-after', String(locals.retryAfter));
	if (!url.pathname.startsWith('/_app/')) response.headers.set('cache-control', 'private, no-store');
	// The path is left out of the log where it is a secret, the query always.
	const path = url.pathname.replace(/^\/(join|calendar)\/.*/, '/$1/…');
	locals.log.info(
		{
			method: event.request.method,
			path,
			status: response.status,
			ms: Math.round(performance.now() - began)
		},
		'request'
	);
	return response;
};

export const handleError: HandleServerError = ({ error: cause, event, status, message }) => {
	if (status === 404) return { message: 'There is no such page here.' };
	if (status < 500) return { message };
	event.locals.log.error({ err: cause, route: event.route.id }, 'request failed');
	return {
		message:
			'Something went wrong on our side. What you typed on the page before is still there: go back to it. ' +
			`Reference ${event.locals.requestId}; the log holds it too.`
	};
};

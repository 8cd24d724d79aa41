import {
	error,
	isHttpError,
	isRedirect,
	redirect,
	type Handle,
	type HandleServerError,
	type RequestEvent,
	type ServerInit
} from '@sveltejs/kit';
import { randomUUID } from 'node:crypto';
import { startDemo } from '$demo/world';
import { closeApp, startApp, type App } from '$lib/server/edge/app';
import { mayEnter } from '$lib/server/edge/web/roles';
import { visitorOf } from '$lib/server/edge/web/visitor';
import { Refusal } from '$lib/server/platform/errors';
import { bounded, refusalAnswer } from '$lib/server/edge/web/body';
import { Unread } from '$lib/server/edge/web/uploads';
import { noteWork, workIn } from '$lib/server/edge/web/work';

let app: App;

export const init: ServerInit = async () => {
	app = await startApp(process.env);
	if (app.config.demo) await startDemo(app);
	// The server says where it listens; whoever may read the data directory can then give it commands.
	process.on('cadrex:listening' as 'message', (url) => void app.control?.open(String(url)));
	process.on('cadrex:ending' as 'beforeExit', () => app.live.end());
	process.on(
		'sveltekit:shutdown',
		() => void closeApp(app).finally(() => process.emit('cadrex:closed' as 'beforeExit', 0))
	);
};

/** Tells when the connection of a request ends before its answer; never in development, where none is handed on. */
function watchConnection({ platform }: RequestEvent): { gone: AbortSignal; forget: () => void } {
	const gone = new AbortController();
	const socket = platform?.req.socket;
	const abort = () => gone.abort();
	socket?.once('close', abort);
	return { gone: gone.signal, forget: () => socket?.off('close', abort) };
}

/** Lets somebody in where they may be, with a body no larger than the route takes; says so where it is not so. */
async function answerTo(
	event: RequestEvent,
	resolve: (event: RequestEvent) => Response | Promise<Response>
): Promise<Response> {
	const { locals, url, route } = event;
	// An action without a name has none in an address either.
	if (/%00/.test(url.href) || url.searchParams.has('/default')) error(404, 'There is no such page here.');
	const answer = await mayEnter(route.id, locals);
	if (answer === 'not found') error(404, 'There is no such page here.');
	if (answer === 'sign in') {
		if (url.pathname.startsWith('/api/'))
			return Response.json({ message: 'Sign in first.', faults: [] }, { status: 401 });
		redirect(303, `/sign-in?then=${encodeURIComponent(url.pathname + url.search)}`);
	}
	const work = await workIn(event);
	let forget: () => Promise<void>;
	try {
		const who = locals.coach?.id ?? locals.person?.participantId ?? event.getClientAddress();
		const taken = await bounded(event.request, route.id, app.uploads, who);
		event.request = taken.request;
		({ forget } = taken);
	} catch (refusal) {
		if (!(refusal instanceof Refusal)) throw refusal;
		if (refusal instanceof Unread)
			return new Response(refusal.message, {
				status: refusal.status,
				headers: { connection: 'close', 'content-type': 'text/plain; charset=utf-8' }
			});
		return refusalAnswer(event.request, refusal) ?? error(refusal.status, refusal.message);
	}
	try {
		const response = await resolve(event);
		if (work) await noteWork(event, work, response);
		return response;
	} finally {
		await forget();
	}
}

export const handle: Handle = async ({ event, resolve }) => {
	const began = performance.now();
	const requestId = randomUUID().slice(0, 8);
	const { locals, route, request } = event;
	locals.app = app;
	locals.requestId = requestId;
	locals.log = app.log.child({ request: requestId });
	locals.visitor = visitorOf(app, event);
	locals.coach = null;
	locals.person = null;
	const connection = watchConnection(event);
	locals.gone = connection.gone;

	let status = 500;
	try {
		const answer = await answerTo(event, resolve);
		const response = locals.refused
			? new Response(answer.body, { status: locals.refused.status, headers: answer.headers })
			: answer;
		({ status } = response);
		response.headers.set('x-request-id', requestId);
		if (locals.retryAfter) response.headers.set('retry-after', String(locals.retryAfter));
		return response;
	} catch (thrown) {
		if (isHttpError(thrown) || isRedirect(thrown)) ({ status } = thrown);
		throw thrown;
	} finally {
		connection.forget();
		const ms = Math.round(performance.now() - began);
		// Addresses hold secrets, and what leads nowhere may be one that was mistyped: the log has the route alone.
		locals.log.info({ method: request.method, route: route.id ?? '(none)', status, ms }, 'request');
	}
};

export const handleError: HandleServerError = ({ error: cause, event, status, message }) => {
	if (cause instanceof Refusal) {
		event.locals.refused = cause;
		return { message: cause.message };
	}
	if (status === 404) return { message: 'There is no such page here.' };
	if (status < 500) return { message };
	event.locals.log.error({ err: cause, route: event.route.id }, 'request failed');
	return {
		message:
			'Something went wrong on our side. What you typed on the page before is still there: go back to it. ' +
			`Reference ${event.locals.requestId}; the log holds it too.`
	};
};

import { tellPresence } from '$lib/server/live/presence';
import { orJson } from '$lib/server/web/http';
import { jsonOf } from '$lib/server/web/json';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

/** Where a phone is in a session; told while it is online, and of no account for anything that counts. */
export const POST: RequestHandler = ({ request, locals }) =>
	orJson(async () => {
		await tellPresence(locals.app, personIn(locals), await jsonOf(request, 'Where somebody is in a session'));
		return new Response(null, { status: 204 });
	});

import { tellPresence } from '$lib/server/done/live/presence';
import { orJson } from '$lib/server/edge/web/http';
import { jsonOf } from '$lib/server/platform/json';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

/** Where a phone is in a session; told while it is online, and of no account for anything that counts. */
export const POST: RequestHandler = ({ request, locals }) =>
	orJson(async () => {
		await tellPresence(locals.app, personIn(locals), await jsonOf(request, 'Where somebody is in a session'));
		return new Response(null, { status: 204 });
	});

import { reportStop } from '$lib/server/contact/incidents/incidents';
import { carryOn } from '$lib/server/contact/post/letters';
import { orJson } from '$lib/server/edge/web/http';
import { jsonOf } from '$lib/server/platform/json';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

/** Takes a report that somebody had to stop, as JSON. Sent twice by its id it is kept once. */
export const POST: RequestHandler = ({ request, locals }) =>
	orJson(async () => {
		await reportStop(locals.app, personIn(locals), await jsonOf(request, 'A report'));
		await carryOn(locals.app);
		return Response.json({ told: true }, { status: 201 });
	});

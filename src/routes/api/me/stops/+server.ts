import { reportStop } from '$lib/server/health/incidents';
import { carryOn } from '$lib/server/post/letters';
import { orJson } from '$lib/server/web/http';
import { jsonOf } from '$lib/server/web/json';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

/** Takes a report that somebody had to stop, as JSON. Sent twice by its id it is kept once. */
export const POST: RequestHandler = ({ request, locals }) =>
	orJson(async () => {
		await reportStop(locals.app, personIn(locals), await jsonOf(request, 'A report'));
		await carryOn(locals.app);
		return Response.json({ told: true }, { status: 201 });
	});

import { checkIn } from '$lib/server/attendance/check-in';
import { carryOn } from '$lib/server/post/letters';
import { orJson } from '$lib/server/web/http';
import { jsonOf } from '$lib/server/web/json';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

/** Takes a check-in as JSON: 201 the first time, 200 when it had been received before. */
export const POST: RequestHandler = ({ request, locals }) =>
	orJson(async () => {
		const receipt = await checkIn(locals.app, personIn(locals), await jsonOf(request, 'A check-in'));
		// Coaches are told of pain at once; a nudge that is lost delays it by a minute.
		if (receipt.fresh) await carryOn(locals.app);
		return Response.json(receipt, { status: receipt.fresh ? 201 : 200 });
	});

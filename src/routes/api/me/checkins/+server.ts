import { checkIn } from '$lib/server/attendance/check-in';
import { Refusal } from '$lib/server/platform/errors';
import { orJson } from '$lib/server/web/http';
import { parseJson } from '$lib/server/web/json';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

async function bodyOf(request: Request): Promise<unknown> {
	try {
		return parseJson(await request.text());
	} catch {
		throw new Refusal(400, 'A check-in comes as JSON.');
	}
}

/** Takes a check-in as JSON: 201 the first time, 200 when it had been received before. */
export const POST: RequestHandler = ({ request, locals }) =>
	orJson(async () => {
		const receipt = await checkIn(locals.app, personIn(locals), await bodyOf(request));
		return Response.json(receipt, { status: receipt.fresh ? 201 : 200 });
	});

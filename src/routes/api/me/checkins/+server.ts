import { checkIn } from '$lib/server/attendance/check-in';
import { Refusal } from '$lib/server/platform/errors';
import { textWithin } from '$lib/server/web/body';
import { orJson } from '$lib/server/web/http';
import { parseJson } from '$lib/server/web/json';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

/** Two thousand sets fit into a fifth of this. */
const MOST_BYTES = 512 * 1024;

async function bodyOf(request: Request): Promise<unknown> {
	const text = await textWithin(request, MOST_BYTES, 'A check-in has 512 kB at most.');
	try {
		return parseJson(text);
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

import type { CheckinInput } from '$contracts/check-in';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { carryOn } from '$lib/server/contact/post/letters';
import { orJson } from '$lib/server/edge/web/http';
import { jsonOf } from '$lib/server/platform/json';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

/** Whether a check-in that was taken says that something hurts. */
const tellsOfPain = (sent: unknown): boolean => {
	const { hurts, run } = sent as Partial<CheckinInput>;
	return Boolean(hurts) || (run?.hurts ?? []).length > 0;
};

/** Takes a check-in as JSON: 201 the first time, 200 when it had been received before. */
export const POST: RequestHandler = ({ request, locals }) =>
	orJson(async () => {
		const sent = await jsonOf(request, 'A check-in');
		const receipt = await checkIn(locals.app, personIn(locals), sent);
		// Coaches are told of pain at once; a nudge that is lost delays it by a minute.
		if (receipt.fresh && tellsOfPain(sent)) await carryOn(locals.app);
		return Response.json(receipt, { status: receipt.fresh ? 201 : 200 });
	});

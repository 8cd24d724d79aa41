import { Refusal } from '$lib/server/platform/errors';
import { orJson } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

/** Says `changed` whenever something came about in the challenge; what it is, a page asks for. */
export const GET: RequestHandler = ({ params, locals }) =>
	orJson(async () => {
		const { id } = await ownChallenge({ params, locals });
		const stream = locals.app.live.stream(coachIn(locals).id, id);
		if (!stream) throw new Refusal(503, 'Too many pages listen at the moment. Ask from time to time.');
		return new Response(stream, {
			headers: {
				'content-type': 'text/event-stream',
				'cache-control': 'no-cache, no-transform',
				// What stands between must not hold it back.
				'x-accel-buffering': 'no'
			}
		});
	});

import { liveOf } from '$lib/server/done/live/group';
import { orJson } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

/** Who is in a session, and where everybody stands with a day where one is asked for. */
export const GET: RequestHandler = ({ params, locals, url }) =>
	orJson(async () => {
		const challenge = await ownChallenge({ params, locals });
		const day = url.searchParams.get('day');
		return Response.json(await liveOf(locals, challenge, day === null ? null : Number(day)));
	});

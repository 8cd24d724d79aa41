import { openDay } from '$lib/server/done/day/own-day';
import { orJson } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
	orJson(async () => {
		const { app } = locals;
		const day = await openDay(app, personIn(locals), Number(params.day));
		return Response.json({ ...day, now: app.clock.now() });
	});

import { openDay } from '$lib/server/day/own-day';
import { orJson } from '$lib/server/web/http';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
	orJson(async () => {
		const { app } = locals;
		const day = await openDay(app, personIn(locals), Number(params.day));
		return Response.json({ ...day, now: app.clock.now() });
	});

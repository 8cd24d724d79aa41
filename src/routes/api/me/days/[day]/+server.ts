import { openDay } from '$lib/server/checkins/day';
import { orJson } from '$lib/server/http';
import { personIn } from '$lib/server/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
	orJson(async () => Response.json(await openDay(locals.app, personIn(locals), Number(params.day))));

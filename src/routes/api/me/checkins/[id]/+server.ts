import { ownCheckin } from '$lib/server/done/day/own-day';
import { orJson } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
	orJson(async () => Response.json(await ownCheckin(locals.app, personIn(locals), params.id)));

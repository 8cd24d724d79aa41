import { ownCheckin } from '$lib/server/day/own-day';
import { orJson } from '$lib/server/web/http';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) =>
	orJson(async () => Response.json(await ownCheckin(locals.app, personIn(locals), params.id)));

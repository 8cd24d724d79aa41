import { coachCalendar } from '$lib/server/exports/calendar/calendars';
import { challengeOf } from '$lib/server/challenge/challenge';
import { download } from '$lib/server/web/download';
import { orError } from '$lib/server/web/http';
import { coachIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals, url }) => {
	const { id, name } = await orError(challengeOf(locals.app.db, coachIn(locals).id, params.challenge));
	const text = await coachCalendar(locals.app, id, { withdrawn: true, origin: url.origin });
	return download(text, `${name}.ics`, 'text/calendar');
};

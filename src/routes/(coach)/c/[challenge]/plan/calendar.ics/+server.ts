import { coachCalendar } from '$lib/server/changes/calendar/calendars';
import { download } from '$lib/server/edge/web/download';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async (event) => {
	const { id, name } = await ownChallenge(event);
	const text = await coachCalendar(event.locals.app, id, { withdrawn: true, origin: event.url.origin });
	return download(text, `${name}.ics`, 'text/calendar');
};

import { personCalendar } from '$lib/server/changes/calendar/calendars';
import { download } from '$lib/server/edge/web/download';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, url }) => {
	const { enrolmentId } = personIn(locals);
	const text = await personCalendar(locals.app, enrolmentId, { withdrawn: true, origin: url.origin });
	return download(text, 'challenge.ics', 'text/calendar');
};

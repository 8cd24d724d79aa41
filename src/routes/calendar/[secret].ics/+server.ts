import { error } from '@sveltejs/kit';
import { networkOf } from '$lib/server/account/auth/limits';
import { ownerOf } from '$lib/server/edge/exports/calendar/links';
import { coachCalendar, personCalendar } from '$lib/server/changes/calendar/calendars';
import { orError } from '$lib/server/edge/web/http';
import { hashToken } from '$lib/server/platform/ids';
import type { RequestHandler } from './$types';

/** A calendar that a program subscribes to: it comes without a cookie, the address is what lets it in. */
export const GET: RequestHandler = async ({ params, locals, url, request, getClientAddress }) => {
	const { app } = locals;
	const owner = await ownerOf(app.db, params.secret);
	if (!owner) {
		// Only guesses are counted: one service may ask for many people's calendars from one address.
		await orError(app.limits.link.take(networkOf(getClientAddress())), locals);
		error(404, 'This calendar address is not good any more.');
	}
	const wanted = { withdrawn: false, origin: url.origin };
	const text =
		'enrolmentId' in owner
			? await personCalendar(app, owner.enrolmentId, wanted)
			: await coachCalendar(app, owner.challengeId, wanted);
	// Programs ask every hour or so; what has not changed need not travel.
	const etag = `"${hashToken(text).slice(0, 32)}"`;
	if (request.headers.get('if-none-match') === etag)
		return new Response(null, { status: 304, headers: { etag } });
	return new Response(text, { headers: { 'content-type': 'text/calendar; charset=utf-8', etag } });
};

import { dateIn } from '$core/calendar';
import { isRateGuide } from '$core/health';
import { answersOf } from '$lib/server/records/health';
import { dayToRun } from '$lib/server/done/day/run';
import { orError } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const { course, day, versionId, pieces, checkin } = await orError(
		dayToRun(locals.app, personIn(locals), Number(params.day), url.searchParams.has('again'))
	);
	const { participantId, zone } = personIn(locals);
	const { db, clock } = locals.app;
	const rateIsGuide = isRateGuide(await answersOf(db, participantId), dateIn(zone, clock.now()));
	return {
		course,
		day,
		versionId,
		pieces,
		begun: checkin !== null,
		rateIsGuide,
		demo: locals.app.demoClock !== null,
		/** Whoever comes here straight away may lose the connection in the middle. */
		goesWith: [`/me/day/${day}/run`, `/me/day/${day}/check-in`, '/me', '/me/stop']
	};
};

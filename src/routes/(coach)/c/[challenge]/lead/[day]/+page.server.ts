import { dayToLead } from '$lib/server/done/day/lead';
import { liveOf } from '$lib/server/done/live/group';
import { orError } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, url }) => {
	const { app } = locals;
	const challenge = await ownChallenge({ params, locals });
	const day = Number(params.day);
	const { course, versionId } = await orError(dayToLead(app, challenge, day, coachIn(locals).units));
	return {
		course,
		versionId,
		leads: day,
		/** A second window for the big screen: it shows, and is not led. */
		screen: url.searchParams.has('screen'),
		live: await liveOf(locals, challenge, day)
	};
};

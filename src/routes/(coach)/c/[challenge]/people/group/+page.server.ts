import { groupPicture, useSuggested } from '$lib/server/people/cohort';
import { orFail } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const challenge = await ownChallenge(event);
	const { cohort, audience, suggested, ...picture } = await groupPicture(event.locals.app, challenge);
	// What people have to leave out follows from their health, and so does whom a plan should be made for.
	return challenge.role === 'viewer'
		? { picture: { ...picture, cohort: { ...cohort, limits: [] } }, plan: null }
		: { picture: { ...picture, cohort }, plan: { audience, suggested } };
};

export const actions: Actions = {
	use: async (event) => {
		const done = await orFail(useSuggested(event.locals.app, await ownChallenge(event)));
		return 'failed' in done ? done.failed : { used: true };
	}
};

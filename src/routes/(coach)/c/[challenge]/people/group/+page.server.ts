import { groupPicture, useSuggested } from '$lib/server/people/cohort';
import { orFail } from '$lib/server/web/http';
import { ownChallenge } from '$lib/server/web/own';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => ({
	picture: await groupPicture(event.locals.app, await ownChallenge(event))
});

export const actions: Actions = {
	use: async (event) => {
		const done = await orFail(useSuggested(event.locals.app, await ownChallenge(event)));
		return 'failed' in done ? done.failed : { used: true };
	}
};

import { challengeSheet } from '$lib/server/edge/exports/plan-sheet';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => ({
	sheet: await challengeSheet(event.locals.app, await ownChallenge(event))
});

import { orError } from '$lib/server/http';
import { challengeSheet } from '$lib/server/plan/sheet';
import { coachIn } from '$lib/server/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => ({
	sheet: await orError(challengeSheet(locals.app, coachIn(locals).id, params.challenge))
});

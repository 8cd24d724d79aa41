import { orError } from '$lib/server/web/http';
import { challengeSheet } from '$lib/server/exports/plan-sheet';
import { coachIn } from '$lib/server/web/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => ({
	sheet: await orError(challengeSheet(locals.app, coachIn(locals).id, params.challenge))
});

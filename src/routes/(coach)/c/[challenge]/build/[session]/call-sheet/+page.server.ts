import { readIn } from '$core/kit';
import { orError } from '$lib/server/edge/web/http';
import { callSheet } from '$lib/server/training/session/call-sheet';
import { practiceOwner } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const countdowns = url.searchParams.get('countdowns') !== 'no';
	const sheet = callSheet(locals.app.db, await practiceOwner({ params, locals }), params.session, countdowns);
	return { countdowns, sheet: readIn(await orError(sheet), coachIn(locals).units) };
};

import { redirect } from '@sveltejs/kit';
import { openDay } from '$lib/server/checkins/day';
import { orError } from '$lib/server/http';
import { personIn } from '$lib/server/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const day = await orError(openDay(locals.app, personIn(locals), Number(params.day)));
	if (day.kind === 'rest') redirect(303, '/me');
	return { day };
};

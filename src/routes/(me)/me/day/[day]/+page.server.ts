import { redirect } from '@sveltejs/kit';
import { forReading, openDay } from '$lib/server/done/day/own-day';
import { tick } from '$lib/server/edge/forms/tick-form';
import { orError } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals }) => {
	const person = personIn(locals);
	const day = await orError(openDay(locals.app, person, Number(params.day)));
	if (day.kind === 'rest') redirect(303, '/me');
	return { day: forReading(day, person) };
};

export const actions: Actions = { tick };

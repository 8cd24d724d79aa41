import { redirect } from '@sveltejs/kit';
import { MOST_OF_DAY } from '$contracts/check-in';
import { openDay, standingOf } from '$lib/server/done/day/own-day';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { readCheckinForm } from '$lib/offline/check-in-form';
import { orError, orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, url, locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	const standing = await standingOf(app, person);
	const again = url.searchParams.get('run') === 'again';
	const day = await orError(openDay(app, person, Number(params.day), standing, again));
	if (day.kind === 'rest' || !day.session) redirect(303, '/me');
	const { afterClose, lateWorth, lateHours } = standing.challenge;
	return {
		day: { ...day, session: day.session },
		units: person.units,
		id: app.ids.uuid(),
		questions: standing.challenge.questions,
		mostBeyond: MOST_OF_DAY.beyond,
		policy: { afterClose, lateWorth, lateHours }
	};
};

export const actions: Actions = {
	default: async ({ request, params, locals }) => {
		const input = readCheckinForm(await request.formData(), Number(params.day));
		const done = await orFail(checkIn(locals.app, personIn(locals), input), { typed: input });
		if ('failed' in done) return done.failed;
		redirect(303, `/me/day/${params.day}/result`);
	}
};

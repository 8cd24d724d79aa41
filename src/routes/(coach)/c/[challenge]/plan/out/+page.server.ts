import {
	endCoachAddress,
	hasCoachAddress,
	makeCoachAddress,
	subscribers
} from '$lib/server/calendar/address';
import { formText } from '$lib/server/form-text';
import { orError, orFail } from '$lib/server/http';
import { enrolmentsOf } from '$lib/server/people/enrolments';
import { allNotices, announce, takeDown } from '$lib/server/plan/notices';
import { coachIn } from '$lib/server/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge } = await parent();
	const people = await enrolmentsOf(app.db, challenge.id);
	return {
		address: await hasCoachAddress(app.db, challenge.id),
		subscribed: await subscribers(app.db, challenge.id),
		people: people.map(({ id, name }) => ({ id, name })),
		notices: await allNotices(app, challenge.id)
	};
};

export const actions: Actions = {
	make: async ({ locals, params, url }) => {
		const secret = await orError(makeCoachAddress(locals.app, coachIn(locals).id, params.challenge));
		return { address: `${url.origin}/calendar/${secret}.ics` };
	},
	end: async ({ locals, params }) => {
		await orError(endCoachAddress(locals.app.db, coachIn(locals).id, params.challenge));
		return { ended: true };
	},
	announce: async ({ request, locals, params }) => {
		const form = await request.formData();
		const text = formText(form, 'text');
		const raw = { text, day: Number(formText(form, 'day')) || null };
		const done = await orFail(announce(locals.app, coachIn(locals).id, params.challenge, raw), { text });
		return 'failed' in done ? done.failed : { announced: true };
	},
	takeDown: async ({ request, locals, params }) => {
		const notice = formText(await request.formData(), 'notice');
		await orError(takeDown(locals.app.db, coachIn(locals).id, params.challenge, notice));
		return { down: true };
	}
};

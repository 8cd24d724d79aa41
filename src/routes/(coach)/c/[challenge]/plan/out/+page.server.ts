import {
	revokeCoachCalendarLink,
	hasCoachCalendarLink,
	createCoachCalendarLink,
	subscribers
} from '$lib/server/exports/calendar/links';
import { formText } from '$lib/server/web/form-text';
import { orError, orFail } from '$lib/server/web/http';
import { enrolmentsOf } from '$lib/server/people/enrolments';
import { allAnnouncements, postAnnouncement, removeAnnouncement } from '$lib/server/challenge/announcements';
import { coachIn } from '$lib/server/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge } = await parent();
	const people = await enrolmentsOf(app.db, challenge.id);
	return {
		address: await hasCoachCalendarLink(app.db, challenge.id),
		subscribed: await subscribers(app.db, challenge.id),
		people: people.map(({ id, name }) => ({ id, name })),
		notices: await allAnnouncements(app, challenge.id)
	};
};

export const actions: Actions = {
	make: async ({ locals, params, url }) => {
		const secret = await orError(createCoachCalendarLink(locals.app, coachIn(locals).id, params.challenge));
		return { address: `${url.origin}/calendar/${secret}.ics` };
	},
	end: async ({ locals, params }) => {
		await orError(revokeCoachCalendarLink(locals.app.db, coachIn(locals).id, params.challenge));
		return { ended: true };
	},
	announce: async ({ request, locals, params }) => {
		const form = await request.formData();
		const text = formText(form, 'text');
		const raw = { text, day: Number(formText(form, 'day')) || null };
		const done = await orFail(postAnnouncement(locals.app, coachIn(locals).id, params.challenge, raw), {
			text
		});
		return 'failed' in done ? done.failed : { announced: true };
	},
	removeAnnouncement: async ({ request, locals, params }) => {
		const notice = formText(await request.formData(), 'notice');
		await orError(removeAnnouncement(locals.app.db, coachIn(locals).id, params.challenge, notice));
		return { down: true };
	}
};

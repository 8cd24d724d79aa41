import { peopleIn } from '$lib/server/attendance/of-request';
import {
	revokeCoachCalendarLink,
	hasCoachCalendarLink,
	createCoachCalendarLink,
	subscribers
} from '$lib/server/exports/calendar/links';
import { formText } from '$lib/server/web/form-text';
import { orError, orFail } from '$lib/server/web/http';
import { allAnnouncements, postAnnouncement, removeAnnouncement } from '$lib/server/challenge/announcements';
import { ownChallenge } from '$lib/server/web/own';
import { noteEvent } from '$lib/server/web/security';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge } = await parent();
	const people = await peopleIn(locals, challenge);
	return {
		address: await hasCoachCalendarLink(app.db, challenge.id),
		subscribed: await subscribers(app.db, challenge.id),
		people: people.map(({ id, name }) => ({ id, name })),
		announcements: await allAnnouncements(app, challenge.id)
	};
};

export const actions: Actions = {
	make: async (event) => {
		const secret = await createCoachCalendarLink(event.locals.app, await ownChallenge(event));
		await noteEvent(event, 'calendar-link-made');
		return { address: `${event.url.origin}/calendar/${secret}.ics` };
	},
	end: async (event) => {
		await revokeCoachCalendarLink(event.locals.app.db, await ownChallenge(event));
		await noteEvent(event, 'calendar-link-ended');
		return { ended: true };
	},
	announce: async (event) => {
		const form = await event.request.formData();
		const text = formText(form, 'text');
		const raw = { text, day: Number(formText(form, 'day')) || null };
		const done = await orFail(postAnnouncement(event.locals.app, await ownChallenge(event), raw), { text });
		return 'failed' in done ? done.failed : { announced: true };
	},
	removeAnnouncement: async (event) => {
		const id = formText(await event.request.formData(), 'announcement');
		await orError(removeAnnouncement(event.locals.app.db, await ownChallenge(event), id));
		return { down: true };
	}
};

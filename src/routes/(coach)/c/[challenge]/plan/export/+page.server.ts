import { peopleIn } from '$lib/server/done/attendance/of-request';
import {
	revokeCoachCalendarLink,
	hasCoachCalendarLink,
	createCoachCalendarLink,
	subscribers
} from '$lib/server/edge/exports/calendar/links';
import { ownChallenge } from '$lib/server/edge/web/own';
import { noteEvent } from '$lib/server/edge/web/security';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge } = await parent();
	const people = await peopleIn(locals, challenge);
	return {
		address: await hasCoachCalendarLink(app.db, challenge.id),
		subscribed: await subscribers(app.db, challenge.id),
		people: people.map(({ id, name }) => ({ id, name }))
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
	}
};

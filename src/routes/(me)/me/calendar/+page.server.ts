import { timeOfDay } from '$lib/format';
import { revokePersonCalendarLink, createPersonCalendarLink } from '$lib/server/edge/exports/calendar/links';
import { challengeById, releasePolicyOf } from '$lib/server/records/challenge';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { calendarSettingOf, setHour } from '$lib/server/people/hour';
import { noteEvent } from '$lib/server/edge/web/security';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { enrolmentId, challengeId } = personIn(locals);
	const { trainsAt, subscribed } = await calendarSettingOf(locals.app.db, enrolmentId);
	const { zone, opensAt } = releasePolicyOf(await challengeById(locals.app.db, challengeId));
	return {
		hour: trainsAt === null ? '' : timeOfDay(trainsAt),
		subscribed,
		/** By the person's own clock; null where another zone's clock opens the days. */
		opensAt: zone === null ? timeOfDay(opensAt) : null
	};
};

export const actions: Actions = {
	hour: async ({ request, locals }) => {
		const hour = formText(await request.formData(), 'hour');
		const done = await orFail(setHour(locals.app, personIn(locals).enrolmentId, { hour }));
		return 'failed' in done ? done.failed : { hourSaved: true };
	},
	make: async (event) => {
		const { locals, url } = event;
		const { enrolmentId } = personIn(locals);
		const secret = await createPersonCalendarLink(locals.app, enrolmentId);
		await noteEvent(event, 'calendar-link-made', { enrolmentId });
		return { address: `${url.origin}/calendar/${secret}.ics` };
	},
	end: async (event) => {
		const { enrolmentId } = personIn(event.locals);
		await revokePersonCalendarLink(event.locals.app.db, enrolmentId);
		await noteEvent(event, 'calendar-link-ended', { enrolmentId });
		return { ended: true };
	}
};

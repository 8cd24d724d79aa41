import { redirect } from '@sveltejs/kit';
import { personDays } from '$core/attendance';
import { revokePersonCalendarLink } from '$lib/server/exports/calendar/links';
import { renewLink, revokeLink } from '$lib/server/auth/link';
import { challengeOf, creditPolicyOf } from '$lib/server/challenge/challenge';
import { orError, orFail } from '$lib/server/web/http';
import { checkinsOf } from '$lib/server/attendance/history';
import { changePerson } from '$lib/server/people/change';
import { enrolmentOf, unenrol } from '$lib/server/people/enrolments';
import { excusesOf, unexcuse } from '$lib/server/attendance/excuses';
import { windowsOf } from '$lib/server/day/windows';
import { planIn } from '$lib/server/attendance/of-request';
import { coachIn } from '$lib/server/web/viewer';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async ({ params, parent, locals }) => {
	const { app } = locals;
	const { challenge, asOf } = await parent();
	const person = await orError(enrolmentOf(app.db, challenge.id, params.person));
	const plan = await planIn(locals, challenge);
	const { days, adherence, trend, silent } = personDays(
		plan,
		windowsOf(challenge, person),
		person,
		creditPolicyOf(challenge),
		asOf
	);
	const { strip: _strip, ...shown } = person;
	return {
		person: shown,
		days,
		adherence,
		trend,
		silent,
		checkins: await checkinsOf(app, person.id, asOf),
		excuses: await excusesOf(app, person.id),
		zones: Intl.supportedValuesOf('timeZone')
	};
};

/** The challenge of the address, when it is this coach's. */
const own = ({ locals, params }: RequestEvent) =>
	orError(challengeOf(locals.app.db, coachIn(locals).id, params.challenge));

export const actions: Actions = {
	link: async (event) => {
		await own(event);
		const made = await orFail(renewLink(event.locals.app, coachIn(event.locals).id, event.params.person));
		return 'failed' in made ? made.failed : { link: `${event.url.origin}/join/${made.ok}` };
	},
	revoke: async (event) => {
		await own(event);
		const done = await orFail(revokeLink(event.locals.app, coachIn(event.locals).id, event.params.person));
		return 'failed' in done ? done.failed : { revoked: true };
	},
	endCalendar: async (event) => {
		const challenge = await own(event);
		const { id } = await orError(enrolmentOf(event.locals.app.db, challenge.id, event.params.person));
		await revokePersonCalendarLink(event.locals.app.db, id);
		return { calendarEnded: true };
	},
	change: async (event) => {
		const challenge = await own(event);
		const form = Object.fromEntries(await event.request.formData());
		const done = await orFail(changePerson(event.locals.app, challenge.id, event.params.person, form));
		return 'failed' in done ? done.failed : { changed: true };
	},
	unexcuse: async (event) => {
		const challenge = await own(event);
		const form = await event.request.formData();
		const done = await orFail(
			unexcuse(event.locals.app, challenge.id, event.params.person, Number(form.get('day')))
		);
		return 'failed' in done ? done.failed : { changed: true };
	},
	unenrol: async (event) => {
		const challenge = await own(event);
		const done = await orFail(unenrol(event.locals.app, challenge.id, event.params.person));
		if ('failed' in done) return done.failed;
		redirect(303, `/c/${challenge.id}/people`);
	}
};

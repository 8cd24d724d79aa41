import { error, redirect } from '@sveltejs/kit';
import { recordSets } from '$lib/server/done/attendance/recorded';
import { numberOf } from '$lib/server/platform/errors';
import { openDay } from '$lib/server/done/day/own-day';
import { asPerson } from '$lib/server/records/enrolments';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { ownPerson } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import { readCheckinForm } from '$lib/offline/check-in-form';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

const person = (event: RequestEvent) => ownPerson(event, event.params.person);

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const own = await person(event);
	const found = await orError(openDay(app, asPerson(own), Number(event.params.day)));
	if (!found.session) error(404, 'There is no session on this day.');
	return {
		id: app.ids.uuid(),
		record: { day: found.day, name: found.session.name, asked: found.session.asked, units: own.units },
		person: { id: own.id, name: own.name },
		taken: found.checkin !== null && found.checkin.enteredBy === null
	};
};

export const actions: Actions = {
	default: async (event) => {
		const own = await person(event);
		const form = await event.request.formData();
		const day = await orError(Promise.resolve().then(() => numberOf(event.params.day, 'day')));
		form.set('done', 'part');
		const { sets } = readCheckinForm(form, day);
		const what = {
			id: formText(form, 'id'),
			day,
			sets,
			effort: formText(form, 'effort') || null,
			note: formText(form, 'note') || null
		};
		const done = await orFail(recordSets(event.locals.app, own, coachIn(event.locals).id, what));
		if ('failed' in done) return done.failed;
		redirect(303, `/c/${event.params.challenge}/people/${own.id}`);
	}
};

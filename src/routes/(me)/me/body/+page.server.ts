import { dateIn } from '$core/calendar';
import { keepMeasure, measuresOf, removeMeasure } from '$lib/server/people/body/measures';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	const now = app.clock.now();
	return {
		units: person.units,
		measures: await measuresOf(app.db, person.participantId, now),
		today: dateIn(person.zone, now),
		id: app.ids.uuid(),
		demo: app.demoClock !== null
	};
};

export const actions: Actions = {
	keep: async ({ request, locals }) => {
		const form = await request.formData();
		const raw = {
			id: formText(form, 'id'),
			kind: formText(form, 'kind'),
			value: formText(form, 'value').trim().replace(',', '.'),
			on: formText(form, 'on'),
			source: formText(form, 'source') || 'typed'
		};
		const done = await orFail(keepMeasure(locals.app, personIn(locals), raw), { typed: raw });
		return 'failed' in done ? done.failed : { kept: true };
	},
	remove: async ({ request, locals }) => {
		const id = formText(await request.formData(), 'id');
		await orError(removeMeasure(locals.app, personIn(locals), id));
		return { removed: true };
	}
};

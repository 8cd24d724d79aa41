import { dateIn } from '$core/calendar';
import { tellOk } from '$lib/server/contact/incidents/own-hold';
import { carryOn } from '$lib/server/contact/post/letters';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { sentIn } from '$lib/server/edge/web/uploads';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => ({
	id: locals.app.ids.uuid(),
	today: dateIn(personIn(locals).zone, locals.app.clock.now())
});

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const form = await request.formData();
		const raw = {
			id: formText(form, 'id'),
			who: formText(form, 'who'),
			on: formText(form, 'on'),
			note: formText(form, 'note')
		};
		const done = await orFail(tellOk(locals.app, personIn(locals), raw, sentIn(form, 'file')), {
			typed: raw
		});
		if ('failed' in done) return done.failed;
		await carryOn(locals.app);
		return { told: true };
	}
};

import { reportStop } from '$lib/server/contact/incidents/incidents';
import { carryOn } from '$lib/server/contact/post/letters';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => ({ id: locals.app.ids.uuid() });

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const { app } = locals;
		const form = await request.formData();
		const raw = { id: formText(form, 'id'), sign: formText(form, 'sign'), note: formText(form, 'note') };
		const done = await orFail(reportStop(app, personIn(locals), raw), { note: raw.note });
		if ('failed' in done) return done.failed;
		await carryOn(app);
		return { told: true };
	}
};

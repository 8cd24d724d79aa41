import { standingOf } from '$lib/server/done/day/own-day';
import {
	formChecksOf,
	markFormSeen,
	removeFormCheck,
	sendFormCheck
} from '$lib/server/contact/messages/form-checks';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { sentIn } from '$lib/server/edge/web/uploads';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	const { plan, today } = await standingOf(app, person);
	return {
		checks: await formChecksOf(app.db, person.enrolmentId),
		session: today === null ? null : (plan[today - 1]?.session ?? null)
	};
};

export const actions: Actions = {
	send: async ({ request, locals }) => {
		const form = await request.formData();
		const raw = { exercise: formText(form, 'exercise'), note: formText(form, 'note') };
		const done = await orFail(sendFormCheck(locals.app, personIn(locals), raw, sentIn(form, 'file')), {
			typed: raw
		});
		return 'failed' in done ? done.failed : { sent: true };
	},
	seen: async ({ locals }) => {
		await markFormSeen(locals.app, personIn(locals).enrolmentId);
		return { seen: true };
	},
	remove: async ({ request, locals }) => {
		const id = formText(await request.formData(), 'id');
		await orError(removeFormCheck(locals.app, personIn(locals).enrolmentId, id));
		return { removed: true };
	}
};

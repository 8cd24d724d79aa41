import { markRead, threadOf, writeToCoach } from '$lib/server/messages/messages';
import { mailedOf, setMailed } from '$lib/server/people/mailed';
import { formText } from '$lib/server/web/form-text';
import { orFail } from '$lib/server/web/http';
import { personIn } from '$lib/server/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	return {
		zone: person.zone,
		messages: await threadOf(app.db, person.enrolmentId, app.clock.now()),
		mailed: await mailedOf(app.db, person.participantId),
		/** Of the next message. */
		id: app.ids.uuid()
	};
};

export const actions: Actions = {
	write: async ({ request, locals }) => {
		const form = await request.formData();
		const text = formText(form, 'text');
		const done = await orFail(
			writeToCoach(locals.app, personIn(locals), { id: formText(form, 'id'), text }),
			{
				text
			}
		);
		return 'failed' in done ? done.failed : { sent: true };
	},
	/** Whether they want mail when their coach writes. */
	mail: async ({ request, locals }) => {
		const mailed = (await request.formData()).has('mailed');
		await setMailed(locals.app.db, personIn(locals).participantId, mailed);
		return { mailed };
	},
	/** What the coach wrote has been seen. */
	read: async ({ locals }) => {
		await markRead(locals.app, personIn(locals).enrolmentId, 'coach');
		return { read: true };
	}
};

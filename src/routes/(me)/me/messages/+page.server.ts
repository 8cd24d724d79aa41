import { markRead, threadOf, writeToCoach } from '$lib/server/contact/messages/messages';
import { request as ask, requestsOf, takeBackRequest } from '$lib/server/contact/messages/requests';
import { mailedOf, setMailed } from '$lib/server/people/mailed';
import { carryOn } from '$lib/server/contact/post/letters';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	return {
		zone: person.zone,
		messages: await threadOf(app.db, person.enrolmentId, app.clock.now()),
		mailed: await mailedOf(app.db, person.participantId),
		/** Of the next message. */
		id: app.ids.uuid(),
		requests: await requestsOf(app.db, person.enrolmentId),
		/** Of the next request. */
		requestId: app.ids.uuid()
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
		if ('failed' in done) return done.failed;
		await carryOn(locals.app);
		return { sent: true };
	},
	/** Whether they want mail when their coach writes. */
	mail: async ({ request, locals }) => {
		const mailed = (await request.formData()).has('mailed');
		await setMailed(locals.app.db, personIn(locals).participantId, mailed);
		return { mailed };
	},
	ask: async ({ request, locals }) => {
		const form = await request.formData();
		const raw = {
			id: formText(form, 'id'),
			wants: formText(form, 'wants'),
			area: formText(form, 'area') || null,
			said: formText(form, 'said')
		};
		const done = await orFail(ask(locals.app, personIn(locals), raw), { asking: raw });
		return 'failed' in done ? done.failed : { asked: true };
	},
	takeBack: async ({ request, locals }) => {
		const id = formText(await request.formData(), 'request');
		await orError(takeBackRequest(locals.app.db, personIn(locals), id));
		return { takenBack: true };
	},
	/** What the coach wrote has been seen. */
	read: async ({ locals }) => {
		await markRead(locals.app, personIn(locals).enrolmentId, 'coach');
		return { read: true };
	}
};

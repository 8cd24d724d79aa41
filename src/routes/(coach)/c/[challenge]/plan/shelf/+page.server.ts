import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { sessionsOf } from '$lib/server/training/session/sessions';
import { shelfOf } from '$lib/server/training/shelf/items';
import { putOnShelf, takeOffShelf, takingsBySession } from '$lib/server/done/shelf/shelf';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge } = await parent();
	const shelf = await shelfOf(app.db, challenge.id);
	const taken = await takingsBySession(app.db, challenge.id);
	const there = new Set(shelf.map(({ sessionId }) => sessionId));
	return {
		shelf: shelf.map((item) => ({ ...item, ...(taken.get(item.sessionId) ?? { times: 0, people: 0 }) })),
		others: (await sessionsOf(app.db, challenge.coachId))
			.filter(({ id }) => !there.has(id))
			.map(({ id, name, seconds }) => ({ id, name, seconds }))
	};
};

export const actions: Actions = {
	put: async (event) => {
		const form = await event.request.formData();
		const raw = { sessionId: formText(form, 'sessionId'), counts: form.has('counts') };
		const done = await orFail(putOnShelf(event.locals.app, await ownChallenge(event), raw).then(() => ({})));
		return 'failed' in done ? done.failed : undefined;
	},
	off: async (event) => {
		const id = formText(await event.request.formData(), 'sessionId');
		const done = await orFail(takeOffShelf(event.locals.app, await ownChallenge(event), id).then(() => ({})));
		return 'failed' in done ? done.failed : undefined;
	}
};

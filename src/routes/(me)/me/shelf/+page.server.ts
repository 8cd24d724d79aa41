import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import { ownShelf, takingsOf, untake } from '$lib/server/done/shelf/shelf';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	return {
		shelf: await ownShelf(app, person),
		taken: await takingsOf(app.db, person.enrolmentId, app.clock.now())
	};
};

export const actions: Actions = {
	untake: async ({ request, locals }) => {
		const id = formText(await request.formData(), 'id');
		const done = await orFail(untake(locals.app, personIn(locals), id).then(() => ({})));
		return 'failed' in done ? done.failed : undefined;
	}
};

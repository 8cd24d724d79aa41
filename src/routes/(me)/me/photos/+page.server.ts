import { dateIn } from '$core/calendar';
import { addPicture, picturesOf, removePicture, sharePicture } from '$lib/server/people/body/pictures';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { sentIn } from '$lib/server/edge/web/uploads';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	return {
		pictures: await picturesOf(app.db, person.participantId),
		today: dateIn(person.zone, app.clock.now())
	};
};

export const actions: Actions = {
	add: async ({ request, locals }) => {
		const form = await request.formData();
		const raw = { view: formText(form, 'view'), on: formText(form, 'on'), shared: form.has('shared') };
		const done = await orFail(addPicture(locals.app, personIn(locals), raw, sentIn(form, 'file')));
		return 'failed' in done ? done.failed : { added: true };
	},
	share: async ({ request, locals }) => {
		const form = await request.formData();
		const shared = form.get('shared') === 'yes';
		await orError(sharePicture(locals.app, personIn(locals), formText(form, 'id'), shared));
		return { shared };
	},
	remove: async ({ request, locals }) => {
		const id = formText(await request.formData(), 'id');
		await orError(removePicture(locals.app, personIn(locals), id));
		return { removed: true };
	}
};

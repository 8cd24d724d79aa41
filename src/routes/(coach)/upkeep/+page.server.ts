import { error, fail } from '@sveltejs/kit';
import { CannotStart } from '$lib/server/platform/cannot-start';
import { installation } from '$lib/server/edge/upkeep/state';
import { formText } from '$lib/server/edge/web/form-text';
import { noteEvent } from '$lib/server/edge/web/security';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

/** The installation is looked after by those who were not invited to a challenge of it. */
function operatorIn(locals: App.Locals): void {
	if (!coachIn(locals).operator) error(404, 'There is no such page here.');
}

export const load: PageServerLoad = async ({ locals }) => {
	operatorIn(locals);
	const { app } = locals;
	return { state: await installation(app), jobs: await app.jobs.states(), dead: await app.jobs.dead() };
};

export const actions: Actions = {
	backup: async (event) => {
		operatorIn(event.locals);
		try {
			const backup = await event.locals.app.backUp();
			await noteEvent(event, 'backup-made');
			return { backup };
		} catch (cause) {
			if (!(cause instanceof CannotStart)) throw cause;
			return fail(503, { message: cause.message });
		}
	},
	again: async ({ request, locals }) => {
		operatorIn(locals);
		const id = formText(await request.formData(), 'job');
		if (!(await locals.app.jobs.again(id)))
			return fail(404, { message: 'This job is not among those that were given up any more.' });
		return { again: true };
	}
};

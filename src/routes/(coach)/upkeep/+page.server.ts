import { fail } from '@sveltejs/kit';
import { formText } from '$lib/server/web/form-text';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { jobs } = locals.app;
	return { jobs: await jobs.states(), dead: await jobs.dead() };
};

export const actions: Actions = {
	again: async ({ request, locals }) => {
		const id = formText(await request.formData(), 'job');
		if (!(await locals.app.jobs.again(id)))
			return fail(404, { message: 'This job is not among those that were given up any more.' });
		return { again: true };
	}
};

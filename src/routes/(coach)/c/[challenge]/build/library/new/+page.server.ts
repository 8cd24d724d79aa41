import { redirect } from '@sveltejs/kit';
import { orFail } from '$lib/server/edge/web/http';
import { exerciseFrom } from '$lib/server/edge/forms/exercise-form';
import { createExercise } from '$lib/server/training/exercise/exercises';
import { practiceOwner } from '$lib/server/edge/web/own';
import type { Actions, PageServerLoad } from './$types';

/** `like` begins from an exercise of the library. */
export const load: PageServerLoad = ({ url }) => ({ like: url.searchParams.get('like') });

export const actions: Actions = {
	default: async ({ request, params, locals }) => {
		const typed = exerciseFrom(await request.formData());
		const made = await orFail(createExercise(locals.app, await practiceOwner({ params, locals }), typed), {
			typed
		});
		if ('failed' in made) return made.failed;
		redirect(303, `/c/${params.challenge}/build/library/${encodeURIComponent(String(typed.name).trim())}`);
	}
};

import { fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { yup } from 'sveltekit-superforms/adapters';
import { createChallenge } from '$lib/server/challenges/challenge';
import { usualStart } from '$lib/server/challenges/usual-start';
import { newChallengeSchema } from '$lib/server/challenges/schema';
import { orFail } from '$lib/server/http';
import { layShape } from '$lib/server/plan/shape';
import { coachIn } from '$lib/server/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const coach = coachIn(locals);
	const startsOn = usualStart(coach.zone, locals.app.clock.now());
	return {
		form: await superValidate({ startsOn }, yup(newChallengeSchema), { errors: false }),
		zones: Intl.supportedValuesOf('timeZone')
	};
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const form = await superValidate(request, yup(newChallengeSchema));
		if (!form.valid) return fail(400, { form });
		const made = await orFail(createChallenge(locals.app, coachIn(locals).id, form.data), { form });
		if ('failed' in made) return made.failed;
		if (form.data.shape) {
			const laid = await orFail(layShape(locals.app, coachIn(locals).id, made.ok, form.data.shape), { form });
			if ('failed' in laid) return laid.failed;
		}
		redirect(303, `/c/${made.ok}/plan`);
	}
};

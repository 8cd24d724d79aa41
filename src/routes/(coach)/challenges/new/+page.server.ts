import { fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { yup } from 'sveltekit-superforms/adapters';
import { createChallenge } from '$lib/server/training/challenge/change';
import { challengeOf } from '$lib/server/records/challenge';
import { defaultStart } from '$lib/server/training/challenge/default-start';
import { newChallengeSchema } from '$contracts/challenge';
import { orFail } from '$lib/server/edge/web/http';
import { applyTemplate } from '$lib/server/training/plan/template';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const coach = coachIn(locals);
	const startsOn = defaultStart(coach.zone, locals.app.clock.now());
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
		if (form.data.template) {
			const challenge = await challengeOf(locals.app.db, coachIn(locals).id, made.ok, 'owner');
			const applied = await orFail(applyTemplate(locals.app, challenge, form.data.template), { form });
			if ('failed' in applied) return applied.failed;
		}
		redirect(303, `/c/${made.ok}/plan`);
	}
};

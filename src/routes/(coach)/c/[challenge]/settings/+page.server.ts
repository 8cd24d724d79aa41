import { DEFAULT_HOUSE } from '$core/practice';
import { fail } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { yup } from 'sveltekit-superforms/adapters';
import { changeChallenge } from '$lib/server/training/challenge/change';
import { inputOf } from '$lib/server/records/challenge';
import { spaceIn } from '$lib/server/platform/space';
import { challengeSchema } from '$contracts/challenge';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { healthUntilOf, setHealthUntil } from '$lib/server/people/privacy/health-until';
import { houseOf } from '$lib/server/records/practice';
import { saveHouse } from '$lib/server/training/practice/house';
import { ownChallenge, practiceOwner } from '$lib/server/edge/web/own';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { locals } = event;
	const challenge = await ownChallenge(event);
	return {
		form: await superValidate(inputOf(challenge), yup(challengeSchema)),
		zones: Intl.supportedValuesOf('timeZone'),
		space: {
			used: await spaceIn(locals.app.db, challenge.id),
			most: locals.app.config.space.challenge,
			each: locals.app.config.space.person
		},
		healthUntil: await healthUntilOf(locals.app.db, challenge.id),
		house: await houseOf(locals.app.db, challenge.coachId)
	};
};

export const actions: Actions = {
	challenge: async (event) => {
		const form = await superValidate(event.request, yup(challengeSchema));
		if (!form.valid) return fail(400, { form });
		const changed = await orFail(changeChallenge(event.locals.app, await ownChallenge(event), form.data), {
			form
		});
		return 'failed' in changed ? changed.failed : { form, message: null, saved: true };
	},
	health: async (event) => {
		const raw = Object.fromEntries(await event.request.formData());
		const saved = await orFail(setHealthUntil(event.locals.app, await ownChallenge(event), raw));
		return 'failed' in saved ? saved.failed : { healthSaved: true };
	},
	house: async (event) => {
		const form = await event.request.formData();
		const typed = {
			...Object.fromEntries(Object.keys(DEFAULT_HOUSE).map((name) => [name, formText(form, name)])),
			tempo: formText(form, 'tempo').trim().split('-')
		};
		const saved = await orFail(saveHouse(event.locals.app.db, await practiceOwner(event), typed));
		return 'failed' in saved ? saved.failed : { houseSaved: true };
	}
};

import { fail, redirect } from '@sveltejs/kit';
import { looksAt } from '$lib/server/people/health/looks';
import { changesOf } from '$lib/server/records/health';
import { forget, keptOf, ownDataOf } from '$lib/server/account/privacy/own-data';
import { dropToken } from '$lib/server/edge/web/cookies';
import { formText } from '$lib/server/edge/web/form-text';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	const data = await ownDataOf(app, person.participantId);
	return {
		kept: await keptOf(app.db, person),
		email: typeof data.person.email === 'string' ? data.person.email : '',
		challenges: data.challenges.map(({ name, startsOn, days, results }) => ({
			name,
			startsOn,
			days,
			checkins: results.filter(({ kind }) => kind === 'planned').length
		})),
		looks: await looksAt(app.db, person.participantId),
		changes: await changesOf(app.db, person.participantId, app.clock.now())
	};
};

export const actions: Actions = {
	delete: async ({ request, locals, cookies, url }) => {
		const person = personIn(locals);
		const typed = formText(await request.formData(), 'name').trim();
		if (typed.toLowerCase() !== person.name.toLowerCase())
			return fail(400, { message: `Type ${person.name} to delete it. Nothing was deleted.` });
		await forget(locals.app, person.participantId);
		dropToken(cookies, url, 'person');
		redirect(303, '/sign-in');
	}
};

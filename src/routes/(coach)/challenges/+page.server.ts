import { challengeOf } from '$lib/server/challenge/challenge';
import { removeCoach } from '$lib/server/challenge/coaches';
import { formText } from '$lib/server/web/form-text';
import { orError } from '$lib/server/web/http';
import { coachIn } from '$lib/server/web/viewer';
import type { Actions } from './$types';

export const actions: Actions = {
	/** Ends somebody’s own part in a challenge that they were invited to. */
	leave: async ({ request, locals }) => {
		const { db } = locals.app;
		const { id } = coachIn(locals);
		const wanted = formText(await request.formData(), 'challenge');
		const challenge = await orError(challengeOf(db, id, wanted, 'viewer'));
		await orError(removeCoach({ db }, challenge, id));
	}
};

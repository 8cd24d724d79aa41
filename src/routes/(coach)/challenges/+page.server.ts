import { challengeOf } from '$lib/server/records/challenge';
import { removeCoach } from '$lib/server/training/challenge/coaches';
import { formText } from '$lib/server/edge/web/form-text';
import { orError } from '$lib/server/edge/web/http';
import { coachIn } from '$lib/server/edge/web/viewer';
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

import { answerFormCheck, formChecksIn } from '$lib/server/contact/messages/form-checks';
import { practiceOf } from '$lib/server/records/practice';
import { formText, jsonOf } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { ownChallenge, ownPerson } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import { cuesFor } from '$core/practice';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { db } = event.locals.app;
	const challenge = await ownChallenge(event);
	const { library, house } = await practiceOf(db, challenge.coachId);
	const checks = await formChecksIn(db, challenge.id);
	return {
		checks: checks.map((check) => {
			const exercise = library.find(check.exercise);
			return { ...check, cues: exercise ? cuesFor(exercise, house) : [] };
		})
	};
};

export const actions: Actions = {
	answer: async (event) => {
		const form = await event.request.formData();
		const challenge = await ownChallenge(event);
		const person = await ownPerson(event, formText(form, 'person'));
		const raw = { cue: formText(form, 'cue'), mark: formText(form, 'mark') ? jsonOf(form, 'mark') : null };
		const id = formText(form, 'id');
		const done = await orFail(
			answerFormCheck(event.locals.app, challenge, person, coachIn(event.locals).id, id, raw),
			{ id, cue: raw.cue }
		);
		return 'failed' in done ? done.failed : { answered: true };
	}
};

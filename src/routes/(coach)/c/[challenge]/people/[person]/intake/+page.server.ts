import { intakeOf } from '$lib/server/people/intake';
import { lookAtAnswers } from '$lib/server/people/health/looks';
import { orError } from '$lib/server/edge/web/http';
import { ownPerson } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const person = await ownPerson(event, event.params.person);
	const { sections } = await intakeOf(app.db, person.participantId, app.clock.now());
	// What they said of their health is shown to a coach where it is written down that she looked.
	const { body: _body, health: _health, ...plain } = sections;
	return {
		person: { id: person.id, name: person.name, zone: person.zone, answered: person.answeredAt !== null },
		sections: plain,
		zones: Intl.supportedValuesOf('timeZone'),
		now: app.clock.now()
	};
};

export const actions: Actions = {
	/** All that they answered, to correct it; they see that the coach looked. */
	look: async (event) => {
		const { app } = event.locals;
		const person = await ownPerson(event, event.params.person);
		await orError(lookAtAnswers(app, person, coachIn(event.locals).name));
		return { sections: (await intakeOf(app.db, person.participantId, app.clock.now())).sections };
	}
};

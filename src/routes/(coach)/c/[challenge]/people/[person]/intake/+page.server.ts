import { intakeOf } from '$lib/server/people/intake';
import { ownPerson } from '$lib/server/web/own';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const person = await ownPerson(event, event.params.person);
	const { sections } = await intakeOf(app.db, person.participantId, app.clock.now());
	// What they said of their health is shown to a coach where it is written down that she looked.
	const { body: _body, health: _health, ...plain } = sections;
	return {
		person: { id: person.id, name: person.name, zone: person.zone },
		sections: plain,
		zones: Intl.supportedValuesOf('timeZone'),
		now: app.clock.now()
	};
};

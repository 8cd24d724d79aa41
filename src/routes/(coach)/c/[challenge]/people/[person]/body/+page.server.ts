import { measuresOf } from '$lib/server/people/body/measures';
import { sharedPicturesOf } from '$lib/server/people/body/pictures';
import { weekliesOf } from '$lib/server/people/body/weekly';
import { ownPerson } from '$lib/server/edge/web/own';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { db } = event.locals.app;
	const { asOf } = await event.parent();
	const person = await ownPerson(event, event.params.person);
	return {
		person: { id: person.id, name: person.name, zone: person.zone },
		measures: await measuresOf(db, person.participantId, asOf),
		pictures: await sharedPicturesOf(db, person.participantId),
		weeks: await weekliesOf(db, person.id, asOf)
	};
};

import { readIn } from '$core/kit';
import { sessionAs } from '$lib/server/training/fit/fit';
import { ownChallenge, ownPerson } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const { day, rail } = await event.parent();
	const challenge = await ownChallenge(event);
	const person = await ownPerson(event, event.params.person);
	return {
		person: { id: person.id, name: person.name, level: person.level, answered: person.answeredAt !== null },
		fitDay: day ?? 1,
		as: readIn(await sessionAs(app, challenge, person, day ?? 1), coachIn(event.locals).units),
		training: rail.filter(({ kind }) => kind !== 'rest').map((one) => one.day)
	};
};

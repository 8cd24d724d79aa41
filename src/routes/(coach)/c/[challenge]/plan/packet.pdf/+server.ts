import { coachPacket } from '$lib/server/edge/exports/packet';
import { paperAnswer } from '$lib/server/edge/web/paper';
import { ownChallenge, ownPerson } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

/** `?person=` whose, without it anybody’s; `&ahead=yes` with the days that are not released yet. */
export const GET: RequestHandler = async (event) => {
	const { searchParams } = event.url;
	const id = searchParams.get('person');
	const person = id ? await ownPerson(event, id) : null;
	const ahead = searchParams.get('ahead') === 'yes';
	const packet = await coachPacket(event.locals.app, await ownChallenge(event), person, ahead);
	const name = [packet.challenge, packet.person, 'on paper'].filter(Boolean).join(', ');
	return paperAnswer(event.locals, { kind: 'packet', packet }, `${name}.pdf`);
};

import { readPicture } from '$lib/server/people/body/pictures';
import { shown } from '$lib/server/edge/web/file-in';
import { orError } from '$lib/server/edge/web/http';
import { ownPerson } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

/** A photograph that somebody shares with their coach. */
export const GET: RequestHandler = async (event) => {
	const person = await ownPerson(event, event.params.person);
	const content = await orError(
		readPicture(event.locals.app, person.participantId, event.params.photo, false)
	);
	return shown(content, 'image/jpeg');
};

import { readFormCheck } from '$lib/server/contact/messages/form-checks';
import { shownInPart } from '$lib/server/edge/web/file-in';
import { orError } from '$lib/server/edge/web/http';
import { ownPerson } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

/** A photograph or clip that somebody sent in, for their coach. */
export const GET: RequestHandler = async (event) => {
	const person = await ownPerson(event, event.params.person);
	const { type, content } = await orError(readFormCheck(event.locals.app, person.id, event.params.check));
	return shownInPart(content, type, event.request.headers.get('range'));
};

import { readDocument, TYPES } from '$lib/server/people/health/documents';
import { download } from '$lib/server/edge/web/download';
import { orError } from '$lib/server/edge/web/http';
import { ownPerson } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

/** A paper of somebody, for their coach; always saved, never shown by a page of ours. */
export const GET: RequestHandler = async (event) => {
	const person = await ownPerson(event, event.params.person);
	const { name, kind, content } = await orError(
		readDocument(event.locals.app, person, event.params.document)
	);
	return download(content, name, TYPES[kind]);
};

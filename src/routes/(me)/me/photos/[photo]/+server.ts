import { readPicture } from '$lib/server/people/body/pictures';
import { shown } from '$lib/server/edge/web/file-in';
import { orError } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

/** A photograph of one's own. */
export const GET: RequestHandler = async ({ locals, params }) => {
	const { participantId } = personIn(locals);
	const content = await orError(readPicture(locals.app, participantId, params.photo, true));
	return shown(content, 'image/jpeg');
};

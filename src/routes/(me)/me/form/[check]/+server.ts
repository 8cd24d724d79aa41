import { readFormCheck } from '$lib/server/contact/messages/form-checks';
import { shownInPart } from '$lib/server/edge/web/file-in';
import { orError } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

/** A photograph or clip that one sent in. */
export const GET: RequestHandler = async ({ locals, params, request }) => {
	const { type, content } = await orError(
		readFormCheck(locals.app, personIn(locals).enrolmentId, params.check)
	);
	return shownInPart(content, type, request.headers.get('range'));
};

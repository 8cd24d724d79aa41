import { readFormCheck } from '$lib/server/messages/form-checks';
import { shownInPart } from '$lib/server/web/file-in';
import { orError } from '$lib/server/web/http';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

/** A photograph or clip that one sent in. */
export const GET: RequestHandler = async ({ locals, params, request }) => {
	const { type, content } = await orError(
		readFormCheck(locals.app, personIn(locals).enrolmentId, params.check)
	);
	return shownInPart(content, type, request.headers.get('range'));
};

import { error } from '@sveltejs/kit';
import { orError } from '$lib/server/web/http';
import { sessionJson, sessionText } from '$lib/server/session/session-file';
import { sessionOf } from '$lib/server/session/sessions';
import { download } from '$lib/server/web/download';
import { coachIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

/** A session as it leaves: JSON after the published schema, or readable lines. */
export const GET: RequestHandler = async ({ params, locals }) => {
	const session = await orError(sessionOf(locals.app.db, coachIn(locals).id, params.session));
	if (params.kind === 'json')
		return download(sessionJson(session), `${session.name}.json`, 'application/json');
	if (params.kind === 'txt') return download(sessionText(session), `${session.name}.txt`, 'text/plain');
	error(404, 'There is no such file.');
};

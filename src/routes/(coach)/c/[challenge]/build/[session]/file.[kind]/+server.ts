import { error } from '@sveltejs/kit';
import { practiceOf } from '$lib/server/records/practice';
import { orError } from '$lib/server/edge/web/http';
import { sessionJson, sessionText } from '$lib/server/training/session/session-file';
import { sessionOf } from '$lib/server/training/session/sessions';
import { download } from '$lib/server/edge/web/download';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

/** A session as it leaves: JSON after the published schema, or readable lines. */
export const GET: RequestHandler = async (event) => {
	const { params, locals } = event;
	const { coachId } = await ownChallenge(event);
	const session = await orError(sessionOf(locals.app.db, coachId, params.session));
	const practice = await practiceOf(locals.app.db, coachId);
	if (params.kind === 'json')
		return download(sessionJson(session), `${session.name}.json`, 'application/json');
	if (params.kind === 'txt')
		return download(sessionText(session, practice), `${session.name}.txt`, 'text/plain');
	error(404, 'There is no such file.');
};

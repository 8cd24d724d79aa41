import { paperAnswer } from '$lib/server/web/paper';
import { orError } from '$lib/server/web/http';
import { callSheet } from '$lib/server/session/call-sheet';
import { ownChallenge } from '$lib/server/web/own';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async (event) => {
	const { params, url, locals } = event;
	const { coachId } = await ownChallenge(event);
	const countdowns = url.searchParams.get('countdowns') !== 'no';
	const sheet = await orError(callSheet(locals.app.db, coachId, params.session, countdowns));
	return paperAnswer(locals, { kind: 'call sheet', sheet }, `${sheet.name}, call sheet.pdf`);
};

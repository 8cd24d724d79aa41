import { readIn } from '$core/kit';
import { paperAnswer } from '$lib/server/edge/web/paper';
import { orError } from '$lib/server/edge/web/http';
import { callSheet } from '$lib/server/training/session/call-sheet';
import { ownChallenge } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async (event) => {
	const { params, url, locals } = event;
	const { coachId } = await ownChallenge(event);
	const countdowns = url.searchParams.get('countdowns') !== 'no';
	const sheet = await orError(callSheet(locals.app.db, coachId, params.session, countdowns));
	const read = readIn(sheet, coachIn(locals).units);
	return paperAnswer(locals, { kind: 'call sheet', sheet: read }, `${sheet.name}, call sheet.pdf`);
};

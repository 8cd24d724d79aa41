import { paperAnswer } from '$lib/server/web/paper';
import { orError } from '$lib/server/web/http';
import { callSheet } from '$lib/server/session/call-sheet';
import { coachIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, url, locals }) => {
	const countdowns = url.searchParams.get('countdowns') !== 'no';
	const sheet = await orError(callSheet(locals.app.db, coachIn(locals).id, params.session, countdowns));
	return paperAnswer(locals.app.press, { kind: 'call sheet', sheet }, `${sheet.name}, call sheet.pdf`);
};

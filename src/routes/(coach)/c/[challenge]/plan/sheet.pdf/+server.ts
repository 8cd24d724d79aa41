import { pdfOf } from '$lib/server/exports/pdf/pdf';
import { challengeSheet } from '$lib/server/exports/plan-sheet';
import { download } from '$lib/server/web/download';
import { ownChallenge } from '$lib/server/web/own';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async (event) => {
	const sheet = await challengeSheet(event.locals.app, await ownChallenge(event));
	return download(await pdfOf({ kind: 'plan sheet', sheet }), `${sheet.name}, plan.pdf`, 'application/pdf');
};

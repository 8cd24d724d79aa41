import { download } from '$lib/server/download';
import { orError } from '$lib/server/http';
import { planSheetPdf } from '$lib/server/pdf/plan-sheet-pdf';
import { challengeSheet } from '$lib/server/plan/sheet';
import { coachIn } from '$lib/server/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
	const sheet = await orError(challengeSheet(locals.app, coachIn(locals).id, params.challenge));
	return download(await planSheetPdf(sheet), `${sheet.name}, plan.pdf`, 'application/pdf');
};

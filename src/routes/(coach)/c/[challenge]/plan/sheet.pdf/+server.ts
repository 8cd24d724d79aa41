import { download } from '$lib/server/web/download';
import { orError } from '$lib/server/web/http';
import { planSheetPdf } from '$lib/server/exports/pdf/plan-sheet-pdf';
import { challengeSheet } from '$lib/server/exports/plan-sheet';
import { coachIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
	const sheet = await orError(challengeSheet(locals.app, coachIn(locals).id, params.challenge));
	return download(await planSheetPdf(sheet), `${sheet.name}, plan.pdf`, 'application/pdf');
};

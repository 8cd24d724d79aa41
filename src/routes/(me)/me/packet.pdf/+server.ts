import { ownPacket } from '$lib/server/exports/packet';
import { pdfOf } from '$lib/server/exports/pdf/pdf';
import { download } from '$lib/server/web/download';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) => {
	const packet = await ownPacket(locals.app, personIn(locals));
	return download(
		await pdfOf({ kind: 'packet', packet }),
		`${packet.challenge}, on paper.pdf`,
		'application/pdf'
	);
};

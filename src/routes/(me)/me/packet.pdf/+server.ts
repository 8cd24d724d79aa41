import { download } from '$lib/server/web/download';
import { packetPdf } from '$lib/server/exports/pdf/packet-pdf';
import { ownPacket } from '$lib/server/exports/packet';
import { personIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) => {
	const { challengeId, enrolmentId } = personIn(locals);
	const packet = await ownPacket(locals.app, challengeId, enrolmentId);
	return download(await packetPdf(packet), `${packet.challenge}, on paper.pdf`, 'application/pdf');
};

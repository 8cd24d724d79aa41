import { download } from '$lib/server/download';
import { packetPdf } from '$lib/server/pdf/packet-pdf';
import { ownPacket } from '$lib/server/plan/packet';
import { personIn } from '$lib/server/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) => {
	const { challengeId, enrolmentId } = personIn(locals);
	const packet = await ownPacket(locals.app, challengeId, enrolmentId);
	return download(await packetPdf(packet), `${packet.challenge}, on paper.pdf`, 'application/pdf');
};

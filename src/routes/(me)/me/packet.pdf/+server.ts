import { ownPacket } from '$lib/server/edge/exports/packet';
import { paperAnswer } from '$lib/server/edge/web/paper';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) => {
	const packet = await ownPacket(locals.app, personIn(locals));
	return paperAnswer(locals, { kind: 'packet', packet }, `${packet.challenge}, on paper.pdf`);
};

import { challengeSheet } from '$lib/server/edge/exports/plan-sheet';
import { paperAnswer } from '$lib/server/edge/web/paper';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async (event) => {
	const sheet = await challengeSheet(event.locals.app, await ownChallenge(event));
	return paperAnswer(event.locals, { kind: 'plan sheet', sheet }, `${sheet.name}, plan.pdf`);
};

import { postAnswers, putSection } from '$lib/server/edge/forms/intake-request';
import { ownPerson } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

/** Keeps one section of what a coach fills in for somebody. */
export const PUT: RequestHandler = async (event) => {
	const { participantId } = await ownPerson(event, event.params.person);
	return putSection(event.locals.app, participantId, event.request);
};

/** Takes all of it. */
export const POST: RequestHandler = async (event) => {
	const { participantId } = await ownPerson(event, event.params.person);
	return postAnswers(event.locals.app, participantId, 'coach', event.request);
};

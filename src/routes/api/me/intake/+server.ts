import { postAnswers, putSection } from '$lib/server/edge/forms/intake-request';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

/** Keeps one section of the answers. */
export const PUT: RequestHandler = ({ request, locals }) =>
	putSection(locals.app, personIn(locals).participantId, request);

/** Takes all of them. */
export const POST: RequestHandler = ({ request, locals }) =>
	postAnswers(locals.app, personIn(locals).participantId, 'participant', request);

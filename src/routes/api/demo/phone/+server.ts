import { error } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A phone at the simulated push service, for a participant of the demo. */
export const POST: RequestHandler = async ({ locals }) => {
	const { push, pushStandIn } = locals.app;
	if (!pushStandIn || !(await locals.visitor.person())) error(404, 'There is no such page here.');
	return Response.json(pushStandIn.subscribe(push.publicKey));
};

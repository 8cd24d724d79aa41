import { ownDataOf } from '$lib/server/account/privacy/own-data';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

/** Everything that is kept of somebody, as a file. */
export const GET: RequestHandler = async ({ locals }) => {
	const data = await ownDataOf(locals.app, personIn(locals).participantId);
	return new Response(JSON.stringify(data, null, '\t'), {
		headers: {
			'content-type': 'application/json',
			'content-disposition': 'attachment; filename="my-data.json"',
			'cache-control': 'no-store'
		}
	});
};

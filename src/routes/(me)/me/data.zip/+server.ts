import { ownFilesOf } from '$lib/server/account/privacy/own-files';
import { personIn } from '$lib/server/edge/web/viewer';
import type { RequestHandler } from './$types';

/** Everything that is kept of somebody, with their photographs and clips. */
export const GET: RequestHandler = async ({ locals }) =>
	new Response(await ownFilesOf(locals.app, personIn(locals).participantId), {
		headers: {
			'content-type': 'application/zip',
			'content-disposition': 'attachment; filename="my-data.zip"',
			'cache-control': 'no-store'
		}
	});

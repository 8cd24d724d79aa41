import { bundleText } from '$lib/server/bundle/bundle';
import { bundleOf } from '$lib/server/bundle/put-out';
import { download } from '$lib/server/download';
import { orError } from '$lib/server/http';
import { coachIn } from '$lib/server/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
	const bundle = await orError(bundleOf(locals.app, coachIn(locals).id, params.challenge));
	return download(bundleText(bundle), `${bundle.name}.json`, 'application/json');
};

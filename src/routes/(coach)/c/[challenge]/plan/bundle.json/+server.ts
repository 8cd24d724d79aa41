import { bundleText } from '$lib/server/exports/bundle/bundle';
import { exportBundle } from '$lib/server/exports/bundle/export-bundle';
import { download } from '$lib/server/web/download';
import { orError } from '$lib/server/web/http';
import { coachIn } from '$lib/server/web/viewer';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) => {
	const bundle = await orError(exportBundle(locals.app, coachIn(locals).id, params.challenge));
	return download(bundleText(bundle), `${bundle.name}.json`, 'application/json');
};

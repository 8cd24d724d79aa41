import { bundleText } from '$lib/server/edge/exports/bundle/bundle';
import { exportBundle } from '$lib/server/edge/exports/bundle/export-bundle';
import { download } from '$lib/server/edge/web/download';
import { ownChallenge } from '$lib/server/edge/web/own';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async (event) => {
	const bundle = await exportBundle(event.locals.app, await ownChallenge(event));
	return download(bundleText(bundle), `${bundle.name}.json`, 'application/json');
};

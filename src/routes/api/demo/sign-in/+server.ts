import { error } from '@sveltejs/kit';
import { DEMO_HELPERS } from '$demo/company';
import { DEMO_COACH, type DemoStamp } from '$demo/seed';
import { readSetting } from '$lib/server/platform/settings';
import type { RequestHandler } from './$types';

/** How to get into the demo; there is nothing of it outside the demo. */
export const GET: RequestHandler = async ({ locals }) => {
	const stamp = locals.app.config.demo ? await readSetting<DemoStamp>(locals.app.db, 'demo') : null;
	if (!stamp) error(404, 'There is no such page here.');
	const helpers = DEMO_HELPERS.map(({ email, role }) => ({ email, role }));
	return Response.json({ ...DEMO_COACH, links: stamp.links, helpers });
};

import { personIn } from '$lib/server/web/viewer';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => {
	const { name, zone } = personIn(locals);
	return { name, zone, now: locals.app.clock.now() };
};

import { personIn } from '$lib/server/edge/web/viewer';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = ({ locals }) => {
	const { name, zone, units, enrolmentId } = personIn(locals);
	return { name, zone, units, enrolment: enrolmentId, now: locals.app.clock.now() };
};

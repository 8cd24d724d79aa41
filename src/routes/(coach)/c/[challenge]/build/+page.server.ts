import { sessionsOf } from '$lib/server/training/session/sessions';
import { planIn } from '$lib/server/done/attendance/of-request';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { challenge } = await parent();
	const { db } = locals.app;
	const plan = await planIn(locals, challenge);
	const sessions = await sessionsOf(db, challenge.coachId);
	return {
		sessions: sessions.map(({ id, name, tags, version, seconds, savedAt, body }) => ({
			id,
			name,
			tags,
			version,
			seconds,
			savedAt,
			blocks: body.blocks.length,
			days: plan.filter((day) => day.sessionId === id).map((day) => day.day)
		}))
	};
};

import { openingsOf } from '$lib/server/desk/desk';
import { orFail } from '$lib/server/http';
import { enrolmentsOf } from '$lib/server/people/enrolments';
import { layDays } from '$lib/server/plan/plan';
import { sessionsOf } from '$lib/server/sessions/sessions';
import { planIn } from '$lib/server/roll/of-request';
import { coachIn } from '$lib/server/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge, day } = await parent();
	const plan = await planIn(locals, challenge);
	const sessions = await sessionsOf(app.db, challenge.coachId);
	const people = await enrolmentsOf(app.db, challenge.id);
	const shown = day ?? 1;
	return {
		plan,
		sessions: sessions.map(({ id, name, version, seconds }) => ({ id, name, version, seconds })),
		shown,
		openings: openingsOf(challenge, people, shown)
	};
};

export const actions: Actions = {
	lay: async ({ request, locals, params }) => {
		const form = await request.formData();
		const raw = {
			days: form.getAll('day').map(Number),
			kind: form.get('kind'),
			sessionId: form.get('session') || null
		};
		const laid = await orFail(layDays(locals.app, coachIn(locals).id, params.challenge, raw));
		return 'failed' in laid ? laid.failed : { laid: raw.days.length };
	}
};

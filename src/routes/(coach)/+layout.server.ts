import { challengesOf } from '$lib/server/records/challenge';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals }) => {
	const coach = coachIn(locals);
	const { app } = locals;
	const challenges = await challengesOf(app.db, coach.id, 'viewer');
	return {
		coach: {
			id: coach.id,
			name: coach.name,
			email: coach.email,
			zone: coach.zone,
			operator: coach.operator,
			units: coach.units
		},
		now: app.clock.now(),
		demo: app.demoClock ? { moved: app.demoClock.moved } : null,
		challenges: challenges.map(({ id, name, startsOn, days, people, role }) => ({
			id,
			name,
			startsOn,
			days,
			people,
			role
		}))
	};
};

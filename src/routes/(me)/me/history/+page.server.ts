import { dayTally } from '$core/attendance';
import { bestsOf } from '$core/progress';
import { standingOf } from '$lib/server/done/day/own-day';
import { pastDaysOf } from '$lib/server/done/progress/done-days';
import { personIn } from '$lib/server/edge/web/viewer';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	const { days, extras } = await standingOf(app, person);
	const past = await pastDaysOf(app, person);
	return {
		days: days.map(({ state, credit, pain }) => ({ state, credit, pain })),
		tally: dayTally(days, extras.credit),
		bests: bestsOf(past),
		past: past
			.map(({ id, day, at, again, name, credit, effort, seconds }) => ({
				...{ id, day, at, again, name, credit, effort, seconds }
			}))
			.reverse(),
		units: person.units
	};
};

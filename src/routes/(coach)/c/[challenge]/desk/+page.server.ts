import { houseOf } from '$lib/server/practice/practice';
import { adherence } from '$core/attendance';
import { cameIn, heldOf, openingsOf, silentOf, stillOpenOf } from '$lib/server/desk/desk';
import { planIn, rollIn } from '$lib/server/attendance/of-request';
import type { PageServerLoad } from './$types';

const DAY_MS = 86_400_000;
/** Days that are shown of somebody to reach. */
const RECENT = 14;

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge, asOf, day } = await parent();
	const plan = await planIn(locals, challenge);
	const { rows } = await rollIn(locals, challenge, asOf);
	const house = await houseOf(app.db, challenge.coachId);
	const until = day ?? RECENT;
	const since = Math.max(0, until - RECENT);
	const silent = silentOf(rows, house).map(({ person, days, silent, adherence }) => ({
		id: person.id,
		name: person.name,
		zone: person.zone,
		lastSeen: person.lastSeen,
		days: days.slice(since, until).map(({ state, credit, pain }) => ({ state, credit, pain })),
		silent,
		adherence
	}));
	const weekTo = (last: number) =>
		adherence(rows.flatMap(({ days }) => days.slice(Math.max(0, last - 7), Math.max(0, last))));
	return {
		stillOpen: stillOpenOf(rows, asOf),
		week: day === null ? null : weekTo(day),
		weekBefore: day === null || day <= 7 ? null : weekTo(day - 7),
		planned: day === null ? null : (plan[day - 1] ?? null),
		next: plan.slice(day ?? 0, (day ?? 0) + 2),
		openings: day === null ? [] : openingsOf(rows, day),
		people: rows.length,
		held: heldOf(rows, asOf),
		silent,
		silentFrom: house.silentFrom,
		firstShown: since + 1,
		cameIn: await cameIn(app.db, challenge.id, asOf - DAY_MS, asOf)
	};
};

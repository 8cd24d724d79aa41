import { DAY_MS } from '$core/calendar';
import { rollIn } from '$lib/server/done/attendance/of-request';
import { matesOf } from '$lib/server/done/attendance/mates';
import { saveTeams, teamsOf } from '$lib/server/people/teams';
import { formText, jsonOf } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import { timeIn } from '$lib/format';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { locals } = event;
	const { app } = locals;
	const challenge = await ownChallenge(event);
	const { asOf, coach } = await event.parent();
	const { rows } = await rollIn(locals, challenge, asOf);
	const people = new Map(rows.map(({ person }) => [person.id as string, person]));
	const midnight = asOf - (asOf % DAY_MS);
	return {
		...(await teamsOf(app.db, challenge.id)),
		members: matesOf(challenge, rows, asOf).map((mate) => ({
			...mate,
			name: people.get(mate.id)?.name ?? '',
			zone: people.get(mate.id)?.zone ?? '',
			hour: timeIn(coach.zone, midnight + mate.trains * 60_000)
		}))
	};
};

export const actions: Actions = {
	save: async (event) => {
		const form = await event.request.formData();
		const raw = {
			revision: Number(formText(form, 'revision')),
			...(jsonOf(form, 'draft') as object | null)
		};
		const done = await orFail(saveTeams(event.locals.app, await ownChallenge(event), raw));
		return 'failed' in done ? done.failed : { saved: true };
	}
};

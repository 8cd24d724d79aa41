import { fail } from '@sveltejs/kit';
import { isFading, isSilent, packDays, withoutHealth } from '$core/attendance';
import { formText } from '$lib/server/web/form-text';
import { orFail } from '$lib/server/web/http';
import { excuse } from '$lib/server/attendance/excuses';
import { rollIn } from '$lib/server/attendance/of-request';
import { houseOf } from '$lib/server/practice/practice';
import { teamsIn } from '$lib/server/people/teams';
import { ownChallenge, ownPerson } from '$lib/server/web/own';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { challenge, asOf } = await parent();
	const { rows, group, totals } = await rollIn(locals, challenge, asOf);
	const house = await houseOf(locals.app.db, challenge.coachId);
	const teams = await teamsIn(locals.app.db, challenge.id);
	return {
		teams,
		group,
		totals,
		rows: rows.map(({ person, days, adherence, extras, trend, silent }) => ({
			id: person.id,
			name: person.name,
			zone: person.zone,
			level: person.level,
			team: person.team,
			fromDay: person.fromDay,
			lastSeen: person.lastSeen !== null && person.lastSeen <= asOf ? person.lastSeen : null,
			days: packDays(challenge.role === 'viewer' ? withoutHealth(days) : days),
			adherence,
			extras: extras.taken,
			trend,
			fading: isFading({ trend }, house),
			silent,
			isSilent: isSilent({ silent }, house)
		}))
	};
};

export const actions: Actions = {
	excuse: async (event) => {
		const form = await event.request.formData();
		const challenge = await ownChallenge(event);
		const person = await ownPerson(event, formText(form, 'person'));
		const from = Number(form.get('from'));
		const to = Number(form.get('to') || form.get('from'));
		if (!(from >= 1 && to >= from && to <= challenge.days))
			return fail(400, {
				message: `Days go from 1 to ${challenge.days}, the first before the last.`,
				faults: []
			});
		const days = Array.from({ length: to - from + 1 }, (_, i) => from + i);
		const done = await orFail(excuse(event.locals.app, person, { days, reason: form.get('reason') }));
		return 'failed' in done ? done.failed : { excused: days.length };
	}
};

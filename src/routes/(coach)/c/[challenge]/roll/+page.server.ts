import { isFading, isSilent, packDays, withoutHealth } from '$core/attendance';
import { formText, spanIn } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { excuseSpan } from '$lib/server/done/attendance/excuses';
import { rollIn } from '$lib/server/done/attendance/of-request';
import { houseOf } from '$lib/server/records/practice';
import { teamsIn } from '$lib/server/people/teams';
import { ownChallenge, ownPerson } from '$lib/server/edge/web/own';
import { recordIn, takeBackIn } from '$lib/server/edge/forms/record-form';
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
		rows: rows.map(({ person, days, adherence, extras, trend, silent, lastSeen }) => ({
			id: person.id,
			name: person.name,
			zone: person.zone,
			level: person.level,
			team: person.team,
			fromDay: person.fromDay,
			lastSeen,
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
		const done = await orFail(excuseSpan(event.locals.app, challenge, person, spanIn(form)));
		return 'failed' in done ? done.failed : { excused: true };
	},
	record: (event) => recordIn(event),
	takeBackRecorded: (event) => takeBackIn(event)
};

import { redirect } from '@sveltejs/kit';
import { looksAt } from '$lib/server/people/health/looks';
import { intakeOf, isConsentTold, nothingChanged, ownScreening } from '$lib/server/people/intake';
import { orError } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { participantId, enrolmentId } = personIn(locals);
	const { app } = locals;
	const { sections, answeredAt } = await intakeOf(app.db, participantId, app.clock.now());
	return {
		looks: await looksAt(app.db, participantId),
		screening: await ownScreening(app, participantId),
		sections,
		answeredAt,
		told: await isConsentTold(app.db, participantId),
		keptAs: enrolmentId,
		zones: Intl.supportedValuesOf('timeZone')
	};
};

export const actions: Actions = {
	same: async ({ locals }) => {
		await orError(nothingChanged(locals.app, personIn(locals).participantId));
		redirect(303, '/me');
	}
};

import { fail } from '@sveltejs/kit';
import { notReleasedOf, openingsOf } from '$lib/server/contact/desk/desk';
import { formText, jsonOf } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { ownExercises } from '$lib/server/records/library';
import { minutesOf, TEMPLATES } from '$core/plan';
import type { Practice } from '$core/practice';
import { houseOf, practiceOf } from '$lib/server/records/practice';
import {
	excusedTogether,
	restoreDays,
	takeDaysOff,
	unexcuseTogether
} from '$lib/server/training/plan/days-off';
import { openPlan, savePlan } from '$lib/server/training/plan/plan';
import { applyTemplate } from '$lib/server/training/plan/template';
import { buildTestSession } from '$lib/server/training/plan/benchmark-session';
import { planIn, rollIn } from '$lib/server/done/attendance/of-request';
import { ownChallenge, practiceOwner } from '$lib/server/edge/web/own';
import type { Actions, PageServerLoad } from './$types';

const templateMinutes = (practice: Practice) =>
	Object.fromEntries(TEMPLATES.map((one) => [one.key, minutesOf(one, practice)]));

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge, day, asOf } = await parent();
	const { rows } = await rollIn(locals, challenge, asOf);
	const shown = day ?? 1;
	const days = await planIn(locals, challenge);
	const sessionsLaid = days.filter(({ sessionId }) => sessionId !== null).length;
	const house = await houseOf(app.db, challenge.coachId);
	return {
		...(await openPlan(app, challenge)),
		own: await ownExercises(app.db, challenge.coachId),
		house,
		shown,
		released: days[shown - 1] ?? null,
		cancelled: days.flatMap(({ day: d, cancelled }) => (cancelled === null ? [] : [[d, cancelled] as const])),
		people: rows.length,
		sessionsLaid,
		/** Minutes that the sessions of each template take, while there is a template to choose. */
		templateMinutes: sessionsLaid > 0 ? {} : templateMinutes(await practiceOf(app.db, challenge.coachId)),
		excused: await excusedTogether(app.db, challenge.id),
		openings: openingsOf(rows, shown, asOf),
		notReleased: notReleasedOf(rows, shown, asOf)
	};
};

export const actions: Actions = {
	save: async (event) => {
		const form = await event.request.formData();
		const plan = jsonOf(form, 'plan');
		if (plan === null) return fail(400, { message: 'The plan did not arrive whole; save it once more.' });
		const saved = await orFail(
			savePlan(event.locals.app, await ownChallenge(event), {
				revision: Number(formText(form, 'revision')),
				plan
			})
		);
		return 'failed' in saved ? saved.failed : { saved: true };
	},
	daysOff: async (event) => {
		const form = await event.request.formData();
		const raw = {
			how: formText(form, 'how'),
			days: form.getAll('day').map(Number),
			reason: formText(form, 'reason'),
			tell: form.has('tell')
		};
		return daysOff(takeDaysOff(event.locals.app, await ownChallenge(event), raw));
	},
	template: async (event) => {
		const template = formText(await event.request.formData(), 'template');
		const done = await orFail(applyTemplate(event.locals.app, await ownChallenge(event), template), {
			of: 'template'
		});
		return 'failed' in done ? done.failed : { applied: true };
	},
	testSession: async (event) => {
		const form = await event.request.formData();
		const made = await orFail(
			(async () => buildTestSession(event.locals.app, await practiceOwner(event), jsonOf(form, 'tests')))()
		);
		return 'failed' in made ? made.failed : { built: made.ok };
	},
	restore: async (event) => {
		const days = (await event.request.formData()).getAll('day').map(Number);
		return daysOff(restoreDays(event.locals.app, await ownChallenge(event), { days }));
	},
	unexcuse: async (event) => {
		const form = await event.request.formData();
		const raw = { day: Number(formText(form, 'day')), reason: formText(form, 'reason') };
		return daysOff(unexcuseTogether(event.locals.app, await ownChallenge(event), raw));
	}
};

/** Days off are answered in their own panel. */
async function daysOff(work: Promise<void>) {
	const done = await orFail(work, { of: 'days off' });
	return 'failed' in done ? done.failed : { daysOff: true };
}

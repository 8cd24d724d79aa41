import { fail, redirect } from '@sveltejs/kit';
import { object, string } from 'yup';
import { isDate, weekdayOf } from '$core/calendar';
import type { Bundle } from '$lib/server/edge/exports/bundle/bundle';
import { bundleText } from '$lib/server/edge/exports/bundle/bundle';
import { exportBundle } from '$lib/server/edge/exports/bundle/export-bundle';
import { LARGEST_BUNDLE } from '$lib/server/edge/exports/bundle/read-bundle';
import { planImport, importBundle } from '$lib/server/edge/exports/bundle/import-bundle';
import { challengeOf } from '$lib/server/records/challenge';
import { defaultStart } from '$lib/server/training/challenge/default-start';
import { Refusal } from '$lib/server/platform/errors';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { practiceOf } from '$lib/server/records/practice';
import { givenIn } from '$lib/server/edge/web/given';
import { plainOf } from '$core/practice';
import { validate } from '$lib/server/platform/validate';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** What a coach sees of a bundle before she takes it in. */
async function lookAt(locals: App.Locals, bundle: Bundle, text: string, unknown: string[], again: boolean) {
	const coach = coachIn(locals);
	const taking = await planImport(locals.app, coach.id, bundle);
	const weekday = weekdayOf(bundle.frame.startsOn);
	return {
		text,
		name: again ? `${bundle.name}, again`.slice(0, 80) : bundle.name,
		goal: bundle.goal,
		startsOn: defaultStart(coach.zone, locals.app.clock.now(), weekday),
		weekday,
		days: bundle.plan.days.length,
		works: bundle.plan.days.filter(({ kind }) => kind !== 'rest').length,
		rules: bundle.plan.rules.length,
		tests: bundle.plan.tests.map(({ name }) => name),
		messages: bundle.messages.length,
		sessions: bundle.sessions.map(({ key, name }) => ({ was: name, ...taking.sessions.get(key) })),
		exercises: [...taking.exercises].map(([was, now]) => ({ was, ...now })),
		unknown
	};
}

export const load: PageServerLoad = async ({ url, locals }) => {
	const from = url.searchParams.get('from');
	if (!from) return { look: null };
	const challenge = await orError(challengeOf(locals.app.db, coachIn(locals).id, from, 'coach'));
	const bundle = await exportBundle(locals.app, challenge);
	return { look: await lookAt(locals, bundle, bundleText(bundle), [], true) };
};

async function read({ request, locals }: RequestEvent) {
	const form = await request.formData();
	const given = await givenIn(form, 'text');
	const coach = coachIn(locals);
	const practice = plainOf(await practiceOf(locals.app.db, coach.id));
	const found = await locals.app.threads.run('bundle', { given, practice }, coach.id, locals.gone);
	return { form, text: found.text, read: found };
}

const asSchema = object({
	name: string().trim().max(80, 'a name has at most 80 letters').required('a challenge needs a name'),
	startsOn: string()
		.test('date', 'this is no day of the calendar', (date) => !date || isDate(date))
		.required('choose the day on which it starts')
});

export const actions: Actions = {
	look: async (event) => {
		try {
			const { text, read: found } = await read(event);
			if (!found.bundle) return fail(400, { text: text.slice(0, LARGEST_BUNDLE), faults: found.faults });
			return { look: await lookAt(event.locals, found.bundle, text, found.unknown, false) };
		} catch (refusal) {
			if (!(refusal instanceof Refusal)) throw refusal;
			return fail(refusal.status, { message: refusal.message });
		}
	},
	take: async (event) => {
		const done = await orFail(read(event));
		if ('failed' in done) return done.failed;
		const { form, text, read: found } = done.ok;
		const { bundle } = found;
		if (!bundle) return fail(400, { text, faults: found.faults });
		const { app } = event.locals;
		const typed = { name: formText(form, 'name'), startsOn: formText(form, 'startsOn') };
		const look = { ...(await lookAt(event.locals, bundle, text, found.unknown, false)), ...typed };
		const made = await orFail(
			(async () => importBundle(app, coachIn(event.locals).id, bundle, validate(asSchema, typed)))(),
			{ look }
		);
		if ('failed' in made) return made.failed;
		redirect(303, `/c/${made.ok}/plan`);
	}
};

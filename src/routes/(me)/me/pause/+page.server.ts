import { redirect } from '@sveltejs/kit';
import { dateOfDay } from '$core/calendar';
import { standingOf } from '$lib/server/done/day/own-day';
import { endOwnPause, leaveOwn, ownPauses, pauseOwnDays } from '$lib/server/contact/messages/own-leave';
import { carryOn } from '$lib/server/contact/post/letters';
import { dropToken } from '$lib/server/edge/web/cookies';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const { app } = locals;
	const person = personIn(locals);
	const standing = await standingOf(app, person);
	const today = standing.today ?? 1;
	return {
		/** Of the message that tells the coach. */
		id: app.ids.uuid(),
		days: standing.days
			.filter(({ day }) => day >= today)
			.map(({ day }) => ({ day, date: dateOfDay(day, standing.challenge.startsOn, standing.shiftDays) })),
		pauses: await ownPauses(app, person, today)
	};
};

export const actions: Actions = {
	pause: async ({ request, locals }) => {
		const { app } = locals;
		const person = personIn(locals);
		const form = await request.formData();
		const raw = {
			id: formText(form, 'id'),
			fromDay: formText(form, 'fromDay'),
			toDay: formText(form, 'toDay'),
			reason: formText(form, 'reason')
		};
		const done = await orFail(pauseOwnDays(app, person, await standingOf(app, person), raw), { typed: raw });
		if ('failed' in done) return done.failed;
		await carryOn(app);
		return { paused: true };
	},
	end: async ({ request, locals }) => {
		const id = formText(await request.formData(), 'pause');
		await orError(endOwnPause(locals.app, personIn(locals), id));
		return { ended: true };
	},
	leave: async ({ request, locals, cookies, url }) => {
		const form = await request.formData();
		const raw = { id: formText(form, 'id'), sure: form.has('sure'), reason: formText(form, 'reason') };
		const done = await orFail(leaveOwn(locals.app, personIn(locals), raw), { leaving: raw });
		if ('failed' in done) return done.failed;
		await carryOn(locals.app);
		dropToken(cookies, url, 'person');
		redirect(303, '/sign-in');
	}
};

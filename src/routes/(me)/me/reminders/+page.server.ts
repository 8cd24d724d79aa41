import { timeOfDay } from '$lib/format';
import { groupNow } from '$lib/server/training/challenge/group';
import { calendarSettingOf } from '$lib/server/people/hour';
import { hashToken } from '$lib/server/platform/ids';
import { choose, REMINDERS, remindersOf, turnOff, turnOn } from '$lib/server/contact/post/reminders';
import { postSettingsOf } from '$lib/server/contact/post/settings';
import { tokenIn } from '$lib/server/edge/web/cookies';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { personIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** The sign-in of this device, as it is stored. */
const loginOf = ({ cookies, url }: Pick<RequestEvent, 'cookies' | 'url'>): string =>
	hashToken(tokenIn(cookies, url, 'person') ?? '');

const choiceIn = (form: FormData) => ({ sessions: form.has('sessions'), messages: form.has('messages') });

export const load: PageServerLoad = async ({ locals, cookies, url }) => {
	const { app } = locals;
	const { enrolmentId, challengeId } = personIn(locals);
	const { challenge } = await groupNow(app, challengeId);
	const { quietFrom, quietTo } = await postSettingsOf(app.db, challenge.coachId);
	const { trainsAt } = await calendarSettingOf(app.db, enrolmentId);
	const choice = await remindersOf(app.db, loginOf({ cookies, url }));
	return {
		publicKey: app.push.publicKey,
		choice: choice && { sessions: choice.sessions, messages: choice.messages },
		hour: trainsAt === null ? null : timeOfDay(trainsAt),
		quiet: quietFrom === quietTo ? null : { from: quietFrom, to: quietTo },
		/** Of the simulated push service: what has arrived at this phone, or null with a real service. */
		arrived:
			app.pushStandIn &&
			app.pushStandIn.arrivedAt(choice?.endpoint ?? '').map(({ at, payload }) => ({
				at,
				notice: JSON.parse(payload) as { title: string; body: string; stop: string }
			}))
	};
};

export const actions: Actions = {
	on: async (event) => {
		const { locals, request } = event;
		const form = await request.formData();
		const raw = {
			endpoint: formText(form, 'endpoint'),
			p256dh: formText(form, 'p256dh'),
			auth: formText(form, 'auth'),
			...choiceIn(form)
		};
		const done = await orFail(turnOn(locals.app, personIn(locals), loginOf(event), raw));
		if ('failed' in done) return done.failed;
		await locals.app.jobs.send(locals.app.db, REMINDERS, {});
		return { on: true };
	},
	choose: async (event) => {
		const form = await event.request.formData();
		const done = await orFail(choose(event.locals.app, loginOf(event), choiceIn(form)));
		return 'failed' in done ? done.failed : { saved: true };
	},
	off: async (event) => {
		await turnOff(event.locals.app.db, loginOf(event));
		return { off: true };
	}
};

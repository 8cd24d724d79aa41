import { addDays, dateIn } from '$core/calendar';
import { audienceFrom, PLANNED_AHEAD } from '$contracts/post';
import { carryOn } from '$lib/server/contact/post/letters';
import {
	cancelPost,
	postsOf,
	postTo,
	recipientsOf,
	stuckIn,
	tryAgain,
	waitingIn
} from '$lib/server/contact/post/posts';
import { postSettingsOf } from '$lib/server/contact/post/settings';
import { deleteTemplate, saveTemplate, templatesOf } from '$lib/server/contact/post/templates';
import { inNeed } from '$lib/server/contact/reach/triage';
import { teamsIn } from '$lib/server/people/teams';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** Everybody who can be written to now, and the teams that they are in. */
async function addressed(event: Pick<RequestEvent, 'locals' | 'params'>) {
	const { locals } = event;
	const challenge = await ownChallenge(event);
	const teams = await teamsIn(locals.app.db, challenge.id);
	const people = recipientsOf(await inNeed(locals, challenge, locals.app.clock.now()), {
		coach: coachIn(locals).name,
		challenge: challenge.name,
		teams: new Map(teams.map(({ id, name }) => [id, name]))
	});
	return { challenge, teams, people };
}

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const { db } = app;
	const { challenge, teams, people } = await addressed(event);
	const coach = coachIn(event.locals);
	const today = dateIn(challenge.coachZone, app.clock.now());
	const { quietFrom, quietTo } = await postSettingsOf(db, coach.id);
	return {
		teams: teams.map(({ id, name }) => ({ id, name })),
		people,
		id: app.ids.uuid(),
		templates: await templatesOf(db, coach.id),
		posts: await postsOf(db, challenge.id),
		stuck: await stuckIn(db, challenge.id),
		waiting: await waitingIn(db, challenge.id),
		quiet: { from: quietFrom, to: quietTo },
		dates: { today, tomorrow: addDays(today, 1), latest: addDays(today, PLANNED_AHEAD) }
	};
};

export const actions: Actions = {
	send: async (event) => {
		const { app } = event.locals;
		const form = await event.request.formData();
		const { challenge, people } = await addressed(event);
		const raw = Object.fromEntries(
			['id', 'subject', 'text', 'when', 'date', 'time'].map((name) => [name, formText(form, name)])
		);
		const to = formText(form, 'to');
		const audience = audienceFrom(to, form.getAll('person').map(String));
		const done = await orFail(
			postTo(app, challenge, coachIn(event.locals).id, { audience, raw, everybody: people })
		);
		if ('failed' in done) return done.failed;
		await carryOn(app);
		return { sent: done.ok, later: raw.when === 'later' };
	},
	keep: async (event) => {
		const form = await event.request.formData();
		const raw = {
			name: formText(form, 'name'),
			subject: formText(form, 'subject'),
			text: formText(form, 'text')
		};
		const done = await orFail(saveTemplate(event.locals.app, coachIn(event.locals).id, raw));
		return 'failed' in done ? done.failed : { kept: raw.name.trim() };
	},
	forget: async (event) => {
		const form = await event.request.formData();
		await orError(deleteTemplate(event.locals.app, coachIn(event.locals).id, formText(form, 'template')));
		return { forgotten: true };
	},
	cancel: async (event) => {
		const form = await event.request.formData();
		const taken = await orError(
			cancelPost(event.locals.app, await ownChallenge(event), formText(form, 'post'))
		);
		return { taken };
	},
	again: async (event) => {
		const { app } = event.locals;
		const form = await event.request.formData();
		await orError(tryAgain(app, await ownChallenge(event), formText(form, 'letter')));
		await carryOn(app);
		return { again: true };
	}
};

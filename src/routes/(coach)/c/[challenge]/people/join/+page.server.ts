import { LEVELS } from '$core/people';
import {
	addPerson,
	admit,
	closeJoin,
	joinSettingOf,
	openJoin,
	turnAway,
	waitingOf
} from '$lib/server/people/join';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import { shownLink } from '$lib/server/edge/web/shown-link';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async (event) => {
	const { app } = event.locals;
	const challenge = await ownChallenge(event);
	const setting = await joinSettingOf(app.db, challenge.id);
	const address = setting.code && `${event.url.origin}/start/${setting.code}`;
	return {
		setting,
		address,
		waiting: await waitingOf(app.db, challenge),
		levels: [...LEVELS],
		zones: Intl.supportedValuesOf('timeZone')
	};
};

const fields = async (event: RequestEvent) => Object.fromEntries(await event.request.formData());

export const actions: Actions = {
	open: async (event) => {
		const done = await orFail(openJoin(event.locals.app, await ownChallenge(event), await fields(event)));
		return 'failed' in done ? done.failed : { changed: true };
	},
	close: async (event) => {
		await closeJoin(event.locals.app, await ownChallenge(event));
		return { changed: true };
	},
	add: async (event) => {
		const typed = await fields(event);
		const challenge = await ownChallenge(event);
		const by = coachIn(event.locals).id;
		const done = await orFail(addPerson(event.locals.app, challenge, typed, by), { typed });
		if ('failed' in done) return done.failed;
		return { added: done.ok.name, link: await shownLink(event, challenge, done.ok) };
	},
	admit: async (event) => {
		const form = await event.request.formData();
		const challenge = await ownChallenge(event);
		const by = coachIn(event.locals).id;
		const done = await orFail(admit(event.locals.app, challenge, formText(form, 'person'), by));
		if ('failed' in done) return done.failed;
		return { added: done.ok.name, link: await shownLink(event, challenge, done.ok) };
	},
	turnAway: async (event) => {
		const form = await event.request.formData();
		const done = await orFail(
			turnAway(event.locals.app, await ownChallenge(event), formText(form, 'person'))
		);
		return 'failed' in done ? done.failed : { changed: true };
	}
};

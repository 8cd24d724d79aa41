import { audienceFrom } from '$contracts/post';
import { POLL_LIMITS } from '$contracts/ask';
import { addDays, dateIn } from '$core/calendar';
import {
	allAnnouncements,
	postAnnouncement,
	removeAnnouncement
} from '$lib/server/training/challenge/announcements';
import { askPoll, closePoll, deletePoll, pollsIn } from '$lib/server/training/challenge/polls';
import { teamsIn } from '$lib/server/people/teams';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { app } = locals;
	const { challenge } = await parent();
	const today = dateIn(challenge.coachZone, app.clock.now());
	return {
		announcements: await allAnnouncements(app, challenge.id),
		polls: await pollsIn(app.db, challenge.id),
		teams: (await teamsIn(app.db, challenge.id)).map(({ id, name }) => ({ id, name })),
		dates: { today, usual: addDays(today, 3), latest: addDays(today, POLL_LIMITS.days) }
	};
};

export const actions: Actions = {
	announce: async (event) => {
		const form = await event.request.formData();
		const text = formText(form, 'text');
		const raw = { text, day: Number(formText(form, 'day')) || null };
		const done = await orFail(postAnnouncement(event.locals.app, await ownChallenge(event), raw), { text });
		return 'failed' in done ? done.failed : { announced: true };
	},
	removeAnnouncement: async (event) => {
		const id = formText(await event.request.formData(), 'announcement');
		await orError(removeAnnouncement(event.locals.app.db, await ownChallenge(event), id));
		return { down: true };
	},
	poll: async (event) => {
		const form = await event.request.formData();
		const raw = {
			question: formText(form, 'question'),
			// Fields that were left empty are no answers.
			choices: form.getAll('choice').filter((one) => typeof one === 'string' && one.trim() !== ''),
			closesOn: formText(form, 'closesOn'),
			shown: form.has('shown')
		};
		const audience = audienceFrom(formText(form, 'to'), []);
		const challenge = await ownChallenge(event);
		const done = await orFail(askPoll(event.locals.app, challenge, coachIn(event.locals).id, audience, raw), {
			poll: raw
		});
		return 'failed' in done ? done.failed : { asked: true };
	},
	close: async (event) => {
		const id = formText(await event.request.formData(), 'poll');
		await orError(closePoll(event.locals.app, await ownChallenge(event), id));
		return { closed: true };
	},
	drop: async (event) => {
		const id = formText(await event.request.formData(), 'poll');
		await orError(deletePoll(event.locals.app, await ownChallenge(event), id));
		return { dropped: true };
	}
};

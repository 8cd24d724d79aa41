import { holdAt } from '$core/health';
import { kitText } from '$core/kit';
import { peopleIn } from '$lib/server/done/attendance/of-request';
import { carryOn } from '$lib/server/contact/post/letters';
import { invitationsIn, inviteByMail, unopenedIn } from '$lib/server/contact/post/invitations';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, locals }) => {
	const { challenge } = await parent();
	const people = await peopleIn(locals, challenge);
	const { db } = locals.app;
	const invited = new Map((await invitationsIn(db, challenge.id)).map((one) => [one.id, one]));
	return {
		unopened: await unopenedIn(db, challenge.id),
		people: people.map(
			({
				id,
				name,
				email,
				zone,
				level,
				kit,
				kitUnread,
				fromDay,
				shiftDays,
				lastSeen,
				hasLink,
				answeredAt,
				leftAt,
				holds
			}) => ({
				id,
				name,
				email,
				zone,
				level,
				equipment: kitText(kit, kitUnread),
				fromDay,
				shiftDays,
				lastSeen,
				hasLink,
				invited: invited.get(id) ?? null,
				answered: answeredAt !== null,
				left: leftAt !== null,
				hold: holdAt(holds, locals.app.clock.now())?.reason ?? null
			})
		)
	};
};

export const actions: Actions = {
	/** Their own links to all who have never opened theirs. */
	invite: async (event) => {
		const { app } = event.locals;
		const words = formText(await event.request.formData(), 'words');
		const challenge = await ownChallenge(event);
		const base = `${event.url.origin}/join/`;
		const done = await orFail(inviteByMail(app, challenge, coachIn(event.locals), base, { words }), {
			words
		});
		if ('failed' in done) return done.failed;
		await carryOn(app);
		return { invited: done.ok };
	}
};

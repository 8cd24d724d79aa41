import {
	changeRole,
	coachesOf,
	invitationsOf,
	invite,
	removeCoach,
	withdraw,
	type LinksEnded
} from '$lib/server/training/challenge/coaches';
import { deedsOf, DEEDS_SHOWN } from '$lib/server/training/challenge/deeds';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { ownChallenge } from '$lib/server/edge/web/own';
import { coachIn } from '$lib/server/edge/web/viewer';
import { noteEvent, requireProof } from '$lib/server/edge/web/security';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

export const load: PageServerLoad = async (event) => {
	const { locals, url } = event;
	const { app } = locals;
	const challenge = await ownChallenge(event);
	const coachId = url.searchParams.get('by');
	const asked = url.searchParams.get('before') ?? '';
	const before = /^\d{1,15}$/.test(asked) ? Number(asked) : null;
	const deeds = await deedsOf(app.db, challenge.id, { coachId, before });
	return {
		coaches: await coachesOf(app.db, challenge.id),
		invitations: challenge.role === 'owner' ? await invitationsOf(app, challenge.id) : [],
		deeds,
		by: coachId,
		more: deeds.length === DEEDS_SHOWN ? (deeds.at(-1)?.id ?? null) : null
	};
};

/** Who may enter is changed by somebody who gave the password a short while ago. @param kept what the page is to know again */
const proven = (event: RequestEvent, kept = '') =>
	requireProof(event, `/c/${event.params.challenge}/settings/coaches${kept}`);

/** Each link that ended is in the record of the account. */
async function noteEnded(event: RequestEvent, ended: LinksEnded): Promise<void> {
	for (const { id } of ended) await noteEvent(event, 'link-revoked', { enrolmentId: id });
}

export const actions: Actions = {
	invite: async (event) => {
		const { locals, url } = event;
		const form = await event.request.formData();
		const typed = { forWhom: formText(form, 'forWhom'), role: formText(form, 'role') };
		proven(event, `?${new URLSearchParams({ for: typed.forWhom, as: typed.role })}`);
		const challenge = await ownChallenge(event);
		const made = await orFail(invite(locals.app, challenge, coachIn(locals).id, typed), { typed });
		if ('failed' in made) return made.failed;
		await noteEvent(event, 'invitation-made');
		return { link: `${locals.app.config.origin ?? url.origin}/invite/${made.ok}` };
	},
	withdraw: async (event) => {
		proven(event);
		const id = formText(await event.request.formData(), 'invitation');
		await orError(withdraw(event.locals.app, await ownChallenge(event), id));
		return { changed: true };
	},
	role: async (event) => {
		proven(event);
		const form = await event.request.formData();
		const done = await orFail(
			changeRole(event.locals.app, await ownChallenge(event), formText(form, 'coach'), {
				role: formText(form, 'role')
			})
		);
		if ('failed' in done) return done.failed;
		await noteEnded(event, done.ok);
		return { linksEnded: done.ok };
	},
	remove: async (event) => {
		proven(event);
		const id = formText(await event.request.formData(), 'coach');
		const linksEnded = await orError(removeCoach(event.locals.app, await ownChallenge(event), id));
		await noteEvent(event, 'coach-removed');
		await noteEnded(event, linksEnded);
		return { linksEnded };
	}
};

import { error, redirect } from '@sveltejs/kit';
import { registerCoach } from '$lib/server/account/auth/coach';
import { signIn } from '$lib/server/account/auth/login';
import { invitationBehind, invitationEnded, takeUp } from '$lib/server/training/challenge/coaches';
import type { NewPassword } from '$lib/server/account/auth/strength';
import { keepToken } from '$lib/server/edge/web/cookies';
import { formText } from '$lib/server/edge/web/form-text';
import { orError, orFail } from '$lib/server/edge/web/http';
import { deviceIn, networkIn, noteEvent } from '$lib/server/edge/web/security';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** Who is invited to what; to look changes nothing. Only links that are not good are counted. */
async function look(event: Pick<RequestEvent, 'locals' | 'params' | 'getClientAddress'>) {
	const { app } = event.locals;
	const invited = await invitationBehind(app, event.params.secret ?? '');
	if (invited) return invited;
	await orError(app.limits.link.take(networkIn(event)), event.locals);
	const { status, message } = invitationEnded();
	error(status, message);
}

export const load: PageServerLoad = async (event) => {
	const { challenge, by, role, forWhom } = await look(event);
	const coach = await event.locals.visitor.coach();
	return {
		invited: { challenge, by, role, forWhom },
		coach: coach && { name: coach.name, email: coach.email },
		zones: Intl.supportedValuesOf('timeZone')
	};
};

export const actions: Actions = {
	/** Somebody who has an account and is signed in. */
	take: async (event) => {
		const { locals, params } = event;
		await look(event);
		const coach = await locals.visitor.coach();
		if (!coach) redirect(303, `/sign-in?then=${encodeURIComponent(`/invite/${params.secret}`)}`);
		const done = await orFail(takeUp(locals.app, coach.id, params.secret));
		if ('failed' in done) return done.failed;
		await noteEvent(event, 'invitation-taken', { coachId: coach.id });
		redirect(303, '/challenges');
	},
	/** Somebody who has none: makes it, and is signed in. */
	account: async (event) => {
		const { locals, params, request, cookies, url } = event;
		const { app } = locals;
		await look(event);
		const { password: _, ...typed } = Object.fromEntries(await request.formData()) as Record<string, string>;
		const input = { ...typed, password: formText(await request.formData(), 'password') };
		const network = networkIn(event);
		const judge = (wish: NewPassword) => app.threads.run('password', wish, network);
		// An account takes a moment of work: so many within a quarter of an hour, whoever asks.
		const made = await orFail(
			(async () => {
				await app.limits.password.take(`invited ${network}`);
				return registerCoach(app, input, judge, false);
			})(),
			{ typed },
			locals
		);
		if ('failed' in made) return made.failed;
		const coach = made.ok;
		await noteEvent(event, 'coach-made', { coachId: coach.id });
		await orError(takeUp(app, coach.id, params.secret));
		const login = await orError(signIn(app, coach.email, input.password, deviceIn(event)));
		keepToken(cookies, url, 'coach', login.token);
		await noteEvent(event, 'invitation-taken', { coachId: coach.id });
		redirect(303, '/challenges');
	}
};

import { fail, redirect } from '@sveltejs/kit';
import { object, string } from 'yup';
import { superValidate } from 'sveltekit-superforms';
import { yup } from 'sveltekit-superforms/adapters';
import { anyCoach, coachByEmail } from '$lib/server/records/coach';
import { TooOften } from '$lib/server/account/auth/limits';
import { signIn, signOut } from '$lib/server/account/auth/login';
import { hashToken } from '$lib/server/platform/ids';
import { keepToken, tokenIn } from '$lib/server/edge/web/cookies';
import { deviceIn, networkIn, noteEvent } from '$lib/server/edge/web/security';
import { wayBack } from '$lib/server/edge/web/way-back';
import { Refusal } from '$lib/server/platform/errors';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

const schema = object({
	email: string()
		.trim()
		.email('this is not an email address')
		.max(254)
		.required('your email address')
		.default(''),
	password: string().max(128).required('your password').default('')
});

/** What the page says to somebody who comes back to it. */
const NOTICES: Record<string, string> = {
	reset: 'Your new password is set, and every device is signed out. Sign in with it.',
	late: 'This sign-in took too long. Start again with your password.'
};

export const load: PageServerLoad = async ({ locals, url }) => {
	if (await locals.visitor.coach()) redirect(303, '/challenges');
	return {
		isParticipant: (await locals.visitor.person()) !== null,
		form: await superValidate(yup(schema)),
		firstStart: !(await anyCoach(locals.app)),
		notice: NOTICES[url.searchParams.get('notice') ?? ''] ?? null
	};
};

/** Takes a try of the network and of the account, and gives both back when the password was right. */
async function signedIn(event: RequestEvent, email: string, password: string) {
	const { app } = event.locals;
	const network = networkIn(event);
	const account = hashToken(email.trim().toLowerCase());
	const { limits } = app;
	try {
		return await limits.signIn.attempt(network, () =>
			limits.account.attempt(account, () => signIn(app, email, password, deviceIn(event)))
		);
	} catch (cause) {
		if (cause instanceof Refusal && cause.status === 401)
			await noteEvent(event, 'sign-in-failed', { coachId: (await coachByEmail(app, email))?.id ?? null });
		throw cause;
	}
}

export const actions: Actions = {
	default: async (event) => {
		const { request, locals, cookies, url } = event;
		const form = await superValidate(request, yup(schema));
		if (!form.valid) return fail(400, { form, message: null });
		const then = wayBack(url.searchParams.get('then'), url.origin, '/challenges');
		let awaitsCode: boolean;
		try {
			const login = await signedIn(event, form.data.email, form.data.password);
			({ awaitsCode } = login);
			// A device has one sign-in at a time.
			const before = tokenIn(cookies, url, 'coach');
			if (before) await signOut(locals.app, before);
			keepToken(cookies, url, 'coach', login.token);
			if (!awaitsCode) await noteEvent(event, 'signed-in', { coachId: login.coachId });
		} catch (refusal) {
			if (!(refusal instanceof Refusal)) throw refusal;
			if (refusal instanceof TooOften) locals.retryAfter = refusal.retryAfter;
			form.data.password = '';
			return fail(refusal.status, { form, message: refusal.message });
		}
		redirect(303, awaitsCode ? `/sign-in/code?then=${encodeURIComponent(then)}` : then);
	}
};

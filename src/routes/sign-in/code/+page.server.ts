import { redirect } from '@sveltejs/kit';
import { letIn, waitingLogin } from '$lib/server/account/auth/login';
import { answerCode } from '$lib/server/account/auth/second-factor';
import { sendNotice } from '$lib/server/account/auth/letters';
import { realClock } from '$lib/server/platform/clock';
import { Refusal } from '$lib/server/platform/errors';
import { keepToken, tokenIn } from '$lib/server/edge/web/cookies';
import { formText } from '$lib/server/edge/web/form-text';
import { orFail } from '$lib/server/edge/web/http';
import { noteEvent } from '$lib/server/edge/web/security';
import { wayBack } from '$lib/server/edge/web/way-back';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** The sign-in of this device that waits for its code. */
async function waiting({ locals, cookies, url }: Pick<RequestEvent, 'locals' | 'cookies' | 'url'>) {
	const token = tokenIn(cookies, url, 'coach');
	const login = token ? await waitingLogin(locals.app, token) : null;
	if (!token || !login) redirect(303, '/sign-in?notice=late');
	return { token, ...login };
}

export const load: PageServerLoad = async (event) => {
	if (await event.locals.visitor.coach()) redirect(303, '/challenges');
	return { email: (await waiting(event)).email };
};

/** Each code is a try at the account, since six digits are soon guessed. */
async function answered(event: RequestEvent, code: string) {
	const { app } = event.locals;
	const { token, coachId } = await waiting(event);
	let kind: 'code' | 'recovery code';
	try {
		kind = await app.limits.code.attempt(coachId, () => answerCode(app, coachId, code, realClock.now()));
	} catch (cause) {
		if (cause instanceof Refusal && cause.status === 401) await noteEvent(event, 'code-failed', { coachId });
		throw cause;
	}
	if (kind === 'recovery code') await sendNotice(app, { coachId, change: 'recovery-code' });
	await noteEvent(event, kind === 'code' ? 'signed-in' : 'recovery-code-used', { coachId });
	return letIn(app, token);
}

export const actions: Actions = {
	default: async (event) => {
		const { request, locals, cookies, url } = event;
		const code = formText(await request.formData(), 'code');
		const found = await orFail(answered(event, code), {}, locals);
		if ('failed' in found) return found.failed;
		keepToken(cookies, url, 'coach', found.ok);
		redirect(303, wayBack(url.searchParams.get('then'), url.origin, '/challenges'));
	}
};

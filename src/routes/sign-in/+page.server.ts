import { fail, redirect } from '@sveltejs/kit';
import { object, string } from 'yup';
import { superValidate } from 'sveltekit-superforms';
import { yup } from 'sveltekit-superforms/adapters';
import { TooOften } from '$lib/server/auth/limits';
import { anyCoach, signIn } from '$lib/server/auth/coach';
import { COACH_COOKIE, keepToken } from '$lib/server/web/cookies';
import { Refusal } from '$lib/server/platform/errors';
import type { Actions, PageServerLoad } from './$types';

const schema = object({
	email: string()
		.trim()
		.email('this is not an email address')
		.max(254)
		.required('your email address')
		.default(''),
	password: string().max(200).required('your password').default('')
});

export const load: PageServerLoad = async ({ locals }) => {
	if (await locals.visitor.coach()) redirect(303, '/challenges');
	return { form: await superValidate(yup(schema)), firstStart: !(await anyCoach(locals.app)) };
};

/** Only an address of this application is gone on to. */
function after(url: URL): string {
	const then = url.searchParams.get('then') ?? '';
	return /^\/(?![/\\])/.test(then) ? then : '/challenges';
}

export const actions: Actions = {
	default: async ({ request, locals, cookies, url, getClientAddress }) => {
		const form = await superValidate(request, yup(schema));
		if (!form.valid) return fail(400, { form, message: null });
		const { app } = locals;
		const address = getClientAddress();
		try {
			await app.limits.signIn.take(address);
			const token = await signIn(app, form.data.email, form.data.password);
			await app.limits.signIn.clear(address);
			keepToken(cookies, url, COACH_COOKIE, token);
		} catch (refusal) {
			if (!(refusal instanceof Refusal)) throw refusal;
			if (refusal instanceof TooOften) locals.retryAfter = refusal.retryAfter;
			form.data.password = '';
			return fail(refusal.status, { form, message: refusal.message });
		}
		redirect(303, after(url));
	}
};

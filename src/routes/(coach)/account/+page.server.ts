import { redirect } from '@sveltejs/kit';
import { signOut, signOutEverywhere } from '$lib/server/auth/coach';
import { COACH_COOKIE } from '$lib/server/web/cookies';
import { coachIn } from '$lib/server/web/viewer';
import type { Actions } from './$types';

export const actions: Actions = {
	signOut: async ({ locals, cookies }) => {
		const token = cookies.get(COACH_COOKIE);
		if (token) await signOut(locals.app, token);
		cookies.delete(COACH_COOKIE, { path: '/' });
		redirect(303, '/sign-in');
	},
	everywhere: async ({ locals, cookies }) => {
		await signOutEverywhere(locals.app, coachIn(locals).id);
		cookies.delete(COACH_COOKIE, { path: '/' });
		redirect(303, '/sign-in');
	}
};

import { redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals: { visitor } }) => {
	if (await visitor.coach()) redirect(303, '/challenges');
	if (await visitor.person()) redirect(303, '/me');
	redirect(303, '/sign-in');
};

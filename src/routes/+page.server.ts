import { redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
	if (locals.coach) redirect(303, '/challenges');
	if (locals.person) redirect(303, '/me');
	redirect(303, '/sign-in');
};

import { houseOf } from '$lib/server/records/practice';
import { ownExercises } from '$lib/server/records/library';
import { practiceOwner } from '$lib/server/edge/web/own';
import type { LayoutServerLoad } from './$types';

/** What everything in Build leans on: the own exercises and the house rules of whose challenge it is. */
export const load: LayoutServerLoad = async ({ params, locals }) => {
	const { db } = locals.app;
	const owner = await practiceOwner({ params, locals });
	return { own: await ownExercises(db, owner), house: await houseOf(db, owner) };
};

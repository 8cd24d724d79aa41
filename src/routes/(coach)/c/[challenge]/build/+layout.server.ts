import { houseOf } from '$lib/server/practice/practice';
import { ownExercises } from '$lib/server/exercise/exercises';
import { practiceOwner } from '$lib/server/web/own';
import type { LayoutServerLoad } from './$types';

/** What everything in Build leans on: the own exercises and the house rules of whose challenge it is. */
export const load: LayoutServerLoad = async ({ params, locals }) => {
	const { db } = locals.app;
	const owner = await practiceOwner({ params, locals });
	return { own: await ownExercises(db, owner), house: await houseOf(db, owner) };
};

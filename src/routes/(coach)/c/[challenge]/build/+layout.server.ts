import { houseOf } from '$lib/server/practice/practice';
import { ownExercises } from '$lib/server/exercise/exercises';
import { coachIn } from '$lib/server/web/viewer';
import type { LayoutServerLoad } from './$types';

/** What everything in Build leans on: the coach's own exercises and her house rules. */
export const load: LayoutServerLoad = async ({ locals }) => {
	const { db } = locals.app;
	const coach = coachIn(locals);
	return { own: await ownExercises(db, coach.id), house: await houseOf(db, coach.id) };
};

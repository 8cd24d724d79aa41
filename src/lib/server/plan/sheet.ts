import { layOut, planSheet, type PlanSheet } from '$core/plan';
import { challengeOf } from '../challenges/challenge';
import type { Context } from '../context';
import { houseOf } from '../library/house';
import { libraryFor } from '../library/exercises';
import { openPlan, planOf } from './plan';

/** The sheet of a challenge with what stands at its head. */
export interface ChallengeSheet extends PlanSheet {
	name: string;
	goal: string;
	startsOn: string;
	days: number;
	budgetMinutes: number;
}

/** The whole plan of a challenge for a wall. @throws Refusal 404 */
export async function challengeSheet(
	context: Context,
	coachId: string,
	challengeId: string
): Promise<ChallengeSheet> {
	const { db } = context;
	const challenge = await challengeOf(db, coachId, challengeId);
	const { plan, sessions } = await openPlan(context, challenge);
	const held = (await planOf(db, challenge)).map((day) => day.held);
	const laid = layOut(plan, sessions, {
		library: await libraryFor(db, coachId),
		house: await houseOf(db, coachId)
	});
	const { name, goal, startsOn, days, budgetMinutes } = challenge;
	return { name, goal, startsOn, days, budgetMinutes, ...planSheet(laid, startsOn, held) };
}

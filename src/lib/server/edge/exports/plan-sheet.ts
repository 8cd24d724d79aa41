import { resolvePlan, planSheet, type PlanSheet } from '$core/plan';
import type { OwnedChallenge } from '../../records/challenge';
import type { Context } from '../../platform/context';
import { practiceOf } from '../../records/practice';
import { openPlan } from '../../training/plan/plan';
import { planOf } from '../../records/plan-days';

/** The sheet of a challenge with what stands at its head. */
export interface ChallengeSheet extends PlanSheet {
	name: string;
	goal: string;
	startsOn: string;
	days: number;
	budgetMinutes: number;
}

/** The whole plan of a challenge for a wall. */
export async function challengeSheet(context: Context, challenge: OwnedChallenge): Promise<ChallengeSheet> {
	const { db } = context;
	const { plan, sessions } = await openPlan(context, challenge);
	const cancelled = (await planOf(db, challenge)).map((day) => day.cancelled);
	const resolved = resolvePlan(plan, sessions, await practiceOf(db, challenge.coachId));
	const { name, goal, startsOn, days, budgetMinutes } = challenge;
	return { name, goal, startsOn, days, budgetMinutes, ...planSheet(resolved, startsOn, cancelled) };
}

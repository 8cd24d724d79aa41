import type { Finding } from '../findings';
import type { Practice } from '../practice';
import type { Plan } from './model';
import type { ResolvedPlan } from './resolved-plan';

export interface PlanPlace {
	/** From 1; empty: the whole plan. */
	days: readonly number[];
	/** Id of the progression rule it is about. */
	progression?: string;
}

/** Found in a plan; its remedy gives a changed one. */
export type PlanFinding = Finding<PlanPlace, (plan: Plan) => Plan>;

export interface PlanSubject {
	resolved: ResolvedPlan;
	plan: Plan;
	practice: Practice;
	budgetMinutes: number | null;
	/** Days up to this one are released: what is wrong with them is past, and they keep their places. */
	releasedTo: number;
}

export type PlanCheck = (subject: PlanSubject) => PlanFinding[];

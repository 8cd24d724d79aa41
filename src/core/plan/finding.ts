import type { HouseRules } from '../review';
import type { TimelineOptions } from '../session';
import type { LaidPlan } from './laid';
import type { Plan } from './model';

/** Something that a coach would see in a plan if she looked long enough. */
export interface PlanFinding {
	rule: string;
	/** `safety` comes first and is shown in its own colour. */
	weight: 'safety' | 'watch' | 'hint';
	title: string;
	/** The figure that it hangs on, and what would be usual. */
	figure: string;
	/** Days it is about, from 1; empty: the whole plan. */
	days: readonly number[];
	/** Id of the progression rule it is about. */
	progression?: string;
	source: string;
	remedy: { label: string; apply: (plan: Plan) => Plan } | null;
}

export interface PlanSubject {
	laid: LaidPlan;
	plan: Plan;
	house: HouseRules;
	timing: TimelineOptions;
	budgetMinutes: number | null;
	/** Days up to this one are out: what is wrong with them is past, and they keep their places. */
	out: number;
}

export type PlanCheck = (subject: PlanSubject) => PlanFinding[];

export const ACSM = 'ACSM, Guidelines for Exercise Testing and Prescription: 48 h between, from memory';
export const WHO = 'WHO 2020; Physical Activity Guidelines for Americans 2018';
export const FOSTER = 'Foster 1998, Med Sci Sports Exerc 30:1164';

import { STANDARD, type Library } from '../library';
import { DEFAULT_HOUSE, optionsOf, type HouseRules } from '../review';
import { AUDIENCE_CHECKS } from './checks/audience';
import { CARDIO_CHECKS } from './checks/cardio';
import { DAY_CHECKS } from './checks/days';
import { LOAD_CHECKS } from './checks/load';
import { MUSCLE_CHECKS } from './checks/muscles';
import { RULE_CHECKS } from './checks/rules';
import { TEST_CHECKS } from './checks/tests';
import { VARIETY_CHECKS } from './checks/variety';
import type { PlanFinding } from './finding';
import type { LaidPlan } from './laid';
import type { Plan } from './model';

const CHECKS = [
	...AUDIENCE_CHECKS,
	...DAY_CHECKS,
	...MUSCLE_CHECKS,
	...RULE_CHECKS,
	...TEST_CHECKS,
	...CARDIO_CHECKS,
	...LOAD_CHECKS,
	...VARIETY_CHECKS
];
const ORDER = { safety: 0, watch: 1, hint: 2 };

export interface PlanCheckOptions {
	library?: Library;
	house?: HouseRules;
	/** The challenge’s time budget a session; null: none. */
	budgetMinutes?: number | null;
	/** Days up to this one are out for somebody. */
	out?: number;
}

/** Whether days that are out stay as they are. */
const keepsOut = (before: Plan, after: Plan, out: number): boolean =>
	before.days.slice(0, out).every((day, i) => day === after.days[i]);

/**
 * What a careful coach would see in the weeks of a plan. Safety first, then what to watch, then hints; within
 * those in the order of the rules. An empty plan has no findings. Of days that are out nothing is said, and no remedy
 * touches them.
 */
export function checkPlan(laid: LaidPlan, options: PlanCheckOptions = {}): PlanFinding[] {
	const { library = STANDARD, house = DEFAULT_HOUSE, budgetMinutes = null, out = 0 } = options;
	const subject = { laid, plan: laid.plan, house, timing: optionsOf(house, library), budgetMinutes, out };
	return CHECKS.flatMap((check) => check(subject))
		.filter(({ days }) => days.length === 0 || days.some((day) => day > out))
		.map((finding) =>
			finding.remedy && !keepsOut(laid.plan, finding.remedy.apply(laid.plan), out)
				? { ...finding, remedy: null }
				: finding
		)
		.sort((a, b) => ORDER[a.weight] - ORDER[b.weight]);
}

const keyOf = (finding: PlanFinding): string => `${finding.rule} ${finding.title}`;

/** What a change would bring and what it would end, by the findings before and after it. */
export function changedFindings(
	before: readonly PlanFinding[],
	after: readonly PlanFinding[]
): { brings: PlanFinding[]; ends: PlanFinding[] } {
	const had = new Set(before.map(keyOf));
	const has = new Set(after.map(keyOf));
	return {
		brings: after.filter((finding) => !had.has(keyOf(finding))),
		ends: before.filter((finding) => !has.has(keyOf(finding)))
	};
}

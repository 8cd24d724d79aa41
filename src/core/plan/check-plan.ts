import { bySeverity, keyOfFinding } from '../findings';
import type { Practice } from '../practice';
import { AUDIENCE_CHECKS } from './checks/audience';
import { CARDIO_CHECKS } from './checks/cardio';
import { DAY_CHECKS } from './checks/days';
import { LOAD_CHECKS } from './checks/load';
import { MUSCLE_CHECKS } from './checks/muscles';
import { RULE_CHECKS } from './checks/rules';
import { TEST_CHECKS } from './checks/tests';
import { VARIETY_CHECKS } from './checks/variety';
import type { PlanFinding, PlanSubject } from './finding';
import type { ResolvedPlan } from './resolved-plan';
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
export interface PlanCheckOptions {
	/** The challenge’s time budget a session; null: none. */
	budgetMinutes?: number | null;
	/** Days up to this one are released to somebody. */
	releasedTo?: number;
}

/** Whether released days stay as they are. */
const keepsReleased = (before: Plan, after: Plan, releasedTo: number): boolean =>
	before.days.slice(0, releasedTo).every((day, i) => day === after.days[i]);

/**
 * What a careful coach would see in the weeks of a plan. Safety first, then what to watch, then hints; within
 * those in the order of the rules. An empty plan has no findings. Of released days nothing is said, and no remedy
 * touches them.
 */
export function checkPlan(
	resolved: ResolvedPlan,
	practice: Practice,
	{ budgetMinutes = null, releasedTo = 0 }: PlanCheckOptions = {}
): PlanFinding[] {
	const { plan } = resolved;
	const subject: PlanSubject = { resolved, plan, practice, budgetMinutes, releasedTo };
	const findings = CHECKS.flatMap((check) => check(subject))
		.filter(({ place: { days } }) => days.length === 0 || days.some((day) => day > releasedTo))
		.map((finding) =>
			finding.remedy && !keepsReleased(plan, finding.remedy.apply(plan), releasedTo)
				? { ...finding, remedy: null }
				: finding
		);
	return bySeverity(findings);
}

/** What a change would bring and what it would end, by the findings before and after it. */
export function changedFindings(
	before: readonly PlanFinding[],
	after: readonly PlanFinding[]
): { brings: PlanFinding[]; ends: PlanFinding[] } {
	const had = new Set(before.map(keyOfFinding));
	const has = new Set(after.map(keyOfFinding));
	return {
		brings: after.filter((finding) => !had.has(keyOfFinding(finding))),
		ends: before.filter((finding) => !has.has(keyOfFinding(finding)))
	};
}

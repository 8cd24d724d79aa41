import type { Hold } from '$core/health';
import { personDay, type PersonDay, type Strip } from '$core/day';
import { creditPolicyOf, type Challenge } from './challenge';
import type { PlanDay } from './plan-days';
import { windowsOf, type WhereAndWhen } from './windows';

/** What of an enrolment decides its days. */
export interface OwnDays extends WhereAndWhen {
	fromDay: number;
	strip: Strip;
	holds: readonly Hold[];
}

/** Every day of a challenge as it stands for one person at an instant, day 1 first. */
export function daysOf(
	challenge: Challenge,
	plan: readonly PlanDay[],
	own: OwnDays,
	asOf: number
): PersonDay[] {
	const policy = creditPolicyOf(challenge);
	const windows = windowsOf(challenge, own);
	const days: PersonDay[] = [];
	plan.forEach((planned, i) => {
		const window = windows[i];
		if (window) days.push(personDay(planned, window, own, policy, asOf));
	});
	return days;
}

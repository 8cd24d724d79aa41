import { personDay, type PersonDay, type Strip } from '$core/day';
import { creditPolicyOf, type Challenge } from '../challenge/challenge';
import type { PlanDay } from '../plan/plan-days';
import { windowsOf } from './windows';

/** What of an enrolment decides its days. */
export interface OwnDays {
	zone: string;
	shiftDays: number;
	fromDay: number;
	strip: Strip;
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
	return plan.flatMap((planned, i) => {
		const window = windows[i];
		return window ? [personDay(planned, window, own, policy, asOf)] : [];
	});
}

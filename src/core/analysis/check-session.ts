import { bySeverity } from '../findings';
import type { Practice } from '../practice';
import { compileSession, type Session, type Timeline } from '../session';
import { balanceOf, type Balance } from './balance';
import { EXERCISE_CHECKS } from './checks/exercises';
import { FORMAT_CHECKS } from './checks/formats';
import { MUSCLE_CHECKS } from './checks/muscles';
import { PEOPLE_CHECKS } from './checks/people';
import { ROLE_CHECKS } from './checks/roles';
import { TIME_CHECKS } from './checks/time';
import type { Group, SessionFinding, Subject } from './finding';
import { goesOf } from './work';

const CHECKS = [
	...PEOPLE_CHECKS,
	...TIME_CHECKS,
	...FORMAT_CHECKS,
	...ROLE_CHECKS,
	...MUSCLE_CHECKS,
	...EXERCISE_CHECKS
];

export interface CheckOptions {
	/** The challenge's time budget; null: none. */
	budgetMinutes?: number | null;
	group?: Group | null;
	/** When they are worked out already. */
	timeline?: Timeline;
	balance?: Balance;
}

/**
 * What a careful coach would see in a session: time, order, muscles, safety. Safety first, then what to watch, then
 * hints; within those in the order of the rules. An empty session has no findings.
 */
export function checkSession(
	session: Session,
	practice: Practice,
	{ budgetMinutes = null, group = null, ...known }: CheckOptions = {}
): SessionFinding[] {
	if (session.blocks.length === 0) return [];
	const timeline = known.timeline ?? compileSession(session, practice);
	const subject: Subject = {
		session,
		timeline,
		goes: goesOf(session, timeline, practice.library),
		balance: known.balance ?? balanceOf(session, practice, timeline),
		practice,
		budgetMinutes,
		group,
		limits: group?.limits ?? []
	};
	return bySeverity(CHECKS.flatMap((check) => check(subject)));
}

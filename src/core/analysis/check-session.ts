import { bySeverity } from '../findings';
import type { Practice } from '../practice';
import { blockFaults, compileSession, LIMITS, sessionFaults, type Session, type Timeline } from '../session';
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
	const findings = CHECKS.flatMap((check) => check(subject));
	const sound = (remedy: SessionFinding['remedy']): boolean =>
		!remedy || !('apply' in remedy) || isSound(remedy.apply(), subject);
	// A session that has faults of its own keeps what may mend it.
	const kept =
		findings.every(({ remedy }) => sound(remedy)) || sessionFaults(session, practice).length > 0
			? findings
			: findings.map((finding) => (sound(finding.remedy) ? finding : { ...finding, remedy: null }));
	return bySeverity(kept);
}

/** A remedy makes a session at most so many times as long: one that is far from its limits stays within them. */
const MOST_GROWTH = 3;

/**
 * Whether what is offered can stand like anything that is typed: the blocks that it changes, and the whole where that
 * comes near what a session may be. Asked at every key pressed, so the whole is not gone through without need.
 */
function isSound(next: Session, { session, timeline, practice }: Subject): boolean {
	const near =
		timeline.segments.length * MOST_GROWTH > LIMITS.segments ||
		timeline.totals.upper * MOST_GROWTH > LIMITS.session ||
		next.blocks.length > LIMITS.blocks;
	if (near) return sessionFaults(next, practice).length === 0;
	return next.blocks.every(
		(block) => session.blocks.includes(block) || blockFaults(block, '', practice).length === 0
	);
}

import { bySeverity } from '../findings';
import type { Audience } from '../people';
import type { Practice } from '../practice';
import { blockFaults, compileSession, LIMITS, sessionFaults, type Session, type Timeline } from '../session';
import { canDo } from '../substitution';
import { balanceOf, type Balance } from './balance';
import { AUDIENCE_CHECKS } from './checks/audience';
import { EXERCISE_CHECKS } from './checks/exercises';
import { FORMAT_CHECKS } from './checks/formats';
import { MUSCLE_CHECKS } from './checks/muscles';
import { PEOPLE_CHECKS } from './checks/people';
import { ROLE_CHECKS } from './checks/roles';
import { TIME_CHECKS } from './checks/time';
import { PLAUSIBILITY_CHECKS } from './checks/plausibility';
import type { Group, SessionFinding, Subject } from './finding';
import { fittingFor } from './fitting';
import { goesOf } from './work';

const CHECKS = [
	...AUDIENCE_CHECKS,
	...PEOPLE_CHECKS,
	...TIME_CHECKS,
	...FORMAT_CHECKS,
	...ROLE_CHECKS,
	...MUSCLE_CHECKS,
	...PLAUSIBILITY_CHECKS,
	...EXERCISE_CHECKS
];

export interface CheckOptions {
	/** The challenge's time budget; null: none. */
	budgetMinutes?: number | null;
	group?: Group | null;
	/** Whom the challenge is made for. */
	audience?: Audience | null;
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
	{ budgetMinutes = null, group = null, audience = null, ...known }: CheckOptions = {}
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
		audience,
		fitting: fittingFor(session, practice, { group, audience })
	};
	const findings = CHECKS.flatMap((check) => check(subject));
	// A session that has faults of its own keeps what may mend it.
	let faulty: boolean | null = null;
	const isFaulty = () => (faulty ??= sessionFaults(session, practice).length > 0);
	const good = (remedy: SessionFinding['remedy']): boolean => {
		if (!remedy || !('apply' in remedy)) return true;
		const next = remedy.apply();
		return isForThem(next, subject) && (isSound(next, subject) || isFaulty());
	};
	return bySeverity(
		findings.map((finding) => (good(finding.remedy) ? finding : { ...finding, remedy: null }))
	);
}

/** Whether nothing that a proposal brings goes against whom the session is for, or asks for what they do not have. */
function isForThem(next: Session, { session, practice: { library }, fitting }: Subject): boolean {
	const had = new Set(session.blocks.flatMap(({ parts }) => parts.map(({ exercise }) => exercise)));
	return next.blocks.every(({ parts }, b) =>
		parts.every((part, p) => {
			const before = session.blocks[b]?.parts[p];
			// What is offered for a name that nobody knows is what was meant, and nothing new.
			if (had.has(part.exercise) || (before && !library.find(before.exercise))) return true;
			const exercise = library.find(part.exercise);
			return exercise === null || canDo(exercise, fitting);
		})
	);
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

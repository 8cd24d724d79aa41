import { STANDARD, type Library } from '../library';
import { compileSession, type Session, type Timeline } from '../session';
import { balanceOf, type Balance } from './balance';
import { EXERCISE_CHECKS } from './checks/exercises';
import { MUSCLE_CHECKS } from './checks/muscles';
import { PEOPLE_CHECKS } from './checks/people';
import { ROLE_CHECKS } from './checks/roles';
import { TIME_CHECKS } from './checks/time';
import type { Finding, Group, Subject } from './finding';
import { DEFAULT_HOUSE, optionsOf, type HouseRules } from './house';
import { goesOf } from './work';

const CHECKS = [...PEOPLE_CHECKS, ...TIME_CHECKS, ...ROLE_CHECKS, ...MUSCLE_CHECKS, ...EXERCISE_CHECKS];
const ORDER = { safety: 0, watch: 1, hint: 2 };

export interface CheckOptions {
	library?: Library;
	house?: HouseRules;
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
export function checkSession(session: Session, more: CheckOptions = {}): Finding[] {
	if (session.blocks.length === 0) return [];
	const { library = STANDARD, house = DEFAULT_HOUSE, budgetMinutes = null, group = null } = more;
	const options = optionsOf(house, library);
	const timeline = more.timeline ?? compileSession(session, options);
	const subject: Subject = {
		session,
		timeline,
		goes: goesOf(session, timeline, library),
		balance: more.balance ?? balanceOf(session, library, timeline),
		library,
		house,
		options,
		budgetMinutes,
		group
	};
	return CHECKS.flatMap((check) => check(subject)).sort((a, b) => ORDER[a.weight] - ORDER[b.weight]);
}

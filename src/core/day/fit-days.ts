/** Sessions of many people on many days, for what does not fit before it is released. */
import type { FitProfile } from '../fit';
import type { Practice } from '../practice';
import { sessionSeconds, type Session } from '../session';
import { appliesOn, type Override } from './overrides';
import { auditSession, type AuditFinding } from './audit';
import { personalSession, type Unfit } from './personal';

/** One person on one day. */
export interface FitCase {
	/** Of the sessions given. */
	session: string;
	day: number;
	/** Of the people given: who shares what suits them shares the place. */
	profile: number;
	overrides: readonly Override[];
}

export interface FitResult {
	/** Expected length in seconds; 0 where nothing is left. */
	seconds: number;
	unfit: readonly Unfit[];
	nothing: boolean;
	/** What goes against the rules in it; empty for a sound plan. */
	audit: readonly AuditFinding[];
}

/** Exercises that a coach decided for somebody. */
const decidedFor = (overrides: readonly Override[]): Set<string> =>
	new Set(
		overrides.flatMap(({ target, change }) =>
			change.kind === 'replace'
				? [change.exercise]
				: change.kind === 'load' && target.kind === 'exercise'
					? [target.exercise]
					: []
		)
	);

/**
 * What each gets, in the order of the cases. Whoever the same suits gets the same, whatever the day.
 * @throws RangeError for a case that names a session or a place that is not given
 */
export function fitDays(
	sessions: ReadonlyMap<string, Session>,
	profile: readonly FitProfile[],
	cases: readonly FitCase[],
	practice: Practice
): FitResult[] {
	const known = new Map<string, FitResult>();
	const lengths = new Map<string, number>();
	const lengthOf = (name: string, session: Session): number => {
		const length = lengths.get(name) ?? sessionSeconds(session, practice);
		lengths.set(name, length);
		return length;
	};
	return cases.map((one) => {
		const planned = sessions.get(one.session);
		const whom = profile[one.profile];
		if (!planned || !whom)
			throw new RangeError(`case: no session ${one.session} or nobody at ${one.profile}`);
		const overrides = one.overrides.filter((override) => appliesOn(override, one.day));
		const key = `${one.session} ${one.profile} ${overrides.length > 0 ? JSON.stringify(overrides) : ''}`;
		const found = known.get(key);
		if (found) return found;
		const own = personalSession(planned, one.day, { profile: whom, overrides }, practice);
		const seconds = own ? sessionSeconds(own.session, practice) : 0;
		const lengthsOf = { own: seconds, planned: lengthOf(one.session, planned) };
		const made: FitResult = {
			seconds,
			unfit: own?.unfit ?? [],
			nothing: own === null,
			audit: auditSession(planned, own, whom, lengthsOf, decidedFor(overrides), practice)
		};
		known.set(key, made);
		return made;
	});
}

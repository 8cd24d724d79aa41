/** Stretches in which a session went on by the clock and nobody was seen, and device clocks that were changed. */
import type { Course } from './course';
import { momentOf, type Act } from './moment';

/** Milliseconds without a sign of the page from which the person is asked about what the clock passed. */
export const AWAY = 90_000;

/**
 * What was done, with a stretch in which nobody was seen, if the clock passed steps in it.
 *
 * @param seen the last instant at which the page was open and in sight
 */
export function withAbsence(course: Course, acts: readonly Act[], seen: number, now: number): Act[] {
	const then = momentOf(course, acts, seen);
	if (now - seen < AWAY || then.phase !== 'going' || momentOf(course, acts, now).step === then.step)
		return [...acts];
	return [...acts, { do: 'away', at: seen, to: now, did: null }];
}

/** A stretch that the person has not spoken of yet. */
export interface Absence {
	/** Epoch milliseconds. */
	from: number;
	to: number;
	/** Sets that the clock passed meanwhile. */
	sets: number;
	/** Whether nothing was done since: it can be taken up where it was left. */
	isLast: boolean;
}

const answered = (acts: readonly Act[], at: number, did: boolean): Act[] =>
	acts.map((act, i) => (i === at && act.do === 'away' ? { ...act, did } : act));

/** The first absence that is not answered, or null if there is none. */
export function openAbsence(course: Course, acts: readonly Act[], now: number): Absence | null {
	const at = acts.findIndex((act) => act.do === 'away' && act.did === null);
	const act = acts[at];
	if (act?.do !== 'away') return null;
	const seen = doneSteps(course, answered(acts, at, false), now);
	const passed = [...doneSteps(course, answered(acts, at, true), now)].filter((step) => !seen.has(step));
	return { from: act.at, to: act.to, sets: setsOf(course, passed), isLast: at === acts.length - 1 };
}

/** Steps that were done, however much of each. */
const doneSteps = (course: Course, acts: readonly Act[], now: number): Set<number> =>
	new Set(
		[...momentOf(course, acts, now).outcomes].flatMap(([step, { how }]) => (how === 'done' ? [step] : []))
	);

/** Sets that steps have something of: the two sides of a set are one. */
const setsOf = (course: Course, steps: readonly number[]): number =>
	new Set(
		steps.flatMap((step) => course.steps[step]?.tasks.map(({ exercise, set }) => `${exercise} ${set}`) ?? [])
	).size;

/**
 * What was done, with the answer to the first absence that is open.
 *
 * @param answer `did`: all of it was done; `did-not`: none of it; `back`: it goes on where it was left, as if it had been paused
 * @param now epoch milliseconds; only `back` needs it
 */
export function answerAbsence(acts: readonly Act[], answer: 'did' | 'did-not' | 'back', now: number): Act[] {
	const at = acts.findIndex((act) => act.do === 'away' && act.did === null);
	const act = acts[at];
	if (act?.do !== 'away') return [...acts];
	if (answer !== 'back') return answered(acts, at, answer === 'did');
	return [...acts.slice(0, at), { do: 'pause', at: act.at }, { do: 'resume', at: now }];
}

/** Milliseconds by which two answers of a server may differ though no clock was changed. */
const SAME_CLOCK = 5000;

/**
 * Milliseconds by which a device's clock was put on between two moments.
 * @param before @param now milliseconds by which the server's clock was ahead of the device's; null or missing: not known
 */
export function clockShift(before: number | null | undefined, now: number | null): number {
	const shift = (before ?? now ?? 0) - (now ?? before ?? 0);
	return Math.abs(shift) > SAME_CLOCK ? shift : 0;
}

/** What is kept of a session that is under way. */
interface Underway {
	acts: readonly Act[];
	/** The last instant that the device was known to show. */
	seen: number;
	/** Milliseconds by which the server's clock was ahead of the device's. */
	offset?: number | null;
}

/**
 * A session by the clock of now: a device clock that was changed meanwhile moves what was done with it.
 *
 * @param offset milliseconds by which the server's clock is ahead now, or null if it was not reached
 */
export function rebased<Kept extends Underway>(kept: Kept, now: number, offset: number | null): Kept {
	// A clock that shows less than it did was put back by so much at least.
	const put = Math.min(clockShift(kept.offset, offset), now - kept.seen);
	if (put === 0) return kept;
	const moved = (act: Act): Act =>
		act.do === 'away' ? { ...act, at: act.at + put, to: act.to + put } : { ...act, at: act.at + put };
	return {
		...kept,
		seen: kept.seen + put,
		offset: offset ?? kept.offset ?? null,
		acts: kept.acts.map(moved)
	};
}

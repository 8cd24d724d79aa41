import type { DayKind, DueWindow } from '../calendar';
import { holdAt, type Hold } from '../health';
import { dayState, type CreditPolicy, type DayResult } from './day-state';
import { entryOf, type Strip } from './strip';

/** What of a day of the plan decides how it stands for a person. */
export interface PlannedFacts {
	/** From 1. */
	day: number;
	kind: DayKind;
	/** Why nobody does it; null: they do. */
	cancelled: string | null;
}

/** What of an enrolment decides it. */
export interface OwnFacts {
	/** First day that is this person's: a late joiner is not asked for those before. */
	fromDay: number;
	strip: Strip;
	/** Times at which nothing is released to them. */
	holds: readonly Hold[];
}

/** How a day of a challenge stands for one person. */
export interface PersonDay extends PlannedFacts, DayResult {
	window: DueWindow;
	/** Whether it is one of theirs. */
	theirs: boolean;
	/** Whether it has opened for them. */
	open: boolean;
	/** Why it is not asked for, where it is not; null otherwise. */
	why: 'before they joined' | 'excused' | 'paused' | 'cancelled for everyone' | 'held' | null;
}

/** Whether a day is one of somebody's: the one place that says so. */
export const isTheirs = ({ fromDay }: Pick<OwnFacts, 'fromDay'>, day: number): boolean => day >= fromDay;

const WHY = {
	'check-in': null,
	excuse: 'excused',
	pause: 'paused',
	cancelled: 'cancelled for everyone'
} as const;

/** How one day stands for one person at an instant. Every page, list and file asks this. */
export function personDay(
	planned: PlannedFacts,
	window: DueWindow,
	own: OwnFacts,
	policy: CreditPolicy,
	now: number
): PersonDay {
	const { day, kind, cancelled } = planned;
	const entry = entryOf(own.strip, day);
	const theirs = isTheirs(own, day);
	const seen = entry && entry.at <= now ? entry : null;
	// What holds when a day closes is what was true of it: somebody who could not do it has not missed it.
	const held = own.holds.length > 0 && holdAt(own.holds, Math.min(now, window.closes - 1)) !== null;
	const { state, credit, pain } = dayState(kind, window, entry, policy, now, theirs, held);
	// Field by field: one of these is made for every day of everybody, and spreading takes as long as all the rest.
	return {
		day,
		kind,
		cancelled,
		state,
		credit,
		pain,
		window,
		theirs,
		open: theirs && window.opens <= now,
		why: theirs ? (seen ? WHY[seen.kind] : state === 'held' ? 'held' : null) : 'before they joined'
	};
}

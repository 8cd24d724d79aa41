import { DAY_MS } from '../calendar';
import type { HouseRules } from '../practice';
import { definitionOf, type Reason, type ReasonKind } from './reason';

/** What a coach did about somebody. */
export interface Answered {
	/** Epoch milliseconds. */
	at: number;
	/** The kinds of reasons that there were then. */
	reasons: readonly ReasonKind[];
	/** Put off until then; null: it was dealt with. */
	until: number | null;
}

/**
 * Whether a reason has been dealt with and need not be shown: pain and praise for good, until they happen anew; the
 * others for as many days as the house gives them to work. What was put off comes back when its time is over, and pain
 * that is new at once.
 */
export function isAnswered(
	reason: Reason,
	answers: readonly Answered[],
	{ againAfter }: HouseRules,
	now: number
): boolean {
	// Nobody who is held at a warning sign is put aside: that ends with what is recorded.
	if (reason.kind === 'stopped') return false;
	const once = definitionOf(reason.kind).isSettledByAnswer;
	return answers.some(({ at, reasons, until }) => {
		if (at > now || !reasons.includes(reason.kind)) return false;
		if (reason.kind === 'pain' && reason.since > at) return false;
		if (until !== null) return now < until;
		return once ? reason.since <= at : now < at + againAfter * DAY_MS;
	});
}

/** What came after a coach had done something about somebody. */
export interface Effect {
	/** When they next checked in; null: not yet. */
	checkedInAt: number | null;
	/** Days of the calendar from one to the other, or until now. */
	days: number;
}

/** @param checkins instants at which somebody checked in, in any order */
export function effectOf(at: number, checkins: readonly number[], now: number): Effect {
	const next = checkins.filter((checkin) => checkin > at && checkin <= now);
	const checkedInAt = next.length > 0 ? Math.min(...next) : null;
	return { checkedInAt, days: Math.floor(((checkedInAt ?? now) - at) / DAY_MS) };
}

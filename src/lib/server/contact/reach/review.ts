/** A challenge looked back on, morning by morning: what the rules would have said, and what came of turning to people. */
import { lastActiveDay } from '$core/attendance';
import { dateOfDay, instantOf } from '$core/calendar';
import { checkinTimes } from '$core/day';
import type { HouseRules } from '$core/practice';
import type { Morning, Reviewed } from '$core/triage';
import type { Challenge } from '../../records/challenge';
import type { Database } from '../../platform/db/database';
import { inNeed } from './triage';

/** By the coach's clock: when somebody looks at who needs them. */
const LOOKS_AT = 7 * 60;
/** People times mornings that are looked at; of more, every second or third morning is. */
const MOST = 8000;

/**
 * Everybody in a challenge with what was open about them on the mornings from one day to another.
 * @param house the rules to go by
 * @param now mornings after it are left out
 */
export async function reviewedOf(
	db: Database,
	challenge: Challenge,
	{ from, to, house, now }: { from: number; to: number; house: HouseRules; now: number }
): Promise<Reviewed[]> {
	const today = await inNeed({ app: { db } }, challenge, now, house);
	const mornings = new Map<string, Morning[]>();
	const step = Math.max(1, Math.ceil((today.length * (to - from + 1)) / MOST));
	for (let day = from; day <= to; day += step) {
		const at = instantOf(dateOfDay(day, challenge.startsOn), LOOKS_AT, challenge.coachZone);
		if (at > now) break;
		// Each morning by itself: what is read for one is let go before the next.
		for (const { person, reasons, answered } of await inNeed({ app: { db } }, challenge, at, house)) {
			const seen = mornings.get(person.id) ?? [];
			seen.push({ day, at, reasons: [...reasons, ...answered].map(({ kind }) => kind) });
			mornings.set(person.id, seen);
		}
	}
	return today.map(({ person, row, reaches }) => ({
		id: person.id,
		mornings: mornings.get(person.id) ?? [],
		checkins: checkinTimes(person.strip),
		lastDay: lastActiveDay(row.days),
		// What went to many at once was about nobody's reason.
		reached: reaches.flatMap(({ way, at, reasons }) =>
			way === 'later' || way === 'settled' || reasons.length === 0 ? [] : at
		)
	}));
}

/** Work that a page waits for while it is there already: that it fails is told on the page, and ends nothing else. */
export function heldBack<T>(work: Promise<T>): Promise<T> {
	work.catch(() => undefined);
	return work;
}

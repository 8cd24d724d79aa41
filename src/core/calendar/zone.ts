import { Temporal } from 'temporal-polyfill';

/** Whether a text names a zone of the IANA time zone database. */
export function isZone(zone: string): boolean {
	// Offsets such as +02:00 are accepted by the library but know no daylight saving: only names will do.
	if (!/^[A-Za-z]/.test(zone)) return false;
	try {
		new Intl.DateTimeFormat('en', { timeZone: zone });
		return true;
	} catch {
		return false;
	}
}

/**
 * The instant at which a local clock shows a time.
 *
 * @param date `YYYY-MM-DD`
 * @param minutes minutes after local midnight, 0…1439
 * @param zone IANA name
 * @returns epoch milliseconds; within a gap of the local clock the first instant after it, of two that show
 *   the same time the first
 * @throws RangeError for a zone or date that does not exist
 */
export function instantOf(date: string, minutes: number, zone: string): number {
	const local = Temporal.PlainDate.from(date).toPlainDateTime({
		hour: Math.floor(minutes / 60),
		minute: minutes % 60
	});
	const zoned = local.toZonedDateTime(zone, { disambiguation: 'compatible' });
	if (zoned.toPlainDateTime().equals(local)) return zoned.epochMilliseconds;
	// One nanosecond on, since a time that is moved to the very end of the gap must still find it.
	const gap = zoned.add({ nanoseconds: 1 }).getTimeZoneTransition('previous');
	return gap?.epochMilliseconds ?? zoned.epochMilliseconds;
}

/** The calendar date that a zone shows at an instant. */
export function dateIn(zone: string, instant: number): string {
	return Temporal.Instant.fromEpochMilliseconds(instant).toZonedDateTimeISO(zone).toPlainDate().toString();
}

/** Minutes after midnight that a zone's clocks show at an instant. */
export function minutesIn(zone: string, instant: number): number {
	const zoned = Temporal.Instant.fromEpochMilliseconds(instant).toZonedDateTimeISO(zone);
	return zoned.hour * 60 + zoned.minute;
}

/** A change of a zone's clocks. Offsets are seconds east of Greenwich. */
export interface OffsetChange {
	/** Epoch milliseconds. */
	at: number;
	before: number;
	after: number;
}

/**
 * What a zone's clocks show over a span of time.
 *
 * @param from epoch milliseconds
 * @param to epoch milliseconds, not before `from`
 * @returns the offset at `from` and every change of it up to `to`
 * @throws RangeError for a zone that does not exist
 */
export function offsetsOf(
	zone: string,
	from: number,
	to: number
): { first: number; changes: OffsetChange[] } {
	const SECOND = 1_000_000_000;
	const start = Temporal.Instant.fromEpochMilliseconds(from).toZonedDateTimeISO(zone);
	const changes: OffsetChange[] = [];
	let now = start;
	for (;;) {
		const next = now.getTimeZoneTransition('next');
		if (!next || next.epochMilliseconds > to) break;
		const [before, after] = [now.offsetNanoseconds / SECOND, next.offsetNanoseconds / SECOND];
		if (before !== after) changes.push({ at: next.epochMilliseconds, before, after });
		now = next;
	}
	return { first: start.offsetNanoseconds / SECOND, changes };
}

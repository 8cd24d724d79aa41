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

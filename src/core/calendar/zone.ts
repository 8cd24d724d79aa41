import { DAY_MS } from './units';
import { Temporal } from 'temporal-polyfill';
import { utcOf } from './dates';

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

/** A time in which a zone's clocks are not changed. Epoch milliseconds, `to` not with it; the offset in milliseconds east. */
interface Span {
	from: number;
	to: number;
	offset: number;
}

/** How far around an instant changes are looked for. */
const FAR = 300 * DAY_MS;
/** Zones whose spans are kept: more than there are, as long as nobody makes up ways to write them. */
const MOST_ZONES = 1000;
const spans = new Map<string, Span[]>();

/** The span around an instant. Looked up once: the library takes a while for each, and a group asks for the same ones. */
function spanAt(zone: string, instant: number): Span {
	const known = spans.get(zone)?.find(({ from, to }) => from <= instant && instant < to);
	if (known) return known;
	// From earlier on, change by change: looking back takes the library fifty times as long.
	let now = Temporal.Instant.fromEpochMilliseconds(Math.floor(instant) - FAR).toZonedDateTimeISO(zone);
	let next = now.getTimeZoneTransition('next');
	while (next && next.epochMilliseconds <= instant) {
		now = next;
		next = now.getTimeZoneTransition('next');
	}
	const span = {
		from: now.epochMilliseconds,
		to: Math.min(next?.epochMilliseconds ?? Infinity, instant + FAR),
		offset: now.offsetNanoseconds / 1e6
	};
	if (spans.size >= MOST_ZONES) spans.clear();
	spans.set(zone, [...(spans.get(zone) ?? []), span]);
	return span;
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
	const midnight = utcOf(date);
	if (midnight !== null && Number.isInteger(minutes) && minutes >= 0 && minutes < 24 * 60) {
		const utc = midnight + minutes * 60_000;
		const { from, to, offset } = spanAt(zone, utc);
		const instant = utc - offset;
		// Two days from any change of the clocks a time is shown once: no zone is further than that from another.
		if (instant >= from + 2 * DAY_MS && instant < to - 2 * DAY_MS) return instant;
	}
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
	return new Date(instant + spanAt(zone, instant).offset).toISOString().slice(0, 10);
}

/** Minutes after midnight that a zone's clocks show at an instant. */
export function minutesIn(zone: string, instant: number): number {
	const local = Math.floor((instant + spanAt(zone, instant).offset) / 60_000);
	return ((local % (24 * 60)) + 24 * 60) % (24 * 60);
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

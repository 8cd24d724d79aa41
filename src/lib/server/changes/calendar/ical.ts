/** Calendars as files: RFC 5545, with the zones that they use written out. */
import ical, { escape, ICalCalendarMethod, ICalEventStatus, ICalEventTransparency } from 'ical-generator';
import { Temporal } from 'temporal-polyfill';
import { offsetsOf, DAY_MS } from '$core/calendar';

/** When an event is: an hour by somebody's clock, or a whole day. */
export type EventTime = { start: number; minutes: number; zone: string } | { date: string };

export interface CalendarEvent {
	/** The same for the same thing for ever. */
	uid: string;
	sequence: number;
	/** When it became what it is, epoch milliseconds. */
	changedAt: number;
	cancelled: boolean;
	title: string;
	details: string;
	url: string;
	time: EventTime;
}

export interface CalendarFile {
	name: string;
	about: string;
	events: readonly CalendarEvent[];
}

const two = (n: number) => String(Math.floor(n)).padStart(2, '0');
const offsetText = (seconds: number): string => {
	const size = Math.abs(seconds);
	return `${seconds < 0 ? '-' : '+'}${two(size / 3600)}${two((size % 3600) / 60)}`;
};
/** A local time as RFC 5545 writes it: the instant as clocks at an offset show it. */
const localText = (instant: number, offset: number): string =>
	new Date(instant + offset * 1000).toISOString().replace(/[-:]|\.000Z/g, '');

/**
 * The VTIMEZONE of a zone for a span of time (RFC 5545, 3.6.5): the offset that holds at its beginning and every change
 * within it. Written from the rules by which days open, so that an event is at the instant at which its day is.
 */
export function zoneBlock(zone: string, from: number, to: number): string {
	const { first, changes } = offsetsOf(zone, from, to);
	const observance = (kind: string, start: string, before: number, after: number) =>
		[
			`BEGIN:${kind}`,
			`DTSTART:${start}`,
			`TZOFFSETFROM:${offsetText(before)}`,
			`TZOFFSETTO:${offsetText(after)}`,
			`END:${kind}`
		].join('\r\n');
	// Which of the two an offset is called changes nothing; the larger one of a change is the summer's by custom.
	const firstKind = changes[0] && changes[0].after < changes[0].before ? 'DAYLIGHT' : 'STANDARD';
	return [
		'BEGIN:VTIMEZONE',
		`TZID:${zone}`,
		observance(firstKind, '19700101T000000', first, first),
		...changes.map(({ at, before, after }) =>
			observance(after > before ? 'DAYLIGHT' : 'STANDARD', localText(at, before), before, after)
		),
		'END:VTIMEZONE'
	].join('\r\n');
}

const HOUR_S = 3600;

/** Signs that no text of a calendar may have (RFC 5545, 3.1). */
// eslint-disable-next-line no-control-regex
const plain = (text: string): string => text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/g, '');

/** A calendar as text, to be saved or subscribed to. */
export function calendarText({ name, about, events }: CalendarFile): string {
	const calendar = ical({
		// The package takes these two as they are.
		name: escape(plain(name), false),
		description: escape(plain(about), false),
		prodId: { company: 'Cadrex', product: 'Challenge calendar', language: 'EN' },
		method: ICalCalendarMethod.PUBLISH,
		ttl: HOUR_S
	});
	for (const { uid, sequence, changedAt, cancelled, title, details, url, time } of events) {
		const stamp = new Date(changedAt);
		const event = calendar.createEvent({
			id: uid,
			sequence,
			stamp,
			lastModified: stamp,
			summary: plain(title),
			description: plain(details),
			url,
			status: cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
			...('date' in time
				? {
						allDay: true,
						start: Temporal.PlainDate.from(time.date),
						// A whole day takes no time out of the day of the one who reads it.
						transparency: ICalEventTransparency.TRANSPARENT
					}
				: { start: zoned(time.start, time.zone), end: zoned(time.start + time.minutes * 60_000, time.zone) })
		});
		if ('zone' in time) event.timezone(time.zone);
	}
	// Zones stand after the calendar's own properties and before the first event that needs them (RFC 5545, 3.4).
	return calendar.toString().replace('BEGIN:VEVENT', (first) => `${zoneBlocks(events)}${first}`);
}

/** The zones of some events, each once. */
function zoneBlocks(events: readonly CalendarEvent[]): string {
	const spans = new Map<string, { from: number; to: number }>();
	for (const { time } of events) {
		if (!('zone' in time)) continue;
		const { from, to } = spans.get(time.zone) ?? { from: time.start, to: time.start };
		spans.set(time.zone, { from: Math.min(from, time.start), to: Math.max(to, time.start) });
	}
	return [...spans]
		.map(([zone, { from, to }]) => `${zoneBlock(zone, from - DAY_MS, to + 2 * DAY_MS)}\r\n`)
		.join('');
}

const zoned = (instant: number, zone: string) =>
	Temporal.Instant.fromEpochMilliseconds(instant).toZonedDateTimeISO(zone);

/**
 * Calendars as RFC 5545 has them, read back by ical.js (an independent reader). Rules on octets and escapes are from
 * the RFC's sections 3.1 and 3.3.11, from memory.
 */
import { DAY_MS } from '$core/calendar';
import ICAL from 'ical.js';
import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import { calendarText, zoneBlock, type CalendarEvent } from '$lib/server/changes/calendar/ical';

const event = (more: Partial<CalendarEvent> = {}): CalendarEvent => ({
	uid: 'day-1.x@cadrex',
	sequence: 0,
	changedAt: Date.parse('2026-03-01T00:00:00Z'),
	cancelled: false,
	title: 'Day 1',
	details: '',
	url: 'https://cadrex.example/me',
	time: { start: Date.parse('2026-03-29T04:30:00Z'), minutes: 30, zone: 'Europe/Oslo' },
	...more
});
const textOf = (...events: CalendarEvent[]) => calendarText({ name: 'Hut', about: 'Carry', events });

/** As a calendar program would read it: its own zones, nothing else known. */
function readBack(text: string) {
	const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
	const zones = calendar.getAllSubcomponents('vtimezone').map((block) => new ICAL.Timezone(block));
	for (const zone of zones) ICAL.TimezoneService.register(zone);
	return {
		calendar,
		events: calendar.getAllSubcomponents('vevent').map((block) => new ICAL.Event(block))
	};
}
const msOf = (time: ICAL.Time) => time.toJSDate().getTime();

describe('a calendar', () => {
	it('has lines of at most 75 octets, each ended by CRLF, whatever is written in it', () => {
		const words = fc.string({ unit: 'grapheme', maxLength: 200 });
		fc.assert(
			fc.property(words, words, (title, details) => {
				const text = calendarText({
					name: title || 'x',
					about: details,
					events: [event({ title, details })]
				});
				for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
				expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
			}),
			{ numRuns: 100 }
		);
	});

	it('gives back every text as it was: commas, semicolons, backslashes, line ends, letters of all kinds', () => {
		const awkward = 'Huts, ridges; C:\\n "quoted"\nsecond line: ⛰ åß→漢字 👩🏽‍🔧 '.repeat(3).trim();
		const { calendar, events } = readBack(
			calendarText({
				name: awkward.replaceAll('\n', ' '),
				about: awkward,
				events: [event({ title: awkward.replaceAll('\n', ' '), details: awkward })]
			})
		);
		expect(events[0]?.summary).toBe(awkward.replaceAll('\n', ' '));
		expect(events[0]?.description).toBe(awkward);
		// The reader does not know these two as text and leaves their escapes to be undone by hand.
		const undone = (name: string) =>
			String(calendar.getFirstPropertyValue(name)).replace(/\\(.)/g, (_, sign: string) =>
				sign === 'n' ? '\n' : sign
			);
		expect(undone('name')).toBe(awkward.replaceAll('\n', ' '));
		expect(undone('x-wr-caldesc')).toBe(awkward);
	});

	it('leaves out what no text of a calendar may have', () => {
		const { events } = readBack(textOf(event({ title: 'a\u0000b\u0007c\td' })));
		expect(events[0]?.summary).toBe('abc\td');
	});

	it('has what the RFC asks of a calendar and of an event, properties before components', () => {
		const text = textOf(event({ sequence: 3 }), event({ uid: 'b', time: { date: '2028-02-29' } }));
		const { calendar, events } = readBack(text);
		expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
		expect(String(calendar.getFirstPropertyValue('prodid'))).toContain('Cadrex');
		expect(events[0]?.sequence).toBe(3);
		expect(events[0]?.component.getFirstPropertyValue('dtstamp')?.toString()).toBe('2026-03-01T00:00:00Z');
		expect(events[1]?.startDate.isDate).toBe(true);
		expect(events[1]?.startDate.toString()).toBe('2028-02-29');
		const order = text.split('\r\n').filter((line) => /^(REFRESH|X-|NAME|METHOD|BEGIN:V)/.test(line));
		const firstPart = order.findIndex((line) => /BEGIN:VTIMEZONE/.test(line));
		const firstEvent = order.findIndex((line) => /BEGIN:VEVENT/.test(line));
		expect(firstPart).toBe(order.findIndex((line) => /REFRESH|X-PUBLISHED/.test(line)) + 2);
		expect(firstEvent).toBe(firstPart + 1);
	});

	it('says of an event that is withdrawn that it is cancelled', () => {
		const { events } = readBack(textOf(event({ cancelled: true })));
		expect(events[0]?.component.getFirstPropertyValue('status')).toBe('CANCELLED');
	});
});

describe('the zones of a calendar', () => {
	const SOME = [
		'Europe/Oslo',
		'Europe/Dublin',
		'America/St_Johns',
		'America/Santiago',
		'Australia/Lord_Howe',
		'Asia/Kathmandu',
		'Africa/Casablanca',
		'Pacific/Apia',
		'Pacific/Chatham',
		'Asia/Tehran',
		'UTC'
	];

	it.each(SOME)('put an event in %s at its very instant, on every day of a year', (zone) => {
		const first = Date.parse('2026-02-20T00:00:00Z');
		const instants = Array.from({ length: 365 }, (_, i) => first + i * DAY_MS + (i % 24) * 3_600_000);
		const { events } = readBack(
			textOf(...instants.map((start, i) => event({ uid: `e${i}`, time: { start, minutes: 45, zone } })))
		);
		events.forEach(({ startDate, endDate }, i) => {
			expect(msOf(startDate)).toBe(instants[i]);
			expect(msOf(endDate)).toBe((instants[i] ?? 0) + 45 * 60_000);
		});
		// And the clock face is the one that luxon knows for that zone.
		for (const at of [0, 37, 250])
			expect(events[at]?.startDate.toString().replace('Z', '')).toBe(
				DateTime.fromMillis(instants[at] ?? 0, { zone }).toFormat("yyyy-MM-dd'T'HH:mm:ss")
			);
	});

	it('begins a change at the local time that the clocks showed before it', () => {
		expect(zoneBlock('Europe/Oslo', Date.parse('2026-03-01T00:00Z'), Date.parse('2026-04-01T00:00Z'))).toBe(
			[
				'BEGIN:VTIMEZONE',
				'TZID:Europe/Oslo',
				'BEGIN:STANDARD',
				'DTSTART:19700101T000000',
				'TZOFFSETFROM:+0100',
				'TZOFFSETTO:+0100',
				'END:STANDARD',
				'BEGIN:DAYLIGHT',
				'DTSTART:20260329T020000',
				'TZOFFSETFROM:+0100',
				'TZOFFSETTO:+0200',
				'END:DAYLIGHT',
				'END:VTIMEZONE'
			].join('\r\n')
		);
	});
});

import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import type { PersonDay } from '../day';
import { messageReminder, sessionReminders, type MessageFacts, type ReminderHours } from './reminders';

const HOUR = 3_600_000;
const NIGHT = { from: 21 * 60, to: 7 * 60 };
const ZONE = 'Europe/Oslo';
const at = (iso: string, zone = ZONE) => DateTime.fromISO(iso, { zone }).toMillis();
const says = (instant: number, zone = ZONE) =>
	DateTime.fromMillis(instant, { zone }).toFormat('yyyy-MM-dd HH:mm');

/** A day that opens at 05:30 and is due at midnight. */
const day = (date: string, more: Partial<PersonDay> = {}): PersonDay => ({
	day: 3,
	kind: 'train',
	cancelled: null,
	state: 'open',
	credit: 0,
	pain: false,
	theirs: true,
	open: true,
	why: null,
	window: {
		opens: at(`${date}T05:30`),
		due: at(`${date}T00:00`) + 24 * HOUR,
		closes: at(`${date}T00:00`) + 48 * HOUR
	},
	...more
});
const hours = (trainsAt: number | null, quiet = NIGHT): ReminderHours => ({ zone: ZONE, trainsAt, quiet });
const reminders = (days: PersonDay[], own: ReminderHours, now: string) =>
	sessionReminders(days, () => true, own, at(now)).map(({ about, at: from, until }) => [
		about,
		says(from),
		says(until)
	]);

describe('sessionReminders', () => {
	const today = [day('2026-11-25')];
	it('come at the hour at which the person trains', () => {
		expect(reminders(today, hours(18 * 60), '2026-11-25T06:00')).toEqual([
			['3', '2026-11-25 18:00', '2026-11-25 22:00']
		]);
	});
	it('come as the day opens without an hour, after quiet hours', () => {
		expect(reminders(today, hours(null, { from: 0, to: 0 }), '2026-11-25T05:30')[0]?.[1]).toBe(
			'2026-11-25 05:30'
		);
		expect(reminders(today, hours(null), '2026-11-25T05:30')[0]?.[1]).toBe('2026-11-25 07:00');
		expect(reminders(today, hours(4 * 60), '2026-11-25T05:30')[0]?.[1], 'an hour before it opens').toBe(
			'2026-11-25 07:00'
		);
	});
	it('for an hour in the quiet hours of the evening come an hour before those begin', () => {
		expect(reminders(today, hours(22 * 60), '2026-11-25T06:00')[0]?.slice(1)).toEqual([
			'2026-11-25 20:00',
			'2026-11-26 00:00'
		]);
	});
	it('are stale after four hours, and when the day is due', () => {
		expect(reminders(today, hours(null), '2026-11-25T10:59')).toHaveLength(1);
		expect(reminders(today, hours(null), '2026-11-25T11:00')).toEqual([]);
	});
	it.each(['done', 'partial', 'excused', 'held', 'rest', 'cancelled', 'missed'] as const)(
		'are none for a day that is %s',
		(state) => {
			expect(reminders([day('2026-11-25', { state })], hours(null), '2026-11-25T07:00')).toEqual([]);
		}
	);
	it('are none for a day of somebody else, or without a session', () => {
		expect(reminders([day('2026-11-25', { theirs: false })], hours(null), '2026-11-25T07:00')).toEqual([]);
		expect(sessionReminders(today, () => false, hours(null), at('2026-11-25T07:00'))).toEqual([]);
	});
	it('tell of the next days too, the earliest first, and of none later than two days', () => {
		const ahead = { state: 'ahead', open: false } as const;
		const days = ['2026-11-25', '2026-11-26', '2026-11-29'].map((date, i) =>
			day(date, { day: 3 + i, ...(i > 0 && ahead) })
		);
		expect(reminders(days, hours(18 * 60), '2026-11-25T06:00').map(([about]) => about)).toEqual(['3', '4']);
	});
	it('never fall into quiet hours, wherever somebody is and whenever they train', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(
					'Pacific/Apia',
					'America/St_Johns',
					'Asia/Kathmandu',
					'Europe/Oslo',
					'Pacific/Auckland'
				),
				fc.option(fc.integer({ min: 0, max: 1439 })),
				fc.integer({ min: 0, max: 364 }),
				fc.integer({ min: 18 * 60, max: 1439 }),
				fc.integer({ min: 1, max: 9 * 60 }),
				(zone, trainsAt, after, from, to) => {
					const opens = DateTime.fromISO('2026-01-01T05:30', { zone }).plus({ days: after });
					const window = {
						opens: opens.toMillis(),
						due: opens.endOf('day').toMillis(),
						closes: opens.toMillis() + 48 * HOUR
					};
					const [first] = sessionReminders(
						[day('2026-11-25', { window })],
						() => true,
						{ zone, trainsAt, quiet: { from, to } },
						opens.toMillis()
					);
					const local = DateTime.fromMillis(first!.at, { zone });
					const minutes = local.hour * 60 + local.minute;
					expect(minutes >= to && minutes < from, `${local.toISO()}`).toBe(true);
					expect(first!.at).toBeGreaterThanOrEqual(window.opens);
					expect(first!.until).toBeLessThanOrEqual(window.due);
				}
			)
		);
	});
});

describe('messageReminder', () => {
	const message = { id: 'm', at: at('2026-11-25T12:00'), readAt: null, answered: false, isPersonal: true };
	const from = (more: Partial<MessageFacts>) => {
		const reminder = messageReminder({ ...message, ...more }, hours(null));
		return reminder && [reminder.about, says(reminder.at)];
	};
	it('comes after an hour unread', () => {
		expect(from({})).toEqual(['m unread', '2026-11-25 13:00']);
	});
	it('comes after a day read and unanswered, once more and only for what was written to them alone', () => {
		expect(from({ readAt: message.at + HOUR })).toEqual(['m unanswered', '2026-11-26 12:00']);
		expect(from({ readAt: message.at + HOUR, isPersonal: false })).toBeNull();
	});
	it('waits for the end of quiet hours', () => {
		expect(from({ at: at('2026-11-25T20:30') })).toEqual(['m unread', '2026-11-26 07:00']);
	});
	it('is none for one that was answered', () => {
		expect(from({ answered: true })).toBeNull();
	});
});

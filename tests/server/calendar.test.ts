import ICAL from 'ical.js';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { insertDays, putDays, swapDays } from '$core/plan';
import { revokeLink } from '$lib/server/people/links';
import {
	revokeCoachCalendarLink,
	revokePersonCalendarLink,
	createCoachCalendarLink,
	createPersonCalendarLink,
	ownerOf
} from '$lib/server/edge/exports/calendar/links';
import { coachCalendar, personCalendar } from '$lib/server/changes/calendar/calendars';
import { challengeOf } from '$lib/server/records/challenge';
import { enrol } from '$lib/server/people/enrol';
import { excuse, unexcuse } from '$lib/server/done/attendance/excuses';
import { setHour } from '$lib/server/people/hour';
import { takeDaysOff } from '$lib/server/training/plan/days-off';
import { openPlan, savePlan } from '$lib/server/training/plan/plan';
import type { Plan } from '$core/plan';
import {
	makeChallenge,
	makeCoach,
	makeWorld,
	testContext,
	type TestContext,
	type World,
	ownPersonOf
} from '../support/context';
import { refusal } from '../support/refusal';

let context: TestContext;
let world: World;
const begin = async () => {
	context = await testContext();
	context.at('2026-11-23T07:00:00Z');
	world = await makeWorld(context);
};
const end = () => context.db.close();

interface Read {
	uid: string;
	day: number;
	sequence: number;
	start: string;
	status: string;
	title: string;
	details: string;
}
function read(text: string): Read[] {
	const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
	return calendar.getAllSubcomponents('vevent').map((block) => {
		const event = new ICAL.Event(block);
		return {
			uid: event.uid,
			day: Number(/^day-(\d+)/.exec(event.uid)?.[1]),
			sequence: event.sequence ?? 0,
			start: event.startDate.toString(),
			status: String(block.getFirstPropertyValue('status')),
			title: event.summary,
			details: event.description
		};
	});
}
const origin = 'https://cadrex.example';
const feed = async (person = 0, withdrawn = false) =>
	read(await personCalendar(context, world.people[person]!.enrolmentId, { withdrawn, origin }));
const coachFeed = async () =>
	read(await coachCalendar(context, world.challenge.id, { withdrawn: false, origin }));
const save = async (change: (plan: Plan) => Plan) => {
	const { plan, revision } = await openPlan(
		context,
		await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer')
	);
	await savePlan(context, world.challenge, { revision, plan: change(plan) });
};
const sequences = (events: Read[]) => Object.fromEntries(events.map(({ day, sequence }) => [day, sequence]));

describe('a person’s calendar', () => {
	beforeEach(begin);
	afterEach(end);

	it('has an event on each day with work, none on a day of rest, at the opening hour of their own zone', async () => {
		const events = await feed(1);
		expect(events.map(({ day }) => day)).toEqual([1, 2, 3, 4, 5, 8, 9, 10, 11, 12]);
		expect(events[0]).toMatchObject({ start: '2026-11-23T05:30:00', status: 'CONFIRMED' });
		expect(events[0]?.details).toContain('Session 1 of 10, 9 left after it.');
		expect(events[4]?.details).toContain('Halfway.');
		expect(events[9]?.details).toContain('the last one');
	});

	it('never says what is done on a day', async () => {
		const text = await personCalendar(context, world.people[0]!.enrolmentId, { withdrawn: false, origin });
		expect(text).not.toMatch(/Small|squat|plank/i);
	});

	it('follows the hour at which they train; a wrong one is refused', async () => {
		await setHour(context, world.people[0]!.enrolmentId, { hour: '18:15' });
		const moved = await feed();
		expect(moved[0]?.start).toBe('2026-11-23T18:15:00');
		await setHour(context, world.people[0]!.enrolmentId, { hour: '' });
		expect((await feed())[0]).toMatchObject({ start: '2026-11-23T05:30:00', uid: moved[0]?.uid });
		for (const hour of ['24:00', '6', 'noon'])
			expect((await refusal(setHour(context, world.people[0]!.enrolmentId, { hour }))).status).toBe(400);
	});

	it('keeps uid and sequence of what stays, and raises the sequence of what changed alone', async () => {
		const before = await feed();
		context.at('2026-11-23T08:00:00Z');
		expect(await feed()).toEqual(before);
		await save((plan) => putDays(plan, [9], { kind: 'cardio' }));
		const after = await feed();
		expect(after.map(({ uid }) => uid)).toEqual(before.map(({ uid }) => uid));
		expect(sequences(after)).toEqual({ ...sequences(before), 9: (sequences(before)[9] ?? 0) + 1 });
		expect(after.find(({ day }) => day === 9)?.title).toContain('cardio');
	});

	it('drops what is off, cancels it in a file, and numbers on when it comes back', async () => {
		const before = sequences(await feed());
		await takeDaysOff(context, world.challenge, {
			how: 'cancel',
			days: [10],
			reason: 'Storm'
		});
		expect((await feed()).some(({ day }) => day === 10)).toBe(false);
		const file = await feed(0, true);
		expect(file.find(({ day }) => day === 10)).toMatchObject({
			status: 'CANCELLED',
			sequence: (before[10] ?? 0) + 1,
			start: '2026-12-02T05:30:00'
		});
		const [person] = world.people;
		// The place of every later day among them has changed too.
		const mine = sequences(await feed());
		const others = sequences(await feed(1));
		await excuse(context, await ownPersonOf(context, world, person!.enrolmentId), {
			days: [11],
			reason: 'Away'
		});
		expect((await feed()).some(({ day }) => day === 11)).toBe(false);
		await unexcuse(context, await ownPersonOf(context, world, person!.enrolmentId), { day: 11 });
		expect((await feed()).find(({ day }) => day === 11)?.sequence).toBe((mine[11] ?? 0) + 2);
		// What somebody else’s record says changes nobody’s calendar but theirs.
		expect(sequences(await feed(1))[11]).toBe(others[11]);
	});

	it('moves with a plan that is shifted, and does not outgrow one that is cut', async () => {
		await feed();
		await save((plan) => insertDays(plan, 8, 2));
		const longer = await feed();
		expect(longer.map(({ day }) => day)).toEqual([1, 2, 3, 4, 5, 10, 11, 12, 13, 14]);
		await save((plan) => ({ ...plan, days: plan.days.slice(0, 5) }));
		expect(
			(await feed(0, true)).filter(({ status }) => status === 'CANCELLED').map(({ day }) => day)
		).toEqual(expect.arrayContaining([8, 9, 10, 11, 12, 13, 14]));
	});

	it('begins with the day on which somebody joined, or runs on their own clock', async () => {
		const join = async (lateJoiners: 'group' | 'own') => {
			const challenge = await makeChallenge(context, world.coach, { name: lateJoiners, lateJoiners });
			context.at('2026-11-26T12:00:00Z');
			const [link] = await enrol(
				context,
				challenge,
				[
					{
						name: 'Late',
						email: 'late@example.org',
						zone: 'Europe/Oslo',
						level: 'beginner',
						kit: [],
						unread: []
					}
				],
				null
			);
			context.at('2026-11-23T07:00:00Z');
			return read(await personCalendar(context, link!.enrolmentId, { withdrawn: false, origin }));
		};
		// Thursday is day 4 of the group; on an own clock it is day 1, and everything comes three days later.
		const group = await join('group');
		expect(group[0]).toMatchObject({ day: 4, start: '2026-11-26T05:30:00' });
		const own = await join('own');
		expect(own[0]).toMatchObject({ day: 1, start: '2026-11-26T05:30:00' });
		expect(own).toHaveLength(10);
	});

	it('gives the hours of the one zone that opens the days for all on each person’s own clock', async () => {
		const challenge = await makeChallenge(context, world.coach, {
			name: 'One morning',
			ownZones: false,
			releaseZone: 'Europe/Oslo'
		});
		const links = await enrol(
			context,
			challenge,
			['Europe/Oslo', 'America/Bogota'].map((zone, i) => ({
				name: `Person ${i}`,
				email: `one${i}@example.org`,
				zone,
				level: 'beginner' as const,
				kit: [],
				unread: []
			})),
			null
		);
		const starts = await Promise.all(
			links.map(async ({ enrolmentId }) => {
				const [event] = read(await personCalendar(context, enrolmentId, { withdrawn: false, origin }));
				return event?.start;
			})
		);
		// Half past five in Oslo is half past eleven of the evening before in Bogota.
		expect(starts).toEqual(['2026-11-23T05:30:00', '2026-11-22T23:30:00']);
	});

	it('asked for twice at once numbers its events once', async () => {
		await feed();
		await save((plan) => swapDays(plan, 5, 6));
		const both = await Promise.all([feed(), feed()]);
		expect(both[0]).toEqual(both[1]);
		expect(Math.max(...both[0].map(({ sequence }) => sequence))).toBeLessThanOrEqual(1);
	});
});

describe('the coach’s calendar', () => {
	beforeAll(begin);
	afterAll(end);

	it('has whole days with the session and its minutes', async () => {
		const events = await coachFeed();
		expect(events).toHaveLength(10);
		expect(events[1]).toMatchObject({ start: '2026-11-24' });
		expect(events[1]?.title).toMatch(/^Day 2 of 14, training: Small, \d+ min$/);
	});

	it('raises the sequence of a day whose session changes', async () => {
		const before = sequences(await coachFeed());
		await save((plan) => putDays(plan, [12], { session: null }));
		const after = sequences(await coachFeed());
		expect(after).toEqual({ ...before, 12: (before[12] ?? 0) + 1 });
	});
});

describe('addresses', () => {
	beforeAll(begin);
	afterAll(end);

	it('open one calendar until they are ended or made anew', async () => {
		const { enrolmentId } = world.people[0]!;
		const first = await createPersonCalendarLink(context, enrolmentId);
		expect(await ownerOf(context.db, first)).toEqual({ enrolmentId });
		const second = await createPersonCalendarLink(context, enrolmentId);
		expect(await ownerOf(context.db, first)).toBeNull();
		await revokePersonCalendarLink(context.db, enrolmentId);
		expect(await ownerOf(context.db, second)).toBeNull();
		expect(await ownerOf(context.db, '')).toBeNull();
	});

	it('end when the person’s link is revoked', async () => {
		const { enrolmentId } = world.people[1]!;
		const secret = await createPersonCalendarLink(context, enrolmentId);
		await revokeLink(context, await ownPersonOf(context, world, enrolmentId));
		expect(await ownerOf(context.db, secret)).toBeNull();
	});

	it('are a coach’s own for her challenge', async () => {
		const { challenge } = world;
		const secret = await createCoachCalendarLink(context, challenge);
		expect(await ownerOf(context.db, secret)).toEqual({ challengeId: challenge.id });
		const other = await makeCoach(context, 'Other');
		expect((await refusal(challengeOf(context.db, other.id, challenge.id, 'viewer'))).status).toBe(404);
		await revokeCoachCalendarLink(context.db, challenge);
		expect(await ownerOf(context.db, secret)).toBeNull();
	});
});

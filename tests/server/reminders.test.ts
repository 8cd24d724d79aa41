import { beforeEach, describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { excuse, pause } from '$lib/server/done/attendance/excuses';
import { makeLink } from '$lib/server/changes/links';
import { openLink, signOutDevice } from '$lib/server/account/auth/link';
import { type Person } from '$lib/server/records/person';
import { markRead, writeTo, writeToCoach } from '$lib/server/contact/messages/messages';
import { setHour } from '$lib/server/people/hour';
import { leave } from '$lib/server/people/leave';
import { hashToken } from '$lib/server/platform/ids';
import { openPush, type Push, type PushTarget } from '$lib/server/platform/push';
import { PushStandIn } from '$lib/server/platform/push-stand-in';
import {
	choose,
	remind,
	remindersOf,
	stopFromNotification,
	turnOff,
	turnOn
} from '$lib/server/contact/post/reminders';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';

/** Day 3 opens at 05:30 in Oslo; quiet hours end at 07:00. */
const NIGHT = '2026-11-25T03:00:00Z';
const MORNING = '2026-11-25T06:00:00Z';

let context: TestContext;
let world: World;
let service: PushStandIn;
let push: Push;
let oslo: Person;
let token: string;
let phone: PushTarget;

beforeEach(async () => {
	context = await testContext();
	context.at(NIGHT);
	world = await makeWorld(context);
	service = new PushStandIn(context.clock);
	push = await openPush(context.db, 'mailto:coach@hut.example', service.transport);
	oslo = world.people[0]!;
	token = await signIn(oslo);
	phone = service.subscribe(push.publicKey);
	await turnOn(context, oslo, hashToken(token), { ...phone, sessions: true, messages: true });
	await remind(context, push);
	return () => context.db.close();
});

/** A device that opened the person's link. */
async function signIn(person: Person): Promise<string> {
	const secret = await makeLink(context.db, context, person.enrolmentId, world.coach.id);
	return (await openLink(context, secret))!;
}
const own = (person = oslo) => ownPersonOf(context, world, person.enrolmentId);
/** Notifications received by a phone, the oldest first, without the first one. */
const arrived = (at = phone) =>
	service
		.arrivedAt(at.endpoint)
		.map(({ payload }) => JSON.parse(payload) as { title: string; body: string; url: string; stop: string })
		.filter(({ title }) => title !== 'Reminders are on')
		.reverse();
const titles = (at = phone) => arrived(at).map(({ title }) => title);
async function remindAt(iso: string): Promise<string[]> {
	context.at(iso);
	await remind(context, push);
	return titles();
}
const fromCoach = async (text: string) =>
	writeTo(context, world.challenge, await own(), world.coach.id, { id: context.ids.uuid(), text }, [
		'missing'
	]);

describe('turning reminders on', () => {
	it('sends a first notification at once', () => {
		expect(
			service.arrivedAt(phone.endpoint).map(({ payload }) => (JSON.parse(payload) as { title: string }).title)
		).toEqual(['Reminders are on']);
	});
	it('stores what was chosen, and what is changed', async () => {
		expect(await remindersOf(context.db, hashToken(token))).toMatchObject({ sessions: true, messages: true });
		await choose(context, hashToken(token), { sessions: false, messages: true });
		expect(await remindersOf(context.db, hashToken(token))).toMatchObject({
			sessions: false,
			messages: true
		});
		expect(await remindAt(MORNING)).toEqual([]);
	});
	it.each([
		['endpoint', 'http://push.example/1'],
		['endpoint', 'https://127.0.0.1/1'],
		['endpoint', 'https://localhost/1'],
		['endpoint', 'https://[::1]/1'],
		['endpoint', 'https://push.example:8443/1'],
		['endpoint', 'https://user@push.example/1'],
		['endpoint', `https://push.example/${'x'.repeat(1000)}`],
		['p256dh', 'short'],
		['auth', '!'.repeat(22)]
	])('refuses %s %s', async (field, value) => {
		const raw = { ...phone, sessions: true, messages: true, [field]: value };
		await expect(turnOn(context, oslo, hashToken(token), raw)).rejects.toMatchObject({ status: 400 });
	});
	it('asks for at least one reminder', async () => {
		const raw = { ...phone, sessions: false, messages: false };
		await expect(turnOn(context, oslo, hashToken(token), raw)).rejects.toMatchObject({ status: 400 });
	});
	it('keeps ten devices of a person, the newest', async () => {
		const phones = [phone];
		for (let i = 0; i < 10; i++) {
			context.at(new Date(context.clock.now() + 1000).toISOString());
			const { db } = context;
			const other = `device ${i}`;
			await db.query(
				"insert into participant_login (token_hash, enrolment_id, created_at, expires_at) values ($1, $2, now(), now() + interval '1 year')",
				[other, oslo.enrolmentId]
			);
			phones.push(service.subscribe(push.publicKey));
			await turnOn(context, oslo, other, { ...phones.at(-1)!, sessions: true, messages: true });
		}
		expect(await remindersOf(context.db, hashToken(token))).toBeNull();
		expect(await remindersOf(context.db, 'device 0')).not.toBeNull();
		expect(await remindersOf(context.db, 'device 9')).not.toBeNull();
	});
});

describe('a session', () => {
	it('is reminded of once, as it is open and the night is over', async () => {
		expect(await remindAt('2026-11-25T04:31:00Z'), 'open at 05:31, in quiet hours').toEqual([]);
		expect(await remindAt(MORNING)).toEqual(['Day 3 is open']);
		expect(await remindAt('2026-11-25T06:20:00Z')).toEqual(['Day 3 is open']);
		expect(await remindAt('2026-11-26T06:00:00Z')).toEqual(['Day 3 is open', 'Day 4 is open']);
	});
	it('is reminded of at the hour at which the person trains, also when that has just changed', async () => {
		expect(await remindAt('2026-11-25T04:31:00Z')).toEqual([]);
		await setHour(context, oslo.enrolmentId, { hour: '18:00' });
		expect(await remindAt('2026-11-25T06:00:00Z')).toEqual([]);
		expect(await remindAt('2026-11-25T16:59:00Z')).toEqual([]);
		expect(await remindAt('2026-11-25T17:00:00Z')).toEqual(['Day 3 is open']);
	});
	it('is not reminded of once it is done, excused or paused, or after the person left', async () => {
		context.at('2026-11-25T04:35:00Z');
		await checkIn(context, oslo, { id: context.ids.uuid(), day: 3, done: 'all' });
		expect(await remindAt(MORNING)).toEqual([]);
		await excuse(context, await own(), { days: [4], reason: 'travels' });
		expect(await remindAt('2026-11-26T06:00:00Z')).toEqual([]);
		await pause(context, await own(), { fromDay: 5, toDay: 5, reason: 'travels' });
		expect(await remindAt('2026-11-27T06:00:00Z')).toEqual([]);
		expect(await remindAt('2026-11-30T06:00:00Z')).toEqual(['Day 8 is open']);
		await leave(context, await own());
		expect(await remindAt('2026-12-01T06:00:00Z')).toEqual(['Day 8 is open']);
	});
	it('that was missed while the server was off is not reminded of in the evening', async () => {
		expect(await remindAt('2026-11-25T12:00:00Z')).toEqual([]);
	});
	it('is said without names, of the challenge, of the session or of anybody', async () => {
		await remindAt(MORNING);
		const [notice] = arrived();
		expect(notice).toMatchObject({ url: '/me', body: 'Your session is ready when you are.' });
		expect(JSON.stringify(notice)).not.toMatch(/Hut weeks|Small|Person 1|Runa/);
	});
	it('is reminded of on each of two devices', async () => {
		const { db } = context;
		await db.query(
			"insert into participant_login (token_hash, enrolment_id, created_at, expires_at) values ('tablet', $1, now(), now() + interval '1 year')",
			[oslo.enrolmentId]
		);
		const tablet = service.subscribe(push.publicKey);
		await turnOn(context, oslo, 'tablet', { ...tablet, sessions: true, messages: false });
		await remindAt(MORNING);
		expect([titles(), titles(tablet)]).toEqual([['Day 3 is open'], ['Day 3 is open']]);
	});
});

describe('a message', () => {
	beforeEach(() => choose(context, hashToken(token), { sessions: false, messages: true }));

	it('is reminded of an hour later while it is unread, without a word of it', async () => {
		context.at('2026-11-25T12:00:00Z');
		await fromCoach('Is the knee better?');
		expect(await remindAt('2026-11-25T12:50:00Z')).toEqual([]);
		expect(await remindAt('2026-11-25T13:05:00Z')).toEqual(['A message is waiting for you']);
		expect(await remindAt('2026-11-25T15:00:00Z')).toHaveLength(1);
		expect(JSON.stringify(arrived())).not.toMatch(/knee|Runa/);
	});
	it('is reminded of once more after a day when it was read and not answered', async () => {
		context.at('2026-11-25T12:00:00Z');
		await fromCoach('Is the knee better?');
		context.at('2026-11-25T12:10:00Z');
		await markRead(context, oslo.enrolmentId, 'coach');
		expect(await remindAt('2026-11-25T14:00:00Z')).toEqual([]);
		expect(await remindAt('2026-11-26T12:05:00Z')).toEqual(['A message is waiting for you']);
		expect(await remindAt('2026-11-27T12:05:00Z')).toHaveLength(1);
	});
	it('is not reminded of once it is answered', async () => {
		context.at('2026-11-25T12:00:00Z');
		await fromCoach('Is the knee better?');
		context.at('2026-11-25T12:10:00Z');
		await writeToCoach(context, oslo, { id: context.ids.uuid(), text: 'It is.' });
		expect(await remindAt('2026-11-25T13:05:00Z')).toEqual([]);
		expect(await remindAt('2026-11-26T12:05:00Z')).toEqual([]);
	});
	it('of the evening waits for the morning', async () => {
		context.at('2026-11-25T19:50:00Z');
		await fromCoach('Good night');
		expect(await remindAt('2026-11-25T21:30:00Z')).toEqual([]);
		expect(await remindAt('2026-11-26T06:00:00Z')).toHaveLength(1);
	});
});

describe('stopping', () => {
	it('takes one tap on a notification, signed in or not, and stops that device alone', async () => {
		await remindAt(MORNING);
		await stopFromNotification(context.db, arrived()[0]!.stop);
		expect(await remindersOf(context.db, hashToken(token))).toBeNull();
		expect(await remindAt('2026-11-26T06:00:00Z')).toHaveLength(1);
	});
	it('with an id that is none is refused, and with another’s changes nothing', async () => {
		await expect(stopFromNotification(context.db, "x' or 1=1")).rejects.toMatchObject({ status: 404 });
		await stopFromNotification(context.db, context.ids.uuid());
		expect(await remindersOf(context.db, hashToken(token))).not.toBeNull();
	});
	it('happens on the page, and by signing out', async () => {
		await turnOff(context.db, hashToken(token));
		expect(await remindersOf(context.db, hashToken(token))).toBeNull();
		await turnOn(context, oslo, hashToken(token), { ...phone, sessions: true, messages: true });
		await signOutDevice(context, token);
		expect(await remindAt(MORNING)).toEqual([]);
	});
	it('happens as somebody else opens their link on the device; the same person’s goes on', async () => {
		const again = await makeLinkOf(oslo);
		const next = (await openLink(context, again, token))!;
		expect(await remindersOf(context.db, hashToken(next))).not.toBeNull();
		const other = (await openLink(context, await makeLinkOf(world.people[1]!), next))!;
		expect(await remindersOf(context.db, hashToken(other))).toBeNull();
		expect(await remindAt(MORNING)).toEqual([]);
	});
	/** A link that leaves the devices of its person signed in. */
	async function makeLinkOf(person: Person): Promise<string> {
		const secret = context.ids.secret();
		await context.db.query('update enrolment set link_hash = $2 where id = $1', [
			person.enrolmentId,
			hashToken(secret)
		]);
		return secret;
	}
});

describe('a push service', () => {
	it.each([404, 410])('that answers %i ends the subscription', async (status) => {
		service.answer(phone.endpoint, status);
		await remindAt(MORNING);
		expect(await remindersOf(context.db, hashToken(token))).toBeNull();
	});
	it('that is out of order is tried again, until the reminder is stale', async () => {
		service.answer(phone.endpoint, 503);
		expect(await remindAt(MORNING)).toEqual([]);
		expect(await remindAt('2026-11-25T06:00:30Z'), 'not before a minute').toEqual([]);
		service.answer(phone.endpoint, null);
		expect(await remindAt('2026-11-25T06:01:30Z')).toEqual(['Day 3 is open']);
		service.answer(phone.endpoint, 503);
		await remindAt('2026-11-26T06:00:00Z');
		for (const time of ['06:02', '06:10', '06:30', '07:45', '10:30'])
			await remindAt(`2026-11-26T${time}:00Z`);
		service.answer(phone.endpoint, null);
		expect(await remindAt('2026-11-26T12:00:00Z')).toEqual(['Day 3 is open']);
	});
	it('that comes back when the reminder is stale gets none', async () => {
		service.answer(phone.endpoint, 503);
		await remindAt(MORNING);
		service.answer(phone.endpoint, null);
		expect(await remindAt('2026-11-25T12:00:00Z')).toEqual([]);
		expect(
			await context.db.query("select state, error from reminder where kind = 'session' and about = '3'")
		).toEqual([{ state: 'failed', error: 'it was stale' }]);
	});
	it('is given the time that it asks for', async () => {
		service.answer(phone.endpoint, 429);
		await remindAt(MORNING);
		service.answer(phone.endpoint, null);
		expect(await remindAt('2026-11-25T06:00:59Z')).toEqual([]);
		expect(await remindAt('2026-11-25T06:01:00Z')).toEqual(['Day 3 is open']);
	});
	it('gets a reminder once, from two processes at the same time', async () => {
		context.at(MORNING);
		await Promise.all([remind(context, push), remind(context, push)]);
		expect(titles()).toEqual(['Day 3 is open']);
	});
});

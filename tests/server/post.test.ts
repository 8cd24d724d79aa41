import { beforeEach, describe, expect, it } from 'vitest';
import { audienceFrom } from '$contracts/post';
import { leave } from '$lib/server/people/leave';
import { markRead, threadOf, writeTo } from '$lib/server/contact/messages/messages';
import { setMailed } from '$lib/server/people/mailed';
import type { Letter } from '$lib/server/platform/mail';
import { MailRefused } from '$lib/server/platform/mailbox';
import { deliver } from '$lib/server/contact/delivery/deliver';
import {
	cancelPost,
	postsOf,
	postTo,
	recipientsOf,
	stuckIn,
	tryAgain,
	valuesOf
} from '$lib/server/contact/post/posts';
import { reachesIn } from '$lib/server/contact/reach/reaches';
import { inNeed } from '$lib/server/contact/reach/triage';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';

const MINUTE = 60_000;
let context: TestContext;
let world: World;
/** What the other side took, and what it answers instead for an address. */
let taken: Letter[];
let answers: Map<string, () => Error>;
const mail = {
	send: (letter: Letter) => {
		const refuse = answers.get(typeof letter.to === 'string' ? letter.to : letter.to.address);
		if (refuse) return Promise.reject(refuse());
		taken.push(letter);
		return Promise.resolve();
	}
};
const deliverNow = () => deliver({ ...context, config: { origin: 'https://huts.example' } }, mail);

beforeEach(async () => {
	context = await testContext();
	// 13:00 in Oslo, 01:00 of the next day in Auckland, 07:00 in Bogota: a person in each.
	context.at('2026-11-25T12:00:00Z');
	world = await makeWorld(context);
	taken = [];
	answers = new Map();
	return () => context.db.close();
});

const id = () => context.ids.uuid();
const everybody = async () =>
	recipientsOf(await inNeed({ app: context }, world.challenge, context.clock.now()), {
		coach: 'Runa Hallgren',
		challenge: world.challenge.name,
		teams: new Map()
	});
const post = async (raw: object = {}, to = 'all', ids: string[] = []) =>
	postTo(context, world.challenge, world.coach.id, {
		audience: audienceFrom(to, ids),
		raw: { id: id(), subject: 'Hello {name}', text: 'Day {day}, {full name}.', ...raw },
		everybody: await everybody()
	});
const to = () => taken.map((letter) => (letter.to as { name: string }).name).sort();
const thread = (i: number) => threadOf(context.db, world.people[i]!.enrolmentId, context.clock.now());
const state = async () => (await postsOf(context.db, world.challenge.id))[0];
const own = (i: number) => ownPersonOf(context, world, world.people[i]!.enrolmentId);

describe('a message to several people', () => {
	it('keeps its lines', async () => {
		await post({ text: 'Hi {name},\n\nTwo lines.\nAnd a third.' });
		await deliverNow();
		expect(await thread(0)).toMatchObject([{ text: 'Hi Person,\n\nTwo lines.\nAnd a third.' }]);
	});

	it('is filled in for each, stands in the application at once, and is on record', async () => {
		expect(await post()).toBe(3);
		await deliverNow();
		expect(await thread(0)).toMatchObject([
			{ byCoach: true, by: 'Runa', text: 'Day 3, Person 1.', readAt: null, toSeveral: true }
		]);
		expect(await thread(1), 'it is the next day there').toMatchObject([{ text: 'Day 3, Person 2.' }]);
		const reaches = await reachesIn(context.db, world.challenge.id, context.clock.now());
		expect(reaches.map(({ way, reasons }) => ({ way, reasons }))).toEqual(
			Array(3).fill({ way: 'post', reasons: [] })
		);
	});

	it('goes by mail outside everybody’s quiet hours', async () => {
		await post();
		await deliverNow();
		expect(to(), 'at night in Auckland').toEqual(['Person 1', 'Person 3']);
		expect(taken[0]).toMatchObject({ subject: 'Hello Person', once: { at: context.clock.now() } });
		expect(taken.map(({ text }) => text).sort()[0]).toMatch(
			/^Day 3, Person 1\.\n\n-- \nRuna wrote this to you in “Hut weeks”\. .*https:\/\/huts\.example\/me\/messages\./
		);
		expect(await state()).toMatchObject({ sent: 2, waiting: 1, planned: 0 });
		context.at('2026-11-25T17:59:00Z');
		await deliverNow();
		expect(taken).toHaveLength(2);
		context.at('2026-11-25T18:00:00Z');
		await deliverNow();
		expect(to()).toEqual(['Person 1', 'Person 2', 'Person 3']);
		await deliverNow();
		expect(taken, 'each once').toHaveLength(3);
	});

	it('sent twice by its id goes once', async () => {
		const same = id();
		await post({ id: same });
		await post({ id: same, text: 'Something else' });
		await deliverNow();
		expect([(await thread(0)).length, (await postsOf(context.db, world.challenge.id)).length]).toEqual([
			1, 1
		]);
	});

	it('is planned for an hour by each one’s own clock, and can be taken back until then', async () => {
		await post({ when: 'later', date: '2026-11-26', time: '08:00' });
		await deliverNow();
		expect(await thread(0)).toEqual([]);
		expect(await state()).toMatchObject({ planned: 3, onDate: '2026-11-26', onMinutes: 480 });
		context.at('2026-11-25T19:00:00Z');
		await deliverNow();
		expect(to(), '08:00 in Auckland').toEqual(['Person 2']);
		expect(await thread(1)).toMatchObject([{ at: Date.parse('2026-11-25T19:00:00Z') }]);
		const planned = await state();
		expect(await cancelPost(context, world.challenge, planned!.id)).toBe(2);
		context.at('2026-11-27T12:00:00Z');
		await deliverNow();
		expect(await state()).toMatchObject({ sent: 1, cancelled: 2, planned: 0 });
		expect(await thread(0)).toEqual([]);
		await expect(cancelPost(context, world.challenge, id())).rejects.toMatchObject({ status: 404 });
	});

	it('planned into quiet hours waits for their end', async () => {
		await post({ when: 'later', date: '2026-11-26', time: '05:00' }, 'people', [
			world.people[0]!.enrolmentId
		]);
		context.at('2026-11-26T05:59:00Z');
		await deliverNow();
		expect([taken.length, (await thread(0)).length]).toEqual([0, 0]);
		context.at('2026-11-26T06:00:00Z');
		await deliverNow();
		expect([taken.length, (await thread(0)).length]).toEqual([1, 1]);
	});

	it('is for those who are meant when it is written', async () => {
		expect(await post({}, 'people', [world.people[1]!.enrolmentId])).toBe(1);
		expect(await post({}, 'level:beginner')).toBe(3);
		await expect(post({}, 'level:trained')).rejects.toThrow('That is nobody at the moment. Choose others.');
		await expect(post({}, 'need:praise')).rejects.toThrow('nobody');
		await expect(post({}, 'team:none-of-ours')).rejects.toThrow('nobody');
		await expect(post({}, 'level:superb')).rejects.toThrow('Choose whom it is for.');
	});

	it.each([
		[{ subject: '' }, 'a subject is needed'],
		[{ subject: 'x\r\nBcc: all@example.org' }, 'a subject is one line'],
		[{ text: ' ' }, 'write something first'],
		[{ text: 'Hi {nam}' }, 'line 1, column 4: there is no field {nam}; did you mean {name}?'],
		[{ text: 'x'.repeat(4001) }, 'at most 4,000 letters'],
		[{ when: 'later', date: '2026-02-30', time: '08:00' }, 'a date, as in'],
		[{ when: 'later', date: '2026-11-24', time: '08:00' }, 'choose today or a day after it'],
		[{ when: 'later', date: '2027-03-01', time: '08:00' }, 'at most 60 days'],
		[{ when: 'later', date: '2026-11-26', time: '25:00' }, 'a time of day']
	])('is refused where it makes none, and nobody gets it: %#', async (raw, message) => {
		await expect(post(raw)).rejects.toMatchObject({
			status: 400,
			faults: [{ message: expect.stringContaining(message) as string }]
		});
		expect(await postsOf(context.db, world.challenge.id)).toEqual([]);
	});

	it('with a gap for somebody goes to nobody', async () => {
		await expect(post({ text: 'Team {team}' })).rejects.toThrow(
			/^There is no \{team\} for Person \d, Person \d, Person \d\. Leave the field out, or write to others\.$/
		);
		await expect(post({ text: '{challenge}'.repeat(360) + 'x'.repeat(40) })).resolves.toBe(3);
	});

	it('has a bound for each day', async () => {
		for (let i = 0; i < 20; i++) await post();
		await expect(post()).rejects.toMatchObject({ status: 409 });
		context.at('2026-11-26T12:00:01Z');
		await post();
	});

	it('does not reach whoever has left, nor by mail who wants none or has read it', async () => {
		await post({ when: 'later', date: '2026-11-26', time: '08:00' });
		await leave(context, await own(2));
		await setMailed(context.db, world.people[0]!.participantId, false);
		context.at('2026-11-27T12:00:00Z');
		await deliverNow();
		expect(to()).toEqual([]);
		expect(await state()).toMatchObject({ notMailed: 1, waiting: 1, cancelled: 1 });
		await markRead(context, world.people[1]!.enrolmentId, 'coach');
		context.at('2026-11-28T00:00:00Z');
		await deliverNow();
		expect(await state()).toMatchObject({ notMailed: 2, waiting: 0, sent: 0, read: 1 });
	});
});

describe('a mail that does not get through', () => {
	const one = () => post({}, 'people', [world.people[0]!.enrolmentId]);
	const stuck = () => stuckIn(context.db, world.challenge.id);
	const later = (minutes: number) =>
		context.at(new Date(context.clock.now() + minutes * MINUTE).toISOString());

	it('is tried again with growing pauses, and arrives once', async () => {
		answers.set('p1@example.org', () => new MailRefused(452, '4.2.2 The mailbox is full'));
		await one();
		await deliverNow();
		expect(await stuck()).toMatchObject([
			{
				state: 'waiting',
				tries: 1,
				error: '452 4.2.2 The mailbox is full',
				nextAt: context.clock.now() + MINUTE
			}
		]);
		expect(await deliverNow(), 'not before its time').toBe(0);
		later(1);
		expect(await deliverNow()).toBe(1);
		later(4);
		expect(await deliverNow(), 'the second pause is longer').toBe(0);
		answers.clear();
		later(1);
		await deliverNow();
		expect(taken).toHaveLength(1);
		expect(await stuck()).toEqual([]);
		expect(await thread(0), 'in the application all the while').toHaveLength(1);
	});

	it('is given up after the last try, and can be tried again by hand', async () => {
		answers.set('p1@example.org', () => new Error('connect ECONNREFUSED'));
		await one();
		for (const pause of [0, 1, 5, 15, 60, 240, 720, 720]) {
			later(pause);
			await deliverNow();
		}
		const [given] = await stuck();
		expect(given).toMatchObject({ state: 'failed', tries: 7, error: 'connect ECONNREFUSED' });
		await expect(tryAgain(context, world.challenge, id())).rejects.toMatchObject({ status: 404 });
		answers.clear();
		await tryAgain(context, world.challenge, given!.id);
		await deliverNow();
		expect(taken).toHaveLength(1);
		await expect(tryAgain(context, world.challenge, given!.id)).rejects.toMatchObject({ status: 404 });
	});

	it('that is refused for good is not tried again', async () => {
		answers.set('p1@example.org', () => new MailRefused(550, '5.1.1 There is no mailbox'));
		await one();
		await deliverNow();
		expect(await stuck()).toMatchObject([{ state: 'failed', tries: 1 }]);
	});

	it('left by a process that died is taken up once its lease is over, as the same message', async () => {
		await one();
		await deliverNow();
		const [first] = taken;
		await context.db.query(
			`update letter set state = 'waiting', done_at = null, leased_until = now() + interval '1 minute'`
		);
		expect(await deliverNow(), 'somebody has it in hand').toBe(0);
		await context.db.query(`update letter set leased_until = now() - interval '1 second'`);
		await deliverNow();
		expect(taken).toHaveLength(2);
		expect(taken[1]!.once).toEqual(first!.once);
	});
});

describe('a message to one', () => {
	it('is mailed too, once with its record, and not to who wants none', async () => {
		const message = { id: id(), text: 'How are you?' };
		for (let i = 0; i < 2; i++)
			await writeTo(context, world.challenge, await own(0), world.coach.id, message, []);
		await setMailed(context.db, world.people[2]!.participantId, false);
		await writeTo(context, world.challenge, await own(2), world.coach.id, { id: id(), text: 'And you?' }, []);
		await deliverNow();
		expect(taken).toMatchObject([{ subject: 'Runa wrote to you', once: { key: message.id } }]);
		expect(taken[0]).not.toHaveProperty('html');
		await writeTo(
			context,
			world.challenge,
			await own(0),
			world.coach.id,
			{ id: id(), html: '<p>a <b>b</b></p>' },
			[]
		);
		await deliverNow();
		expect(taken[1]?.html).toMatch(
			/^<p>a <strong>b<\/strong><\/p><hr><p>Runa wrote this to you in “Hut weeks”\./
		);
		expect(taken[1]?.text).toMatch(/^a b\n\n-- \nRuna wrote/);
	});
});

it('what a template says of somebody is what their days are', async () => {
	context.at('2026-11-27T12:00:00Z');
	const [first] = await inNeed({ app: context }, world.challenge, context.clock.now());
	expect(valuesOf(first!, { coach: 'Runa Hallgren', challenge: 'Hut weeks', team: 'Larch' })).toMatchObject({
		coach: 'Runa',
		day: '5',
		'days left': '9',
		'sessions done': '0',
		done: '0 %',
		streak: '0',
		team: 'Larch'
	});
});

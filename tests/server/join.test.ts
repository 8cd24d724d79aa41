import { beforeEach, describe, expect, it } from 'vitest';
import { addDays } from '$core/calendar';
import { makeLink } from '$lib/server/changes/links';
import { openLink, personOf, switchTo } from '$lib/server/account/auth/link';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { challengeOf } from '$lib/server/records/challenge';
import { standingOf } from '$lib/server/done/day/own-day';
import {
	addPerson,
	admit,
	closeJoin,
	join,
	joinPage,
	joinSettingOf,
	openJoin,
	turnAway,
	waitingOf
} from '$lib/server/people/join';
import { challengesWith, comeBack, leave, moveTo } from '$lib/server/people/leave';
import { asPerson, enrolmentById, enrolmentsOf } from '$lib/server/records/enrolments';
import { enrol } from '$lib/server/people/enrol';
import { layDays } from '$lib/server/training/plan/plan';
import { randomIds } from '$lib/server/platform/ids';
import { makeChallenge, ownPersonOf, sharedWorld } from '../support/context';
import { refusal } from '../support/refusal';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const [oslo, auckland] = world.people;
const person = (of = oslo) => ownPersonOf(context, world, of!.enrolmentId);
const open = (capacity: number | '' = '') => openJoin(context, world.challenge, { capacity });
const code = async () => (await joinSettingOf(context.db, world.challenge.id)).code ?? '';
const NEW = { name: 'Tindra Vesk', email: 'Tindra@example.org', zone: 'Europe/Riga' };
const states = async (of = oslo) =>
	(await standingOf(context, asPerson(await enrolmentById(context.db, of!.enrolmentId)))).days.map(
		({ state }) => state
	);

beforeEach(async () => {
	context.at('2026-11-25T12:00:00Z');
	await context.db.query('delete from waiting');
	const fresh = "(p.email like 'new%' or p.email = 'tindra@example.org')";
	await context.db.query(
		`delete from enrolment e using participant p where p.id = e.participant_id and ${fresh}`
	);
	await context.db.query(`delete from participant p where ${fresh}`);
});

describe('the page to join on', () => {
	it('is off until it is turned on, and leads nowhere after', async () => {
		expect((await joinSettingOf(context.db, world.challenge.id)).code).toBeNull();
		await open();
		const before = await code();
		expect(before).toMatch(/^[A-HJKMNP-Z2-9]{8}$/);
		await open(20);
		// Another number of places is no other address.
		expect(await code()).toBe(before);
		expect(await joinPage(context, before.toLowerCase())).toMatchObject({
			challenge: { name: 'Hut weeks', goal: 'Carry 20 kg up 400 m', days: 14 },
			coach: 'Runa',
			places: 17
		});
		await closeJoin(context, world.challenge);
		expect(await refusal(joinPage(context, before))).toMatchObject({ status: 404 });
		for (const wrong of ['', 'AAAA', 'AAAAAAAA', "' or 1", 'ÅÄÖÅÄÖÅÄ'])
			expect(await refusal(joinPage(context, wrong))).toMatchObject({ status: 404 });
		expect((await refusal(openJoin(context, world.challenge, { capacity: 0 }))).faults[0]?.message).toMatch(
			/at least 1/
		);
	});

	it('lets somebody new in at once, with a link of their own', async () => {
		await open();
		const secret = await join(context, await code(), NEW);
		const token = await openLink(context, secret ?? '');
		expect(await personOf(context, token ?? '')).toMatchObject({ name: 'Tindra Vesk', zone: 'Europe/Riga' });
		const found = (await enrolmentsOf(context.db, world.challenge.id)).find(
			({ name }) => name === 'Tindra Vesk'
		);
		expect(found).toMatchObject({ email: 'tindra@example.org', fromDay: 3, answeredAt: null });
	});

	it('has whoever comes after the last place wait, in their order', async () => {
		await open(3);
		expect(await join(context, await code(), NEW)).toBeNull();
		context.at('2026-11-25T13:00:00Z');
		expect(
			await join(context, await code(), { ...NEW, name: 'Okello', email: 'new1@example.org' })
		).toBeNull();
		// Asked once more, they keep their place in the line.
		expect(await join(context, await code(), NEW)).toBeNull();
		const waiting = await waitingOf(context.db, world.challenge);
		expect(waiting.map(({ name, known }) => [name, known])).toEqual([
			['Tindra Vesk', false],
			['Okello', false]
		]);
		const link = await admit(context, world.challenge, waiting[0]?.id ?? '', world.coach.id);
		expect(await openLink(context, link.secret)).toBeTruthy();
		await turnAway(context, world.challenge, waiting[1]?.id ?? '');
		expect(await waitingOf(context.db, world.challenge)).toEqual([]);
		expect(await refusal(turnAway(context, world.challenge, waiting[1]?.id ?? ''))).toMatchObject({
			status: 404
		});
	});

	it('gives the last place to one of two who come at once', async () => {
		await open(4);
		const now = await code();
		const both = await Promise.all(
			['new2', 'new3'].map((name) => join(context, now, { ...NEW, name, email: `${name}@example.org` }))
		);
		expect(both.filter((secret) => secret !== null)).toHaveLength(1);
		expect(await waitingOf(context.db, world.challenge)).toHaveLength(1);
		expect((await joinSettingOf(context.db, world.challenge.id)).people).toBe(4);
	});

	it('neither signs in nor changes anybody by their address alone', async () => {
		await open();
		const before = await enrolmentById(context.db, oslo!.enrolmentId);
		expect(
			await join(context, await code(), { name: 'Mallory', email: 'p1@example.org', zone: 'Asia/Seoul' })
		).toBeNull();
		expect(await enrolmentById(context.db, oslo!.enrolmentId)).toMatchObject({
			name: before.name,
			zone: before.zone
		});
		expect(await waitingOf(context.db, world.challenge)).toMatchObject([
			{ email: 'p1@example.org', known: true }
		]);
	});

	it.each([
		[{ name: '' }, 'name'],
		[{ email: 'tindra at home' }, 'email'],
		[{ zone: 'Mars/Base' }, 'zone'],
		[{ zone: '' }, 'zone']
	])('asks about %j', async (more, field) => {
		await open();
		const refused = await refusal(join(context, await code(), { ...NEW, ...more }));
		expect(refused.faults.map((fault) => fault.field)).toEqual([field]);
	});

	it('is not there once the challenge is over', async () => {
		await open();
		const now = await code();
		context.at('2026-12-20T12:00:00Z');
		expect(await refusal(joinPage(context, now))).toMatchObject({ status: 404 });
	});
});

it('one person is added by hand, with what they own as it is said', async () => {
	const link = await addPerson(
		context,
		world.challenge,
		{
			...NEW,
			level: 'trained',
			equipment: 'pair of dumbbells 8 kg; anvil'
		},
		world.coach.id
	);
	const found = await enrolmentById(context.db, link.enrolmentId);
	expect(found).toMatchObject({ level: 'trained', kitUnread: ['anvil'] });
	expect(
		await refusal(addPerson(context, world.challenge, { ...NEW, level: 'trained' }, world.coach.id))
	).toMatchObject({
		status: 409
	});
	expect(
		(await refusal(addPerson(context, world.challenge, { ...NEW, level: 'superb' }, world.coach.id)))
			.faults[0]?.field
	).toBe('level');
});

describe('leaving', () => {
	it('asks for nothing more and leaves what was done; coming back makes days theirs again', async () => {
		context.at('2026-11-23T12:00:00Z');
		await checkIn(context, oslo!, { id: randomIds.uuid(), day: 1, done: 'all' });
		context.at('2026-11-24T12:00:00Z');
		await leave(context, await person());
		expect(await refusal(leave(context, await person()))).toMatchObject({ status: 409 });
		context.at('2026-11-26T12:00:00Z');
		expect((await states()).slice(0, 5)).toEqual(['done', 'excused', 'excused', 'excused', 'excused']);
		expect(await person()).toMatchObject({ hasLink: false, leftAt: Date.parse('2026-11-24T12:00:00Z') });
		await comeBack(context, await person());
		expect((await states()).slice(0, 5)).toEqual(['done', 'excused', 'excused', 'open', 'ahead']);
		expect(await refusal(comeBack(context, await person()))).toMatchObject({ status: 409 });
	});

	it('and coming back on the same day is as if nothing had been', async () => {
		await leave(context, await person(auckland));
		await comeBack(context, await person(auckland));
		const pauses = await context.db.query('select 1 from pause where enrolment_id = $1', [
			auckland!.enrolmentId
		]);
		expect(pauses).toEqual([]);
	});

	it('makes room for somebody who waits', async () => {
		await open(3);
		expect((await joinPage(context, await code())).places).toBe(0);
		await leave(context, await person(auckland));
		expect((await joinPage(context, await code())).places).toBe(1);
		await comeBack(context, await person(auckland));
	});
});

describe('going on in another challenge', () => {
	it('takes somebody along as they are known, and what they did stays', async () => {
		const to = await makeChallenge(context, world.coach, { name: 'Next', startsOn: '2026-12-14' });
		const link = await moveTo(context, await person(auckland), to, world.coach.id);
		expect(await enrolmentById(context.db, link.enrolmentId)).toMatchObject({
			participantId: auckland!.participantId,
			zone: 'Pacific/Auckland',
			level: 'beginner'
		});
		expect(await challengesWith(context.db, auckland!.participantId)).toMatchObject([
			{ name: 'Next', left: false },
			{ name: 'Hut weeks', left: true }
		]);
		expect(await refusal(moveTo(context, await person(auckland), to, world.coach.id))).toMatchObject({
			status: 409
		});
		await comeBack(context, await person(auckland));
	});

	it('can be beside this one: a device goes from one to the other, and to nobody else’s', async () => {
		const token = await openLink(context, world.secrets[0] ?? '').catch(() => null);
		expect(token).toBeNull();
		const next = (await challengesWith(context.db, auckland!.participantId)).find(
			({ name }) => name === 'Next'
		);
		const device = await openLink(
			context,
			await makeLink(context.db, context, auckland!.enrolmentId, world.coach.id)
		);
		const here = await personOf(context, device ?? '');
		expect(here?.others).toEqual([{ enrolmentId: next?.enrolmentId, name: 'Next' }]);
		expect(await switchTo(context, here!, world.people[2]?.enrolmentId ?? '', 'none')).toBeNull();
		const changed = await switchTo(context, here!, next?.enrolmentId ?? '', device ?? '');
		expect(await personOf(context, device ?? '')).toBeNull();
		const there = () => personOf(context, changed ?? '');
		expect(await there()).toMatchObject({
			enrolmentId: next?.enrolmentId,
			others: [{ enrolmentId: auckland!.enrolmentId, name: 'Hut weeks' }]
		});
		// What is over is no other challenge of theirs: from the second day after its last, in UTC.
		const ends = (daysAgo: number) =>
			context.db.query('update challenge set starts_on = $2::date - days where id = $1', [
				auckland!.challengeId,
				addDays(new Date(context.clock.now()).toISOString().slice(0, 10), -daysAgo)
			]);
		const { startsOn } = await challengeOf(context.db, world.coach.id, auckland!.challengeId, 'viewer');
		await ends(0);
		expect((await there())?.others).toHaveLength(1);
		await ends(1);
		expect((await there())?.others).toEqual([]);
		await context.db.query('update challenge set starts_on = $2 where id = $1', [
			auckland!.challengeId,
			startsOn
		]);
	});

	it('is for challenges of the same coach alone', async () => {
		expect(await refusal(challengeOf(context.db, world.coach.id, randomIds.uuid(), 'viewer'))).toMatchObject({
			status: 404
		});
	});
});

describe('somebody who joins late on the group’s day', () => {
	const joined = async (catchUpDays: number) => {
		const challenge = await makeChallenge(context, world.coach, { name: `Back ${catchUpDays}`, catchUpDays });
		await layDays(context, challenge, { days: [1, 2, 3, 4, 5], kind: 'train', sessionId: world.session.id });
		const [link] = await enrol(
			context,
			challenge,
			[{ ...NEW, email: `new${catchUpDays}@example.org`, level: 'beginner', kit: [], unread: [] }],
			null
		);
		return async () => asPerson(await enrolmentById(context.db, link!.enrolmentId));
	};
	const daysNow = async (of: Awaited<ReturnType<typeof joined>>) =>
		(await standingOf(context, await of())).days.slice(0, 5);

	it('may do as many of the days before as there are to catch up, within as many days, in full', async () => {
		const of = await joined(1);
		// Day 3 of a challenge that began on Monday the 23rd.
		expect((await daysNow(of)).map(({ theirs, state }) => [theirs, state])).toEqual([
			[false, 'excused'],
			[true, 'open'],
			[true, 'open'],
			[true, 'ahead'],
			[true, 'ahead']
		]);
		// In Riga the 26th ends at 22:00 UTC.
		context.at('2026-11-26T21:59:59Z');
		expect((await daysNow(of))[1]).toMatchObject({ state: 'open' });
		const all = { id: randomIds.uuid(), day: 2, done: 'all' };
		expect(await checkIn(context, await of(), all)).toMatchObject({ standing: 'on time', credit: 1 });
		expect((await daysNow(of))[1]).toMatchObject({ state: 'done', credit: 1 });
	});

	it('has missed what was not caught up', async () => {
		const of = await joined(2);
		context.at('2026-11-27T22:00:00Z');
		expect((await daysNow(of)).slice(0, 2).map(({ state }) => state)).toEqual(['missed', 'missed']);
	});

	it('is not asked for days before where there is nothing to catch up', async () => {
		const of = await joined(0);
		expect((await daysNow(of)).map(({ theirs }) => theirs)).toEqual([false, false, true, true, true]);
	});
});

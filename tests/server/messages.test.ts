import { describe, expect, it } from 'vitest';
import { standingOf } from '$lib/server/done/day/own-day';
import { leave } from '$lib/server/people/leave';
import {
	markRead,
	threadOf,
	unansweredIn,
	writeTo,
	writeToCoach
} from '$lib/server/contact/messages/messages';
import { reachesIn } from '$lib/server/contact/reach/reaches';
import { inNeed } from '$lib/server/contact/reach/triage';
import { ownPersonOf, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const [oslo, auckland] = world.people as [(typeof world.people)[0], (typeof world.people)[0]];
const id = () => context.ids.uuid();
const own = (person = oslo) => ownPersonOf(context, world, person.enrolmentId);
const coach = async (raw: unknown, person = oslo) =>
	writeTo(context, world.challenge, await own(person), world.coach.id, raw, ['missing']);
const thread = (at = context.clock.now()) => threadOf(context.db, oslo.enrolmentId, at);
const waiting = async (at = context.clock.now()) =>
	unansweredIn(context.db, world.challenge.id, await inNeed({ app: context }, world.challenge, at), at);
const written = async () => (await reachesIn(context.db, world.challenge.id, context.clock.now())).length;

describe('a message', () => {
	const sent = id();
	it('of a coach is there for the other side, unread, and on record', async () => {
		await coach({ id: sent, text: '  How are you?\n\nRuna ' });
		expect(await thread()).toMatchObject([
			{
				byCoach: true,
				by: 'Runa',
				text: 'How are you?\n\nRuna',
				at: Date.parse('2026-11-25T12:00:00Z'),
				readAt: null
			}
		]);
		expect((await standingOf(context, oslo)).unread).toBe(1);
		expect((await standingOf(context, auckland)).unread).toBe(0);
		expect(await reachesIn(context.db, world.challenge.id, context.clock.now())).toMatchObject([
			{ way: 'wrote', reasons: ['missing'], enrolmentId: oslo.enrolmentId }
		]);
	});

	it('sent twice is kept once, and noted once; the id of another’s is not taken', async () => {
		await coach({ id: sent, text: 'How are you?' });
		expect(await thread()).toHaveLength(1);
		expect(await written()).toBe(1);
		await expect(coach({ id: sent, text: 'x' }, auckland)).rejects.toMatchObject({ status: 404 });
		await expect(writeToCoach(context, oslo, { id: sent, text: 'x' })).rejects.toMatchObject({ status: 404 });
		expect(await written()).toBe(1);
	});

	it('is kept as it was set, without what could run, and as text beside it', async () => {
		const set = (html: string) => coach({ id: id(), html }, auckland);
		await set('<p>Two things:</p><ul><li>rest</li><li onclick="x()">eat</li></ul><script>x</script>');
		expect(await threadOf(context.db, auckland.enrolmentId, context.clock.now())).toMatchObject([
			{ text: 'Two things:\n\n- rest\n- eat', html: '<p>Two things:</p><ul><li>rest</li><li>eat</li></ul>' }
		]);
		for (const html of ['<p> </p>', `<p>${'x'.repeat(4001)}</p>`, 'x'.repeat(20_001)])
			await expect(set(html)).rejects.toMatchObject({ status: 400 });
		await expect(writeToCoach(context, oslo, { id: id(), html: '<p>a</p>' })).rejects.toMatchObject({
			status: 400
		});
		for (const table of ['message', 'reach', 'letter'])
			await context.db.query(`delete from ${table} where enrolment_id = $1`, [auckland.enrolmentId]);
	});

	it('is answered, and both see what was read', async () => {
		context.at('2026-11-25T13:00:00Z');
		await writeToCoach(context, oslo, { id: id(), text: 'Better. <b>Thanks</b>' });
		expect(await thread(), 'whoever answers has read').toMatchObject([
			{ byCoach: true, readAt: Date.parse('2026-11-25T13:00:00Z') },
			{ byCoach: false, by: 'Person 1', text: 'Better. <b>Thanks</b>', readAt: null }
		]);
		const since = Date.parse('2026-11-25T13:00:00Z');
		expect(await waiting()).toEqual([{ id: oslo.enrolmentId, name: 'Person 1', since, unseen: 1 }]);
		expect(await waiting(since - 1), 'before it was written').toEqual([]);
		await markRead(context, oslo.enrolmentId, 'participant');
		expect(await waiting(), 'seen is not answered').toMatchObject([{ name: 'Person 1', unseen: 0 }]);
		await context.db.query(
			`insert into reach (id, enrolment_id, way, reasons, at) values ($1, $2, 'settled', '{}', $3)`,
			[id(), oslo.enrolmentId, new Date(since)]
		);
		expect(await waiting()).toEqual([]);
		expect((await standingOf(context, oslo)).unread).toBe(0);
		expect(await thread(Date.parse('2026-11-25T12:30:00Z')), 'as it stood').toHaveLength(1);
	});

	it.each([
		[{ text: 'x' }, 'a message carries its own id'],
		[{ id: 'one', text: 'x' }, 'UUID'],
		[{ id: id(), text: ' \n ' }, 'write something first'],
		[{ id: id(), text: 'x'.repeat(4001) }, 'at most 4,000 letters']
	])('is refused where it makes none: %#', async (raw, message) => {
		const faults = [{ message: expect.stringContaining(message) as string }];
		await expect(coach(raw)).rejects.toMatchObject({ status: 400, faults });
		await expect(writeToCoach(context, oslo, raw)).rejects.toMatchObject({ status: 400, faults });
	});

	it('that is a draft nobody changed leaves the question open; one that was changed answers it', async () => {
		context.at('2026-11-23T12:00:00Z');
		await writeToCoach(context, auckland, { id: id(), text: 'Can I swap Thursday and Friday?' });
		const isWaiting = async () => (await waiting()).some((one) => one.id === auckland.enrolmentId);
		expect(await isWaiting()).toBe(true);
		const draft = 'Hi Person,\n\nThank you for writing.\n\nRuna';
		context.at('2026-11-23T12:05:00Z');
		await coach(
			{ id: id(), html: '<p>Hi Person,</p><p>Thank you for writing.</p><p>Runa</p>', draft },
			auckland
		);
		expect(await isWaiting()).toBe(true);
		context.at('2026-11-23T12:10:00Z');
		await coach({ id: id(), html: '<p>Hi Person,</p><p>Yes, do swap them.</p><p>Runa</p>', draft }, auckland);
		expect(await isWaiting()).toBe(false);
		context.at('2026-11-25T12:00:00Z');
	});

	it('has a bound for each side and day, also for many at once', async () => {
		const all = await Promise.allSettled(
			Array.from({ length: 45 }, (_, i) => writeToCoach(context, auckland, { id: id(), text: `${i}` }))
		);
		expect(all.filter(({ status }) => status === 'fulfilled')).toHaveLength(40);
		await coach({ id: id(), text: 'Slowly.' }, auckland);
		context.at('2026-11-26T13:00:01Z');
		await writeToCoach(context, auckland, { id: id(), text: 'Good morning' });
	});

	it('goes to nobody who has left', async () => {
		await leave(context, await own(auckland));
		context.at('2026-11-26T14:00:00Z');
		const before = await written();
		await expect(coach({ id: id(), text: 'Hello?' }, auckland)).rejects.toMatchObject({
			status: 409,
			message: 'Person 2 has left this challenge and would not see it.'
		});
		expect(await written()).toBe(before);
	});
});

/** A coach's lines about results. */
import { DAY_MS } from '$core/calendar';
import { describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { cameIn } from '$lib/server/contact/desk/desk';
import { saidAbout, threadOf, unansweredIn, writeToCoach } from '$lib/server/contact/messages/messages';
import { replyTo } from '$lib/server/contact/messages/replies';
import { leave } from '$lib/server/people/leave';
import { postSettingsOf, savePostSettings } from '$lib/server/contact/post/settings';
import { inNeed } from '$lib/server/contact/reach/triage';
import { makeChallenge, makeCoach, ownPersonOf, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld('2026-11-23T10:45:00Z');
const [oslo, auckland, bogota] = world.people as [
	(typeof world.people)[0],
	(typeof world.people)[0],
	(typeof world.people)[0]
];
const id = () => context.ids.uuid();
const { coach } = world;
const reply = (about: string, line: unknown = 1, more: object = {}) =>
	replyTo(context, world.challenge, coach, { id: id(), about, line, ...more });
const send = async (person = oslo, more: object = {}) =>
	(await checkIn(context, person, { id: id(), day: 1, done: 'all', effort: 7, ...more })).id;
const came = async (about: string) =>
	(await cameIn(context.db, world.challenge.id, context.clock.now() - DAY_MS, context.clock.now())).find(
		(one) => one.id === about
	);
const thread = (person = oslo) => threadOf(context.db, person.enrolmentId, context.clock.now());
const first = await send();

describe('a line about a result', () => {
	it('stands in the thread, filled, with the day it is about, and goes by no mail', async () => {
		expect((await came(first))?.reply).toBeNull();
		await reply(first);
		expect(await thread()).toMatchObject([
			{ by: 'Runa', text: 'Well trained, Person.', aboutDay: 1, readAt: null }
		]);
		expect((await came(first))?.reply).toEqual({ by: 'Runa', text: 'Well trained, Person.' });
		expect(await saidAbout(context.db, oslo.enrolmentId, 1)).toMatchObject([
			{ text: 'Well trained, Person.' }
		]);
		expect(await saidAbout(context.db, oslo.enrolmentId, 2)).toEqual([]);
		expect(await context.db.query('select 1 from letter')).toEqual([]);
	});

	it('sent twice with its id is kept once', async () => {
		const same = id();
		await reply(first, 2, { id: same });
		await reply(first, 2, { id: same });
		expect(await thread()).toHaveLength(2);
	});

	it('leaves what they wrote unread, and is on record', async () => {
		await writeToCoach(context, oslo, { id: id(), text: 'May I swap days?' });
		await reply(first, 3);
		const all = await inNeed({ app: context }, world.challenge, context.clock.now());
		expect(
			await unansweredIn(context.db, world.challenge.id, all, context.clock.now()),
			'a line about a result is no answer'
		).toMatchObject([{ unseen: 1 }]);
		const [one] = all.filter(({ person }) => person.id === oslo.enrolmentId);
		expect(one?.reaches[0]).toMatchObject({ way: 'wrote', reasons: [] });
	});

	it('is none where something hurts', async () => {
		const about = await send(auckland, { hurts: 'left knee' });
		await expect(reply(about)).rejects.toMatchObject({
			status: 409,
			message: expect.stringContaining('pain') as string
		});
		expect(await thread(auckland)).toEqual([]);
	});

	it('is refused for a line, a result or a field that is not there, with what is wrong', async () => {
		await expect(reply(first, 7)).rejects.toMatchObject({
			status: 400,
			message: 'There is no line 7; you have 6.'
		});
		await expect(reply(first, 'x')).rejects.toMatchObject({ status: 400 });
		await expect(reply(id())).rejects.toMatchObject({ status: 404 });
		await expect(reply('x')).rejects.toMatchObject({ status: 404 });
		await savePostSettings(context.db, coach.id, { replies: ['Team {team}, {streak} in a row'] });
		await expect(reply(first)).rejects.toMatchObject({
			status: 409,
			message: 'There is no {team} for Person 1. Choose another line.'
		});
	});

	it('is refused about somebody of another coach, and who has left', async () => {
		const other = await makeCoach(context, 'Nila');
		const challenge = await makeChallenge(context, other);
		await expect(
			replyTo(context, challenge, other, { id: id(), about: first, line: 1 })
		).rejects.toMatchObject({
			status: 404
		});
		const about = await send(bogota);
		await leave(context, await ownPersonOf(context, world, bogota.enrolmentId));
		await expect(reply(about)).rejects.toMatchObject({
			status: 409,
			message: expect.stringContaining('left') as string
		});
	});
});

describe('a coach’s own lines', () => {
	it('are at most six, none empty, with fields that there are', async () => {
		const save = (...replies: string[]) => savePostSettings(context.db, coach.id, { replies });
		await expect(save('1', '2', '3', '4', '5', '6', '7')).rejects.toMatchObject({ status: 400 });
		await expect(save(' ')).rejects.toMatchObject({ status: 400 });
		await expect(save('Hi {nam}')).rejects.toMatchObject({ status: 400 });
		await expect(save('x'.repeat(161))).rejects.toMatchObject({ status: 400 });
		await save('Well done, {name}');
		expect((await postSettingsOf(context.db, coach.id)).replies).toEqual(['Well done, {name}']);
	});

	it('deal with reasons for praise, and with no other', async () => {
		context.at('2026-11-24T10:45:00Z');
		const about = await send(oslo, { day: 2, effort: 9 });
		// Five sessions make no round number: the reason is put there.
		await context.db.query(
			`update result set best = '{"before": 1, "gain": {"exercise": "Plank"}}', effort = 9`
		);
		const kinds = async () =>
			(await inNeed({ app: context }, world.challenge, context.clock.now()))
				.find(({ person }) => person.id === oslo.enrolmentId)!
				.reasons.map(({ kind }) => kind);
		expect(await kinds()).toEqual(['hard', 'best']);
		await reply(about);
		expect(await kinds()).toEqual(['hard']);
	});
});

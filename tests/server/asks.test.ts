/** Polls and requests: what coach and participants ask each other. */
import { describe, expect, it } from 'vitest';
import {
	answerPoll,
	askPoll,
	closePoll,
	deletePoll,
	ownPolls,
	pollsIn
} from '$lib/server/training/challenge/polls';
import { standingOf } from '$lib/server/done/day/own-day';
import { threadOf } from '$lib/server/contact/messages/messages';
import {
	answerRequest,
	openRequests,
	request,
	requestsIn,
	requestsOf,
	takeBackRequest
} from '$lib/server/contact/messages/requests';
import { enrol } from '$lib/server/people/enrol';
import { leave } from '$lib/server/people/leave';
import { makeChallenge, makeCoach, ownPersonOf, peopleOf, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const { challenge, coach } = world;
const [oslo, auckland, bogota] = world.people as [
	(typeof world.people)[0],
	(typeof world.people)[0],
	(typeof world.people)[0]
];
const id = () => context.ids.uuid();

const QUESTION = { question: 'When?', choices: ['Monday', 'Sunday'], closesOn: '2026-11-27', shown: true };
const askAll = (raw: object = {}, audience: Parameters<typeof askPoll>[3] = { kind: 'all' }) =>
	askPoll(context, challenge, coach.id, audience, { ...QUESTION, ...raw });
const polls = () => pollsIn(context.db, challenge.id);
const mine = async (person = oslo) => ownPolls(context, person, await standingOf(context, person));
const say = (choice: unknown, person = oslo, poll?: string) =>
	polls().then(([first]) => answerPoll(context, person, { poll: poll ?? first!.id, choice }));

describe('a poll', () => {
	it('is on everybody’s page at once, until the end of its last day by the coach’s clock', async () => {
		expect(await mine()).toEqual([]);
		await askAll();
		expect(await mine()).toMatchObject([
			{
				question: 'When?',
				choices: ['Monday', 'Sunday'],
				open: true,
				choice: null,
				counts: null,
				// Midnight after Friday in Oslo.
				closesAt: Date.parse('2026-11-27T23:00:00Z')
			}
		]);
	});

	it('is answered with one press and answered otherwise; the numbers are for those who have', async () => {
		await say(1);
		await say(1, auckland);
		await say(0);
		expect(await mine()).toMatchObject([{ choice: 0, counts: [1, 1] }]);
		expect(await mine(bogota)).toMatchObject([{ choice: null, counts: null }]);
		expect(await polls()).toMatchObject([
			{
				by: 'Runa',
				answers: [[{ name: 'Person 1' }], [{ name: 'Person 2' }]],
				silent: [{ name: 'Person 3' }]
			}
		]);
	});

	it('takes no answer that it does not have', async () => {
		for (const choice of [2, -1, 0.5, 'x', null])
			await expect(say(choice)).rejects.toMatchObject({ status: 400 });
		expect((await mine())[0]?.choice).toBe(0);
	});

	it('is closed by its time or by the coach, and shows its numbers three days more', async () => {
		const [first] = await polls();
		context.at('2026-11-27T22:59:00Z');
		expect((await mine())[0]?.open).toBe(true);
		await closePoll(context, challenge, first!.id);
		await expect(say(1)).rejects.toMatchObject({ status: 409 });
		expect(await mine()).toMatchObject([{ open: false, choice: 0, counts: [1, 1] }]);
		expect(await mine(bogota), 'who did not answer').toEqual([]);
		context.at('2026-11-30T22:58:00Z');
		expect(await mine()).toHaveLength(1);
		context.at('2026-11-30T22:59:00Z');
		expect(await mine()).toEqual([]);
	});

	it('whose numbers are not shown shows nobody any', async () => {
		await askAll({ shown: false, closesOn: '2026-12-01' });
		await say(0);
		expect(await mine()).toMatchObject([{ choice: 0, counts: null }]);
		await deletePoll(context, challenge, (await polls())[0]!.id);
		expect(await mine()).toEqual([]);
	});

	it('to a level or a team asks nobody else', async () => {
		await askAll({ closesOn: '2026-12-01' }, { kind: 'level', level: 'trained' });
		expect(await mine()).toEqual([]);
		await expect(say(0)).rejects.toMatchObject({ status: 404 });
		expect((await polls())[0]).toMatchObject({ silent: [] });
		await context.db.query(
			`with t as (insert into team (id, challenge_id, name, position) values (gen_random_uuid(), $1, 'Larch', 0) returning id)
			 update enrolment set team_id = t.id from t where enrolment.id = $2`,
			[challenge.id, auckland.enrolmentId]
		);
		const [{ team } = { team: '' }] = await context.db.query<{ team: string }>('select id as team from team');
		await askAll({ closesOn: '2026-12-01', question: 'Larch?' }, { kind: 'team', team });
		expect(await mine(auckland)).toMatchObject([{ question: 'Larch?' }]);
		expect(await mine()).toEqual([]);
	});

	it('that is none is refused with what is wrong', async () => {
		const refused = (raw: object, message: RegExp, audience?: Parameters<typeof askPoll>[3]) =>
			expect(askAll({ closesOn: '2026-12-01', ...raw }, audience)).rejects.toMatchObject({
				message: expect.stringMatching(message) as string
			});
		await refused({ question: ' ' }, /needs a question/);
		await refused({ choices: ['One'] }, /two answers at least/i);
		await refused({ choices: ['One', 'one '] }, /the same/i);
		await refused({ choices: ['1', '2', '3', '4', '5', '6', '7'] }, /at most 6/i);
		await refused({ closesOn: '2026-11-29' }, /today or a day after/i);
		await refused({ closesOn: '2026-12-29' }, /at most 28 days/i);
		await refused({}, /Choose whom you ask/, { kind: 'to do' });
		await refused({}, /Choose whom you ask/, null);
		for (let n = (await polls()).filter(({ closesAt }) => closesAt > context.clock.now()).length; n < 5; n++)
			await askAll({ closesOn: '2026-12-01' });
		await refused({}, /5 polls are open/);
	});

	it('of another coach’s challenge is not there', async () => {
		const other = await makeChallenge(context, await makeCoach(context, 'Nila'));
		const [first] = await polls();
		await expect(closePoll(context, other, first!.id)).rejects.toMatchObject({ status: 404 });
		await expect(deletePoll(context, other, first!.id)).rejects.toMatchObject({ status: 404 });
		const [stranger] = await enrol(
			context,
			other,
			[{ name: 'Sefa', email: 's@example.org', zone: 'Europe/Oslo', level: 'beginner', kit: [], unread: [] }],
			null
		);
		const [sefa] = await peopleOf(context, other, [stranger!]);
		await expect(answerPoll(context, sefa!, { poll: first!.id, choice: 0 })).rejects.toMatchObject({
			status: 404
		});
	});
});

describe('a request', () => {
	const first = id();
	const ask = (raw: object = {}, person = oslo) =>
		request(context, person, { id: id(), wants: 'more', area: 'shoulders', said: ' please ', ...raw });
	const answer = async (raw: object = {}, one = first) =>
		answerRequest(context, challenge, await ownPersonOf(context, world, oslo.enrolmentId), coach.id, one, {
			answer: 'yes',
			text: 'On Thursday.',
			messageId: id(),
			...raw
		});

	it('is kept once, and waits', async () => {
		await ask({ id: first });
		await ask({ id: first });
		expect(await requestsOf(context.db, oslo.enrolmentId)).toMatchObject([
			{ wants: 'more', area: 'shoulders', said: 'please', answer: null }
		]);
		expect(await openRequests(context.db, challenge.id)).toBe(1);
		expect(await requestsIn(context.db, challenge.id)).toMatchObject([{ person: { name: 'Person 1' } }]);
	});

	it('is not there under the id of somebody else’s', async () => {
		const [, other] = world.people;
		await expect(ask({ id: first }, other)).rejects.toMatchObject({ status: 404 });
	});

	it('says for which part, or what, and no part that there is not', async () => {
		await expect(ask({ area: null })).rejects.toMatchObject({ status: 400 });
		await expect(ask({ area: 'elbow' })).rejects.toMatchObject({ status: 400 });
		await expect(ask({ wants: 'other', said: ' ' })).rejects.toMatchObject({ status: 400 });
		await expect(ask({ wants: 'much' })).rejects.toMatchObject({ status: 400 });
		await expect(ask({ said: 'x'.repeat(401) })).rejects.toMatchObject({ status: 400 });
		await ask({ wants: 'other', said: 'No mat', area: 'chest' });
		expect((await requestsOf(context.db, oslo.enrolmentId)).map(({ area }) => area)).toContain(null);
	});

	it('is bounded, and taken back while nobody has answered', async () => {
		await ask();
		await expect(ask()).rejects.toMatchObject({ status: 409 });
		const own = await requestsOf(context.db, oslo.enrolmentId);
		await expect(takeBackRequest(context.db, auckland, own[0]!.id)).rejects.toMatchObject({ status: 404 });
		for (const one of own) if (one.id !== first) await takeBackRequest(context.db, oslo, one.id);
		expect(await openRequests(context.db, challenge.id)).toBe(1);
	});

	it('is answered by a message, all or nothing', async () => {
		await expect(answer({ text: ' ' })).rejects.toMatchObject({ status: 400 });
		await expect(answer({ answer: 'perhaps' })).rejects.toMatchObject({ status: 400 });
		await expect(answer({}, id())).rejects.toMatchObject({ status: 404 });
		expect(await openRequests(context.db, challenge.id)).toBe(1);
		await answer();
		expect(await requestsOf(context.db, oslo.enrolmentId)).toMatchObject([{ answer: 'yes' }]);
		expect((await threadOf(context.db, oslo.enrolmentId, context.clock.now())).at(-1)).toMatchObject({
			text: 'On Thursday.',
			byCoach: true
		});
		expect(await openRequests(context.db, challenge.id)).toBe(0);
		await expect(answer()).rejects.toMatchObject({ status: 409 });
		await expect(takeBackRequest(context.db, oslo, first)).rejects.toMatchObject({ status: 404 });
	});

	it('of somebody who has left waits for nobody', async () => {
		await ask({}, bogota);
		await leave(context, await ownPersonOf(context, world, bogota.enrolmentId));
		expect(await openRequests(context.db, challenge.id)).toBe(0);
	});
});

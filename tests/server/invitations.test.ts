/** Links that go to people by mail. */
import { beforeEach, describe, expect, it } from 'vitest';
import { linkOf, openLink } from '$lib/server/account/auth/link';
import { leave } from '$lib/server/people/leave';
import type { Letter } from '$lib/server/platform/mail';
import { deliver } from '$lib/server/contact/delivery/deliver';
import { invitationsIn, inviteByMail, unopenedIn } from '$lib/server/contact/post/invitations';
import { stuckIn, tryAgain } from '$lib/server/contact/post/posts';
import { ownDataOf } from '$lib/server/account/privacy/own-data';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
let sent: Letter[];
/** What the mail server does with the next letters. */
let fails: (() => Error) | null;
const mail = {
	send: (letter: Letter) => {
		sent.push(letter);
		return fails ? Promise.reject(fails()) : Promise.resolve();
	}
};
const carry = () => deliver({ ...context, config: { origin: null } }, mail);
const BASE = 'https://cadrex.example/join/';
const invite = (raw: object = {}, only: Parameters<typeof inviteByMail>[5] = null) =>
	inviteByMail(context, world.challenge, world.coach, BASE, raw, only);
const secretIn = ({ text }: Letter) => new RegExp(`${BASE}(\\S+)`).exec(text)?.[1] ?? '';
const first = () => world.people[0]!.enrolmentId;

beforeEach(async () => {
	context = await testContext();
	// Noon in Oslo, one in the morning in Auckland, six in Bogotá: quiet hours end there at seven.
	context.at('2026-11-25T12:00:00Z');
	world = await makeWorld(context);
	sent = [];
	fails = null;
	return () => context.db.close();
});

describe('an invitation', () => {
	it('brings everybody who was never here a link that works, outside their quiet hours', async () => {
		expect(await unopenedIn(context.db, world.challenge.id)).toBe(3);
		expect(await invite({ words: 'See you on Monday.' })).toEqual({ sent: 3, leftOut: 0 });
		await carry();
		expect(sent.map(({ to }) => (to as { address: string }).address).sort()).toEqual([
			'p1@example.org',
			'p3@example.org'
		]);
		context.at('2026-11-25T18:00:00Z');
		await carry();
		expect(sent).toHaveLength(3);
		const { text, subject } = sent.find(
			({ to }) => (to as { address: string }).address === 'p1@example.org'
		)!;
		expect(subject).toBe('Your link for Hut weeks');
		expect(text).toContain('Hello Person,\n\nRuna has enrolled you in “Hut weeks”.');
		expect(text).toContain('\n\nSee you on Monday.\n\n');
		expect(await linkOf(context, secretIn({ text } as Letter))).toMatchObject({ enrolmentId: first() });
		expect(await linkOf(context, world.secrets[0]!), 'the link before').toBeNull();
		expect(new Set(sent.map(secretIn)).size).toBe(3);
	});

	it('stands in no thread, and its link nowhere once it is over', async () => {
		await invite();
		await carry();
		expect(await context.db.query('select 1 from message')).toEqual([]);
		expect(await context.db.query(`select 1 from letter where secret is not null`)).toEqual([]);
		expect(JSON.stringify(await ownDataOf(context, world.people[0]!.participantId))).not.toContain(
			secretIn(sent[0]!)
		);
		expect(await invitationsIn(context.db, world.challenge.id)).toContainEqual(
			expect.objectContaining({ id: first(), state: 'sent' })
		);
	});

	it('is the same one however often it is tried, and the link before holds until then', async () => {
		await invite({}, first());
		expect(await linkOf(context, world.secrets[0]!), 'before it goes').not.toBeNull();
		fails = () => Object.assign(new Error('try later'), { responseCode: 451 });
		await carry();
		expect(JSON.stringify(await ownDataOf(context, world.people[0]!.participantId))).not.toContain(
			secretIn(sent[0]!)
		);
		context.at('2026-11-25T13:00:00Z');
		fails = null;
		await carry();
		expect(sent).toHaveLength(2);
		expect(sent[1]).toEqual(sent[0]);
		expect(await linkOf(context, secretIn(sent[0]!))).not.toBeNull();
	});

	it('given up is named, and tried again has a new link', async () => {
		fails = () => Object.assign(new Error('no such user'), { responseCode: 550 });
		await invite({}, first());
		await carry();
		const [stuck] = await stuckIn(context.db, world.challenge.id);
		expect(stuck).toMatchObject({ name: 'Person 1', state: 'failed' });
		fails = null;
		await tryAgain(context, world.challenge, stuck!.id);
		await carry();
		expect(secretIn(sent[1]!)).not.toBe(secretIn(sent[0]!));
		expect(await linkOf(context, secretIn(sent[0]!))).toBeNull();
		expect(await linkOf(context, secretIn(sent[1]!))).not.toBeNull();
	});

	it('goes to nobody twice within an hour, and to nobody who has been here or has left', async () => {
		await invite({}, first());
		expect(await invite()).toEqual({ sent: 2, leftOut: 1 });
		await expect(invite({}, first())).rejects.toMatchObject({ status: 409 });
		context.at('2026-11-25T13:00:00Z');
		await openLink(context, world.secrets[1]!);
		await leave(context, await ownPersonOf(context, world, world.people[2]!.enrolmentId));
		expect(await unopenedIn(context.db, world.challenge.id)).toBe(1);
		expect(await invite()).toEqual({ sent: 1, leftOut: 0 });
		await expect(invite({}, world.people[2]!.enrolmentId)).rejects.toMatchObject({ status: 409 });
	});

	it('reaches those who want no mail of messages, and takes names and words for what they are', async () => {
		await context.db.query(
			`update participant set mailed = false, name = 'Mia {link}' where email = 'p1@example.org'`
		);
		await invite({ words: '<b>$&</b> {link}' }, first());
		await carry();
		expect(sent[0]?.text).toContain('<b>$&</b> {link}\n\n');
		expect(await linkOf(context, secretIn(sent[0]!))).not.toBeNull();
		await expect(invite({ words: 'x'.repeat(1001) })).rejects.toMatchObject({ status: 400 });
	});
});

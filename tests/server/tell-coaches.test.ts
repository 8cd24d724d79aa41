/** Coaches are told by mail that somebody wrote to them, if they want it. */
import { beforeEach, expect, it } from 'vitest';
import { writeTo, writeToCoach } from '$lib/server/contact/messages/messages';
import type { Letter } from '$lib/server/platform/mail';
import { deliver } from '$lib/server/contact/delivery/deliver';
import { savePostSettings } from '$lib/server/contact/post/settings';
import { inviteHelper } from '../support/coaches';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
let sent: Letter[];
let code: number | null;
const mail = {
	send: (letter: Letter) => {
		sent.push(letter);
		return code === null
			? Promise.resolve()
			: Promise.reject(Object.assign(new Error('no'), { responseCode: code }));
	}
};
const carry = () => deliver({ ...context, config: { origin: 'https://huts.example' } }, mail);
const write = (i: number, text = 'My knee is better') =>
	writeToCoach(context, world.people[i]!, { id: context.ids.uuid(), text });
const wants = (coachId = world.coach.id) => savePostSettings(context.db, coachId, { answers: true });

beforeEach(async () => {
	context = await testContext();
	context.at('2026-11-25T12:00:00Z');
	world = await makeWorld(context);
	sent = [];
	code = null;
	return () => context.db.close();
});

it('once for all that came in, with nothing of who or what', async () => {
	await wants();
	await write(0);
	await write(1);
	await carry();
	await carry();
	expect(sent).toMatchObject([{ to: { address: 'runa@example.org' }, subject: '2 messages for you' }]);
	expect(sent[0]!.text).toContain(`https://huts.example/c/${world.challenge.id}/reach`);
	expect(sent[0]!.text).not.toMatch(/knee|Person/);
	await write(0);
	await carry();
	expect(sent[1]).toMatchObject({ subject: '1 message for you' });
});

it('not while they want none, and not of what came before they did', async () => {
	await write(0);
	await carry();
	await wants();
	await carry();
	expect(sent).toEqual([]);
});

it('each of them who wants it, and nobody of what a coach wrote', async () => {
	const helper = await inviteHelper(context, world, 'Kaija', 'coach');
	await wants(helper.id);
	const person = await ownPersonOf(context, world, world.people[0]!.enrolmentId);
	await context.db.query('update participant set mailed = false');
	await writeTo(
		context,
		world.challenge,
		person,
		world.coach.id,
		{ id: context.ids.uuid(), text: 'How are you?' },
		[]
	);
	await carry();
	expect(sent).toEqual([]);
	await write(0);
	await carry();
	expect(sent.map(({ to }) => (to as { address: string }).address)).toEqual(['kaija@example.org']);
});

it('again as the same letter where it could not be taken, and not where it never will', async () => {
	await wants();
	await write(0);
	code = 451;
	await carry();
	code = null;
	await carry();
	expect(sent).toHaveLength(2);
	expect(sent[1]).toEqual(sent[0]);
	await write(0);
	code = 550;
	await carry();
	await carry();
	expect(sent).toHaveLength(3);
});

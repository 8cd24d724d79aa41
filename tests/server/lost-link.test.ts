import { beforeEach, describe, expect, it } from 'vitest';
import { linkOf, openLink, personOf } from '$lib/server/account/auth/link';
import { makeLink } from '$lib/server/changes/links';
import { leave } from '$lib/server/people/leave';
import { lostLinkJob } from '$lib/server/people/lost-link';
import { mailOwnLink } from '$lib/server/contact/post/invitations';
import { deliver } from '$lib/server/contact/delivery/deliver';
import type { Letter } from '$lib/server/platform/mail';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
let sent: Letter[];
const mail = { send: (letter: Letter) => Promise.resolve(void sent.push(letter)) };
const ORIGIN = 'https://hut.example';

beforeEach(async () => {
	context = await testContext();
	context.at('2026-11-25T12:00:00Z');
	world = await makeWorld(context);
	sent = [];
	return () => context.db.close();
});

const person = () => ownPersonOf(context, world, world.people[0]!.enrolmentId);
const ask = (email: string) => lostLinkJob(context, mail).run({ email, origin: ORIGIN });
const secretIn = (text = '') => /\/join\/([\w-]+)/.exec(text)?.[1] ?? '';

describe('a lost link', () => {
	it('is answered at the stored address, and opens one device, once', async () => {
		const { email, id } = await person();
		await ask(email);
		expect(sent.map(({ to }) => to)).toEqual([email]);
		const secret = secretIn(sent[0]?.text);
		expect((await linkOf(context, secret))?.enrolmentId).toBe(id);
		const token = await openLink(context, secret);
		expect((await personOf(context, token!))?.enrolmentId).toBe(id);
		expect(await openLink(context, secret)).toBeNull();
	});
	it('ends neither the person’s own link nor their devices', async () => {
		const { id, email } = await person();
		const own = await context.db.transaction((tx) => makeLink(tx, context, id, world.coach.id));
		const token = await openLink(context, own);
		await ask(email);
		await openLink(context, secretIn(sent[0]?.text));
		expect(await personOf(context, token!)).not.toBeNull();
		expect(await linkOf(context, own)).not.toBeNull();
	});
	it('is good for a day', async () => {
		await ask((await person()).email);
		context.at('2026-11-26T12:00:01Z');
		expect(await linkOf(context, secretIn(sent[0]?.text))).toBeNull();
	});
	it('brings nothing to an address that nobody has, and to somebody who has left', async () => {
		await ask('nobody@hut.example');
		const { email } = await person();
		await leave(context, await person());
		await ask(email);
		expect(sent).toEqual([]);
	});
	it('ends when the coach makes a new link, or revokes it', async () => {
		const { id, email } = await person();
		await ask(email);
		await context.db.transaction((tx) => makeLink(tx, context, id, world.coach.id));
		expect(await linkOf(context, secretIn(sent[0]?.text))).toBeNull();
	});
});

it('whoever joins by themselves is mailed the link that they have', async () => {
	const { id } = await person();
	const secret = await context.db.transaction((tx) => makeLink(tx, context, id, world.coach.id));
	const token = await openLink(context, secret);
	await mailOwnLink(context, { enrolmentId: id, secret, base: `${ORIGIN}/join/` });
	await deliver({ ...context, config: { origin: ORIGIN } }, mail);
	expect(secretIn(sent[0]?.text)).toBe(secret);
	// Nothing ends by it.
	expect(await personOf(context, token!)).not.toBeNull();
	const { kept } = (
		await context.db.query<{ kept: number }>('select count(secret)::int as kept from letter')
	)[0]!;
	expect(kept, 'a secret that was sent is not kept').toBe(0);
});

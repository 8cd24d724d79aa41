/** Links that a coach made end with their part in the challenge, and people hear of new ones. */
import { describe, expect, it } from 'vitest';
import { linkOf, openLink, personOf } from '$lib/server/account/auth/link';
import { changeRole, invite, removeCoach, takeUp } from '$lib/server/training/challenge/coaches';
import type { Coach } from '$lib/server/records/coach';
import { importRoster } from '$lib/server/people/import';
import { addPerson, admit, join, openJoin, joinSettingOf, waitingOf } from '$lib/server/people/join';
import { renewLink } from '$lib/server/people/links';
import { newLinkJob } from '$lib/server/people/new-link';
import { inviteByMail } from '$lib/server/contact/post/invitations';
import { deliver } from '$lib/server/contact/delivery/deliver';
import { keptOf } from '$lib/server/account/privacy/own-data';
import type { Letter, Mail } from '$lib/server/platform/mail';
import { makeCoach, ownPersonOf, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const { db } = context;
const [first, second, third] = world.people;
if (!first || !second || !third) throw new Error('too few people');

const sent: Letter[] = [];
const mail: Mail = { send: (letter) => Promise.resolve(void sent.push(letter)) };

let made = 0;
/** A coach who helps from now on. */
async function helper(): Promise<Coach> {
	const coach = await makeCoach(context, `Helper${made++}`);
	const raw = { forWhom: coach.name, role: 'coach' };
	await takeUp(context, coach.id, await invite(context, world.challenge, world.coach.id, raw));
	return coach;
}
const own = (id: string) => ownPersonOf(context, world, id);
/** Opens a link on a device. @returns who the device is, as long as it is known */
async function opened(secret: string) {
	const token = await openLink(context, secret);
	return async () => (token ? ((await personOf(context, token))?.name ?? null) : null);
}
const madeBy = async (id: string) =>
	(await db.query<{ by: string | null }>('select link_made_by as by from enrolment where id = $1', [id]))[0]
		?.by;

describe('a link', () => {
	it('that a helper made ends with their part, with its devices and the calendar link; others stay', async () => {
		const coach = await helper();
		const theirs = await opened(await renewLink(context, await own(first.enrolmentId), coach.id));
		const owners = await opened(await renewLink(context, await own(second.enrolmentId), world.coach.id));
		await db.query(`update enrolment set feed_hash = 'calendar' where id = $1`, [first.enrolmentId]);
		expect([await theirs(), await owners()]).toEqual(['Person 1', 'Person 2']);
		expect(await removeCoach(context, world.challenge, coach.id)).toEqual([
			{ id: first.enrolmentId, name: 'Person 1' }
		]);
		expect([await theirs(), await owners()]).toEqual([null, 'Person 2']);
		const [left] = await db.query('select link_hash, feed_hash from enrolment where id = $1', [
			first.enrolmentId
		]);
		expect(left).toEqual({ link_hash: null, feed_hash: null });
	});

	it('ends when they are to look on alone, and not when a viewer becomes a coach', async () => {
		const coach = await helper();
		const theirs = await opened(await renewLink(context, await own(first.enrolmentId), coach.id));
		expect(await changeRole(context, world.challenge, coach.id, { role: 'coach' })).toEqual([]);
		expect(await theirs()).toBe('Person 1');
		expect(await changeRole(context, world.challenge, coach.id, { role: 'viewer' })).toHaveLength(1);
		expect(await theirs()).toBeNull();
	});

	it('is of whoever added, imported, admitted or invited somebody', async () => {
		const coach = await helper();
		const { challenge } = world;
		const who = { email: 'mirre@example.org', zone: 'Europe/Oslo' };
		const added = await addPerson(
			context,
			challenge,
			{ ...who, name: 'Mirre', level: 'beginner', equipment: '' },
			coach.id
		);
		const [imported] = await importRoster(
			context,
			challenge,
			{ bytes: null, pasted: 'Dag Holt, dag@example.org, Europe/Oslo' },
			null,
			{ goodOnly: false, updateKnown: false, by: coach.id }
		);
		await openJoin(context, challenge, { capacity: '1' });
		const { code } = await joinSettingOf(db, challenge.id);
		await join(context, code ?? '', { name: 'Ansa', email: 'ansa@example.org', zone: 'Europe/Helsinki' });
		const [waiting] = await waitingOf(db, challenge);
		const admitted = await admit(context, challenge, waiting?.id ?? '', coach.id);
		for (const id of [added, imported!, admitted].map(({ enrolmentId }) => enrolmentId))
			expect(await madeBy(id)).toBe(coach.id);
		await inviteByMail(context, challenge, coach, 'https://huts.example/join/', {}, third.enrolmentId);
		sent.length = 0;
		await deliver({ ...context, config: { origin: null } }, mail);
		expect(await madeBy(third.enrolmentId)).toBe(coach.id);
		const ended = await removeCoach(context, challenge, coach.id);
		expect(ended.map(({ name }) => name)).toEqual(['Ansa', 'Dag Holt', 'Mirre', 'Person 3']);
	});

	it('is not made any more by a letter of theirs that waits', async () => {
		const coach = await helper();
		await inviteByMail(context, world.challenge, coach, 'https://huts.example/join/', {}, second.enrolmentId);
		const before = await madeBy(second.enrolmentId);
		await removeCoach(context, world.challenge, coach.id);
		sent.length = 0;
		await deliver({ ...context, config: { origin: null } }, mail);
		expect(sent).toEqual([]);
		expect(await madeBy(second.enrolmentId)).toBe(before);
	});
});

describe('the person', () => {
	it('is told who made a new link: by mail, as it is opened, and on their own page', async () => {
		const secret = await renewLink(context, await own(first.enrolmentId), world.coach.id);
		sent.length = 0;
		await newLinkJob(context, mail).run({ enrolmentId: first.enrolmentId, by: world.coach.id });
		expect(sent).toMatchObject([{ to: 'p1@example.org', subject: 'A new link for Hut weeks' }]);
		expect(sent[0]?.text).toContain('Runa created a new link for you');
		// It brings no way in itself.
		expect(sent[0]?.text).not.toContain(secret);
		expect((await linkOf(context, secret))?.by).toBe('Runa');
		await openLink(context, secret);
		expect((await keptOf(db, first)).link).toEqual({
			madeAt: context.clock.now(),
			madeBy: 'Runa',
			devices: 1
		});
	});
});

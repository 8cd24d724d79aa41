/** Who works on a challenge beside its owner: invited, changed, taken off; and who did what. */
import { DAY_MS } from '$core/calendar';
import { describe, expect, it } from 'vitest';
import { withoutHealth } from '$core/attendance';
import { changeProfile, makeReset, resetOf } from '$lib/server/account/auth/account';
import { coachById } from '$lib/server/records/coach';
import { challengeOf, challengesOf } from '$lib/server/records/challenge';
import {
	changeRole,
	coachesOf,
	INVITATION_DAYS,
	invitationBehind,
	invitationsOf,
	invite,
	removeCoach,
	takeUp,
	withdraw
} from '$lib/server/training/challenge/coaches';
import { deedsOf, DEEDS_KEPT, DEEDS_SHOWN, recordDeed } from '$lib/server/training/challenge/deeds';
import { randomIds } from '$lib/server/platform/ids';
import { purgeSignIns } from '$lib/server/edge/upkeep/purge';
import { makeCoach, sharedWorld } from '../support/context';
import { refusal } from '../support/refusal';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');

const asking = (role: string, forWhom = 'Kaija') =>
	invite(context, world.challenge, world.coach.id, { forWhom, role });

describe('an invitation', () => {
	it('makes somebody a coach once, with the owner’s challenge as the owner has it', async () => {
		const kaija = await makeCoach(context, 'Kaija');
		const secret = await asking('coach');
		expect(await invitationBehind(context, secret)).toMatchObject({
			challenge: world.challenge.name,
			by: world.coach.name,
			role: 'coach',
			forWhom: 'Kaija'
		});
		expect(await takeUp(context, kaija.id, secret)).toBe(world.challenge.id);
		const theirs = await challengeOf(context.db, kaija.id, world.challenge.id, 'viewer');
		expect(theirs).toMatchObject({ role: 'coach', coachId: world.coach.id });
		expect((await challengesOf(context.db, kaija.id, 'viewer')).map(({ id, role }) => [id, role])).toEqual([
			[world.challenge.id, 'coach']
		]);
		expect((await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer')).role).toBe('owner');
		const again = await makeCoach(context, 'Vilja');
		expect(await refusal(takeUp(context, again.id, secret))).toMatchObject({ status: 404 });
		expect(await invitationBehind(context, secret)).toBeNull();
	});

	it('for a coach makes a viewer one; for a viewer it leaves a coach what they are', async () => {
		const oskari = await makeCoach(context, 'Oskari');
		const role = async () => (await challengeOf(context.db, oskari.id, world.challenge.id, 'viewer')).role;
		await takeUp(context, oskari.id, await asking('viewer'));
		expect(await role()).toBe('viewer');
		await takeUp(context, oskari.id, await asking('coach'));
		expect(await role()).toBe('coach');
		await takeUp(context, oskari.id, await asking('viewer'));
		expect(await role()).toBe('coach');
	});

	it('ends after its days, and when it is withdrawn', async () => {
		const secret = await asking('viewer', 'Late');
		const over = Date.parse('2026-11-25T12:00:00Z') + INVITATION_DAYS * DAY_MS;
		context.at(new Date(over - 1).toISOString());
		expect(await invitationBehind(context, secret)).not.toBeNull();
		context.at(new Date(over).toISOString());
		expect(await invitationBehind(context, secret)).toBeNull();
		expect((await invitationsOf(context, world.challenge.id)).map(({ forWhom }) => forWhom)).not.toContain(
			'Late'
		);

		const other = await asking('viewer', 'Withdrawn');
		const [open] = await invitationsOf(context, world.challenge.id);
		expect(open?.forWhom).toBe('Withdrawn');
		await withdraw(context, world.challenge, open!.id);
		expect(await invitationBehind(context, other)).toBeNull();
		expect(await refusal(withdraw(context, world.challenge, open!.id))).toMatchObject({ status: 404 });
	});

	it('is refused for nobody, for another role and to the owner', async () => {
		expect((await refusal(asking('coach', ' '))).faults).toMatchObject([{ field: 'forWhom' }]);
		expect((await refusal(asking('owner'))).faults).toMatchObject([{ field: 'role' }]);
		const secret = await asking('coach');
		expect(await refusal(takeUp(context, world.coach.id, secret))).toMatchObject({ status: 409 });
		// Which leaves the link good for whom it is for.
		expect(await invitationBehind(context, secret)).not.toBeNull();
	});

	it('is one of thirty at most, with those who are in', async () => {
		const there = (await coachesOf(context.db, world.challenge.id)).length;
		const open = (await invitationsOf(context, world.challenge.id)).length;
		for (let i = there + open; i < 30; i++) await asking('viewer', `Number ${i}`);
		expect(await refusal(asking('viewer', 'One more'))).toMatchObject({ status: 409 });
	});
});

describe('somebody who helps', () => {
	it('stands behind the owner, is changed and taken off', async () => {
		const helper = await makeCoach(context, 'Aino');
		const { db } = context;
		const challenge = world.challenge;
		await db.query('delete from invitation');
		await takeUp(context, helper.id, await asking('coach'));
		const all = await coachesOf(db, challenge.id);
		expect(all[0]).toMatchObject({ id: world.coach.id, role: 'owner', since: null });
		expect(all.find(({ id }) => id === helper.id)).toMatchObject({ role: 'coach', name: 'Aino' });
		await changeRole(context, challenge, helper.id, { role: 'viewer' });
		expect((await challengeOf(db, helper.id, challenge.id, 'viewer')).role).toBe('viewer');
		expect(await refusal(changeRole(context, challenge, helper.id, { role: 'owner' }))).toMatchObject({
			status: 400
		});
		expect(await refusal(changeRole(context, challenge, world.coach.id, { role: 'viewer' }))).toMatchObject({
			status: 404
		});
		await removeCoach(context, challenge, helper.id);
		expect(await refusal(challengeOf(db, helper.id, challenge.id, 'viewer'))).toMatchObject({ status: 404 });
		expect(await refusal(removeCoach(context, challenge, helper.id))).toMatchObject({ status: 404 });
	});

	it('as a viewer reads nothing from the plates that follows from health', () => {
		const day = { credit: 0.5, pain: true } as const;
		expect(
			withoutHealth([
				{ ...day, state: 'partial' },
				{ credit: 0, pain: false, state: 'held' }
			])
		).toEqual([
			{ credit: 0.5, pain: false, state: 'partial' },
			{ credit: 0, pain: false, state: 'excused' }
		]);
	});
});

describe('what was done', () => {
	it('is read from the latest on, by one coach, so many at once', async () => {
		const { db } = context;
		const helper = await makeCoach(context, 'Ilta');
		const deed = (coachId: typeof helper.id, work: string, more = {}) =>
			recordDeed(context, {
				work,
				challengeId: world.challenge.id,
				coachId,
				enrolmentId: null,
				session: null,
				...more
			});
		const of = (more = {}) => deedsOf(db, world.challenge.id, { coachId: null, before: null, ...more });
		await deed(world.coach.id, '/plan?save');
		await deed(helper.id, '/roll?excuse', { enrolmentId: world.people[0]!.enrolmentId });
		await deed(helper.id, '/build/[session]?save', { session: world.session.id });
		// A look at what would come, and what there are no words for, is nothing to record.
		await deed(helper.id, '/people/import?preview');
		await deed(helper.id, '/something/else');
		// What it was about is gone, or an address said nonsense.
		await deed(helper.id, '/people/[person]?unenrol', { enrolmentId: randomIds.uuid(), session: 'new' });
		const all = await of();
		expect(all.map(({ by, what, person, session }) => [by, what, person?.name, session])).toEqual([
			['Ilta', 'Took somebody off the list', undefined, null],
			['Ilta', 'Saved a session', undefined, world.session.name],
			['Ilta', 'Excused days', world.people[0]!.name, null],
			[world.coach.name, 'Saved the plan', undefined, null]
		]);
		expect((await of({ coachId: world.coach.id })).map(({ what }) => what)).toEqual(['Saved the plan']);
		expect(await of({ before: all[2]!.id })).toHaveLength(1);
		for (let i = 0; i < DEEDS_SHOWN; i++) await deed(helper.id, '/plan?save');
		expect(await of()).toHaveLength(DEEDS_SHOWN);
		expect(await of({ coachId: 'nonsense' })).toHaveLength(DEEDS_SHOWN);
	});
});

it('what has ended and what is old is deleted, and nothing else', async () => {
	const { db } = context;
	context.at('2026-11-25T12:00:00Z');
	await db.query('delete from invitation');
	await db.query('delete from deed');
	await asking('viewer', 'Early');
	const began = Date.parse('2026-12-20T12:00:00Z');
	context.at(new Date(began).toISOString());
	await asking('viewer', 'Open');
	await recordDeed(context, {
		work: '/plan?save',
		challengeId: world.challenge.id,
		coachId: world.coach.id,
		enrolmentId: null,
		session: null
	});
	const deeds = () => deedsOf(db, world.challenge.id, { coachId: null, before: null });
	context.at(new Date(began + DAY_MS).toISOString());
	await purgeSignIns(context);
	expect(await db.query('select for_whom from invitation')).toEqual([{ for_whom: 'Open' }]);
	context.at(new Date(began + DEEDS_KEPT * DAY_MS - 1).toISOString());
	await purgeSignIns(context);
	expect(await deeds()).toHaveLength(1);
	context.at(new Date(began + DEEDS_KEPT * DAY_MS).toISOString());
	await purgeSignIns(context);
	expect(await deeds()).toHaveLength(0);
	context.at('2026-11-25T12:00:00Z');
});

describe('a coach’s own account', () => {
	it('is changed; a new address ends links that set a password', async () => {
		const coach = await makeCoach(context, 'Eeva');
		const secret = await makeReset(context, coach.id);
		const change = (more: object) =>
			changeProfile(context, coach, { name: 'Eeva Lind', email: coach.email, zone: 'Riga', ...more });
		expect(await change({ units: 'lb' })).toBeNull();
		expect(await coachById(context, coach.id)).toMatchObject({ units: 'lb' });
		expect((await refusal(change({ units: 'stone' }))).faults).toMatchObject([{ field: 'units' }]);
		expect(await change({})).toBeNull();
		expect(await coachById(context, coach.id)).toMatchObject({ name: 'Eeva Lind', zone: 'Europe/Riga' });
		expect(await resetOf(context, secret)).not.toBeNull();
		expect((await refusal(change({ email: world.coach.email }))).status).toBe(409);
		expect((await refusal(change({ email: 'eeva' }))).faults).toMatchObject([{ field: 'email' }]);
		expect(await change({ email: 'Eeva.Lind@example.org' })).toBe(coach.email);
		expect((await coachById(context, coach.id))?.email).toBe('eeva.lind@example.org');
		expect(await resetOf(context, secret)).toBeNull();
	});
});

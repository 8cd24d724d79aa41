import { expect, it } from 'vitest';
import { readinessOf } from '$lib/server/contact/desk/readiness';
import { makeLink } from '$lib/server/changes/links';
import { openLink } from '$lib/server/account/auth/link';
import { enrolmentsOf } from '$lib/server/records/enrolments';
import { writeTo } from '$lib/server/contact/messages/messages';
import { inNeed } from '$lib/server/contact/reach/triage';
import { ownPersonOf, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld('2026-11-20T12:00:00Z');
const [first] = world.people;
const now = () => context.clock.now();
const readiness = async () =>
	readinessOf(context.db, world.challenge.id, await enrolmentsOf(context.db, world.challenge.id), now());

it('says who has not opened their link, who has not answered, and whether anything was written', async () => {
	const before = await readiness();
	expect(before.unopened.map(({ name }) => name)).toContain('Person 1');
	expect(before.hasWritten).toBe(false);
	const secret = await context.db.transaction((tx) =>
		makeLink(tx, context, first!.enrolmentId, world.coach.id)
	);
	await openLink(context, secret);
	const person = await ownPersonOf(context, world, first!.enrolmentId);
	await writeTo(
		context,
		world.challenge,
		person,
		world.coach.id,
		{ id: context.ids.uuid(), text: 'Welcome' },
		[]
	);
	const after = await readiness();
	expect(after.unopened.map(({ name }) => name)).not.toContain('Person 1');
	expect(after.unanswered.map(({ name }) => name)).toEqual(['Person 1']);
	expect(after.hasWritten).toBe(true);
	expect(after.people).toBe(before.people);
});

it('a challenge that is over asks for nobody', async () => {
	context.at('2026-12-01T12:00:00Z');
	const during = await inNeed({ app: context }, world.challenge, now());
	expect(during.some(({ reasons }) => reasons.length > 0)).toBe(true);
	context.at('2027-01-10T12:00:00Z');
	const after = await inNeed({ app: context }, world.challenge, now());
	expect(after.length).toBe(during.length);
	expect(after.every(({ reasons }) => reasons.length === 0)).toBe(true);
});

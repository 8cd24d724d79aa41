import { expect, it } from 'vitest';
import { groupPicture, useSuggested } from '$lib/server/people/cohort';
import { challengeOf } from '$lib/server/records/challenge';
import { setHour } from '$lib/server/people/hour';
import { finishIntake } from '$lib/server/people/intake';
import { leave } from '$lib/server/people/leave';
import { openPlan } from '$lib/server/training/plan/plan';
import { randomIds } from '$lib/server/platform/ids';
import { ownPersonOf, sharedWorld } from '../support/context';
import { ANSWERS } from '../support/intake';

const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const [oslo, auckland, bogota] = world.people;
const picture = () => groupPicture(context, world.challenge);

it('a group trains by the clock of its coach, each at their own hour', async () => {
	await setHour(context, oslo!.enrolmentId, { hour: '06:30' });
	// 18:30 in Auckland is 06:30 in Oslo in November, and 07:00 in Bogota 13:00.
	await setHour(context, auckland!.enrolmentId, { hour: '18:30' });
	await setHour(context, bogota!.enrolmentId, { hour: '07:00' });
	const { hours, noHour, zones } = await picture();
	expect(
		hours
			.filter(({ people }) => people.length > 0)
			.map(({ hour, people }) => [hour, people.map(({ name }) => name)])
	).toEqual([
		[6, ['Person 1', 'Person 2']],
		[13, ['Person 3']]
	]);
	expect(noHour).toBe(0);
	expect(zones).toHaveLength(3);
	await setHour(context, bogota!.enrolmentId, { hour: '' });
	expect((await picture()).noHour).toBe(1);
});

it('says how many have what, and who answered; who has left is not of it', async () => {
	await finishIntake(
		context,
		oslo!.participantId,
		'participant',
		{ ...ANSWERS, kit: { none: false, owned: [{ kind: 'dumbbell', kg: 6, count: 2 }], other: '' } },
		randomIds.uuid()
	);
	const before = await picture();
	expect(before).toMatchObject({ unanswered: 2, cohort: { people: 3, withKit: 3, heaviestKg: 6 } });
	await leave(context, await ownPersonOf(context, world, bogota!.enrolmentId));
	expect((await picture()).cohort.people).toBe(2);
});

it('suggests whom the plan is made for, and the plan is made for them on one word', async () => {
	const { suggested, audience } = await picture();
	expect(suggested).not.toEqual(audience);
	await useSuggested(context, world.challenge);
	expect(
		(await openPlan(context, await challengeOf(context.db, world.coach.id, world.challenge.id, 'viewer')))
			.plan.audience
	).toEqual(suggested);
	expect((await picture()).audience).toEqual(suggested);
});

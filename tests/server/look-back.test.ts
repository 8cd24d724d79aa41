/** Looking back on a challenge, and the way back into one. */
import { DAY_MS } from '$core/calendar';
import { beforeEach, describe, expect, it } from 'vitest';
import { DEFAULT_HOUSE } from '$core/practice';
import { reviewRules, whatWorked } from '$core/triage';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { rollRow } from '$lib/server/done/attendance/roll';
import { overridesOf } from '$lib/server/records/overrides';
import { asPerson, enrolmentsOf } from '$lib/server/records/enrolments';
import { planOf } from '$lib/server/records/plan-days';
import { noteReach } from '$lib/server/contact/reach/reaches';
import { easeIn, reentryFor } from '$lib/server/contact/reach/reentry';
import { reviewedOf } from '$lib/server/contact/reach/review';
import { inNeed } from '$lib/server/contact/reach/triage';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;
beforeEach(async () => {
	context = await testContext();
	context.at('2026-11-23T12:00:00Z');
	world = await makeWorld(context);
	return () => context.db.close();
});
const person = (i = 0) => ownPersonOf(context, world, world.people[i]!.enrolmentId);
const train = async (day: number, i = 0, done = 'all') => {
	context.at(new Date(Date.parse('2026-11-23T11:00:00Z') + (day - 1) * DAY_MS).toISOString());
	await checkIn(context, asPerson(await person(i)), {
		id: context.ids.uuid(),
		day,
		done,
		sets: null,
		versionId: null
	});
};

describe('a challenge looked back on', () => {
	const look = (house = DEFAULT_HOUSE) =>
		reviewedOf(context.db, world.challenge, { from: 1, to: 14, house, now: context.clock.now() });

	it('has the mornings as they stood, by the rules that are tried, up to now', async () => {
		await train(1);
		await train(2);
		context.at('2026-11-28T12:00:00Z');
		const seen = await look();
		const mine = seen.find(({ id }) => id === world.people[0]!.enrolmentId)!;
		expect(mine.mornings.map(({ day }) => day)).toEqual([1, 2, 3, 4, 5, 6]);
		// Days 3 and 4 are over on the morning of day 5, a day for late results later.
		expect(mine.mornings.map(({ reasons }) => reasons.join())).toEqual([
			'',
			'',
			'',
			'',
			expect.stringMatching(/miss/),
			'missing'
		]);
		expect([mine.lastDay, mine.checkins.length]).toEqual([2, 2]);
		const strict = (await look({ ...DEFAULT_HOUSE, silentFrom: 4 })).find(({ id }) => id === mine.id)!;
		expect(strict.mornings.some(({ reasons }) => reasons.includes('missing'))).toBe(false);
		expect(reviewRules(seen, 14), 'named only once they were gone').toMatchObject({
			hits: [],
			misses: [mine.id]
		});
	});

	it('knows whom a coach turned to for a reason, and what came of it', async () => {
		await train(1);
		context.at('2026-11-27T07:00:00Z');
		await noteReach(context, world.challenge, await person(), world.coach.id, ['missing'], { way: 'called' });
		await noteReach(context, world.challenge, await person(), world.coach.id, [], { way: 'wrote' });
		await noteReach(context, world.challenge, await person(), world.coach.id, ['missing'], {
			way: 'settled'
		});
		await train(5);
		context.at('2026-12-01T12:00:00Z');
		const seen = await look();
		expect(seen.find(({ id }) => id === world.people[0]!.enrolmentId)!.reached).toEqual([
			Date.parse('2026-11-27T07:00:00Z')
		]);
		const worked = whatWorked(seen, context.clock.now(), { mornings: 0, people: 0 });
		expect(worked.find(({ reached }) => reached.n > 0)).toMatchObject({ reached: { n: 1, x: 1 } });
	});
});

describe('the way back', () => {
	const proposed = async (i = 0) =>
		reentryFor(
			rollRow(
				await person(i),
				world.challenge,
				await planOf(context.db, world.challenge),
				context.clock.now()
			),
			context.clock.now()
		);

	it('is proposed to who has been away for a week, and once they are back', async () => {
		await train(1);
		context.at('2026-11-29T12:00:00Z');
		expect(await proposed()).toBeNull();
		context.at('2026-12-01T12:00:00Z');
		expect(await proposed()).toEqual({
			daysOff: 8,
			steps: [
				{ share: 0.7, fromDay: 8, toDay: 8 },
				{ share: 0.85, fromDay: 9, toDay: 9 }
			]
		});
		await train(9);
		expect(await proposed()).toMatchObject({ daysOff: 8, steps: [{ fromDay: 8 }, { fromDay: 10 }] });
		context.at('2026-12-04T12:00:00Z');
		expect(await proposed(), 'three days later they are in it again').toBeNull();
		expect(await proposed(1), 'who never began has nothing to come back to').toBeNull();
	});

	it('makes the next sessions smaller, once', async () => {
		await train(1);
		context.at('2026-12-01T12:00:00Z');
		await easeIn(context, world.challenge, await person());
		const made = await overridesOf(context.db, world.people[0]!.enrolmentId, context.clock.now());
		expect(made.sort((a, b) => a.fromDay - b.fromDay)).toMatchObject([
			{
				target: { kind: 'day' },
				change: { kind: 'scale', share: 0.7 },
				fromDay: 8,
				toDay: 8,
				origin: { kind: 're-entry' }
			},
			{ change: { kind: 'scale', share: 0.85 }, fromDay: 9, toDay: 9 }
		]);
		await expect(easeIn(context, world.challenge, await person())).rejects.toMatchObject({ status: 409 });
		await expect(easeIn(context, world.challenge, await person(1))).rejects.toMatchObject({ status: 409 });
	});
});

describe('what is read of people', () => {
	const mine = async () =>
		(await inNeed({ app: context }, world.challenge, context.clock.now())).find(
			({ person: { id } }) => id === world.people[0]!.enrolmentId
		)!;

	it('is read anew after every change, and only of those about whom something has changed', async () => {
		context.at('2026-11-24T12:00:00Z');
		const touched = async () =>
			new Map((await enrolmentsOf(context.db, world.challenge.id)).map((one) => [one.name, one.touched]));
		const before = await touched();
		expect((await mine()).reaches).toHaveLength(0);
		await noteReach(context, world.challenge, await person(), world.coach.id, ['missing'], { way: 'wrote' });
		expect((await mine()).reaches).toHaveLength(1);
		await train(2);
		expect((await mine()).checkins).toHaveLength(1);
		await context.db.query('update participant set goals = $2 where id = $1', [
			world.people[0]!.participantId,
			'up'
		]);
		expect((await mine()).person.goals).toBe('up');
		const after = await touched();
		expect(after.get('Person 1')).toBeGreaterThan(before.get('Person 1')!);
		expect([after.get('Person 2'), after.get('Person 3')]).toEqual([
			before.get('Person 2'),
			before.get('Person 3')
		]);
	});

	it('is as it stood when somebody looks back', async () => {
		await train(1);
		const then = context.clock.now();
		await noteReach(context, world.challenge, await person(), world.coach.id, ['easy'], { way: 'wrote' });
		await train(2);
		const back = await inNeed({ app: context }, world.challenge, then);
		const one = back.find(({ person: { id } }) => id === world.people[0]!.enrolmentId)!;
		expect([one.checkins.length, one.reaches.length]).toEqual([1, 1]);
		expect((await mine()).checkins).toHaveLength(2);
	});
});

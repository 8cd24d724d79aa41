import { describe, expect, it } from 'vitest';
import { excuse } from '$lib/server/done/attendance/excuses';
import { rollRow } from '$lib/server/done/attendance/roll';
import { threadOf, writeToCoach, writeTo } from '$lib/server/contact/messages/messages';
import { changeEquipment } from '$lib/server/people/change';
import { setHour } from '$lib/server/people/hour';
import { changesOf } from '$lib/server/records/health';
import { planOf } from '$lib/server/records/plan-days';
import { excuseProposed } from '$lib/server/contact/reach/excuse-proposed';
import { ownPersonOf, sharedWorld } from '../support/context';

/** Wednesday 25 November, day 3 in Oslo. */
const { context, world } = await sharedWorld('2026-11-25T12:00:00Z');
const [oslo, auckland, bogota] = world.people as [
	(typeof world.people)[0],
	(typeof world.people)[0],
	(typeof world.people)[0]
];
const own = (person = oslo) => ownPersonOf(context, world, person.enrolmentId);
const write = (text: string, person = oslo) =>
	writeToCoach(context, person, { id: context.ids.uuid(), text });
async function proposed(person = oslo) {
	const now = context.clock.now();
	const one = await own(person);
	const plan = await planOf(context.db, world.challenge);
	const { days } = rollRow(one, world.challenge, plan, now);
	const found = excuseProposed(await threadOf(context.db, one.id, now), one, days, world.challenge, now);
	return found && [found.reason, found.from, found.to];
}

describe('an excuse that is proposed', () => {
	it('has the days of the message, until they are excused', async () => {
		expect(await proposed()).toBeNull();
		await write('I have a fever, back on Monday');
		expect(await proposed()).toEqual(['ill', 3, 7]);
		await excuse(context, await own(), { days: [3, 4, 5, 6, 7], reason: 'ill' });
		expect(await proposed()).toBeNull();
	});
	it('goes by the date where the person is', async () => {
		// It is Thursday in Auckland already.
		await write('ill today', auckland);
		expect(await proposed(auckland)).toEqual(['ill', 4, 4]);
	});
	it('ends with the challenge, and does not begin before it', async () => {
		await write('ill for 28 days', bogota);
		expect(await proposed(bogota)).toEqual(['ill', 3, 14]);
		context.at('2026-11-25T12:05:00Z');
		await write('ill since 1 November, until Friday', bogota);
		expect((await proposed(bogota))?.slice(1)).toEqual([1, 5]);
	});
	it('is read from what the person wrote, and not from what a coach did', async () => {
		const id = context.ids.uuid();
		await writeTo(
			context,
			world.challenge,
			await own(),
			world.coach.id,
			{ id, text: 'Are you ill until Sunday?' },
			[]
		);
		expect(await proposed()).toBeNull();
	});
	it('is not read from a message of three weeks ago', async () => {
		context.at('2026-12-17T12:00:00Z');
		expect(await proposed(auckland)).toBeNull();
		context.at('2026-11-25T12:00:00Z');
	});
});

describe('what is edited in place', () => {
	it('changes the equipment and nothing else, and is among the changes', async () => {
		const before = await own();
		await changeEquipment(context, before, 'dumbbell 8 kg; a hammock');
		const after = await own();
		expect(after.kitUnread).toEqual(['a hammock']);
		expect(after.kit).not.toEqual(before.kit);
		for (const key of ['name', 'zone', 'level', 'addedLimits'] as const)
			expect(after[key]).toEqual(before[key]);
		expect((await changesOf(context.db, before.participantId, context.clock.now()))[0]?.what).toMatch(
			/^equipment: /
		);
	});
	it('changes the hour; a coach’s change is among the changes, a person’s own is not', async () => {
		const { id, participantId } = await own();
		const changes = async () => (await changesOf(context.db, participantId, context.clock.now())).length;
		const before = await changes();
		await setHour(context, id, { hour: '18:30' });
		expect(await changes()).toBe(before);
		await setHour(context, id, { hour: '19:00' }, 'coach');
		expect((await own()).trainsAt).toBe(19 * 60);
		expect(await changes()).toBe(before + 1);
		await expect(setHour(context, id, { hour: '25:00' }, 'coach')).rejects.toMatchObject({ status: 400 });
	});
});

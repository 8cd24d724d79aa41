import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { checkinsOf } from '$lib/server/done/attendance/history';
import { rebuild } from '$lib/server/changes/projection';
import { cameIn } from '$lib/server/contact/desk/desk';
import { Refusal } from '$lib/server/platform/errors';
import { excuse, pause, pausesOf, removePause, unexcuse } from '$lib/server/done/attendance/excuses';
import { restoreDays, takeDaysOff } from '$lib/server/training/plan/days-off';
import { planOf } from '$lib/server/records/plan-days';
import { loadRoll } from '$lib/server/done/attendance/roll';
import { ownPersonOf, sharedWorld } from '../support/context';

const { context, world } = await sharedWorld();

const stored = async (id: string) =>
	(
		await context.db.query<{ strip: object; lastSeen: number | null }>(
			'select strip, last_seen as "lastSeen" from enrolment where id = $1',
			[id]
		)
	)[0];

describe('the roll', () => {
	it('shows everybody’s days with what they are out of', async () => {
		// Monday in all three zones: 11:45 in Oslo, 23:45 in Auckland, 05:45 in Bogotá.
		context.at('2026-11-23T10:45:00Z');
		for (const person of world.people)
			await checkIn(context, person, { id: context.ids.uuid(), day: 1, done: 'all' });
		context.at('2026-11-24T12:00:00Z');
		await checkIn(context, world.people[0]!, { id: context.ids.uuid(), day: 2, done: 'all', hurts: 'knee' });
		context.at('2026-11-27T12:00:00Z');
		const plan = await planOf(context.db, world.challenge);
		const roll = await loadRoll(context.db, world.challenge, plan, context.clock.now());
		// Friday noon: days 1 to 3 are closed for all (24 h after their midnight), in Auckland since an hour day 4 too.
		expect(
			roll.rows.map((row) => [row.person.name, row.adherence.credit, row.adherence.due, row.silent])
		).toEqual([
			['Person 1', 2, 3, 1],
			['Person 2', 1, 4, 3],
			['Person 3', 1, 3, 2]
		]);
		expect(roll.group).toMatchObject({ credit: 4, due: 10 });
		expect(roll.totals[1]).toEqual({ credit: 1, people: 3 });
		expect(roll.rows[0]?.days[1]?.pain).toBe(true);
	});

	it('looks back at the group as it stood', async () => {
		const plan = await planOf(context.db, world.challenge);
		const roll = await loadRoll(context.db, world.challenge, plan, Date.parse('2026-11-24T11:00:00Z'));
		expect(roll.totals[0]?.credit).toBe(3);
		expect(roll.totals[1]?.credit).toBe(0);
	});

	it('lists what came in, the newest first, with what a person said', async () => {
		const rows = await cameIn(
			context.db,
			world.challenge.id,
			Date.parse('2026-11-23T00:00:00Z'),
			Date.parse('2026-11-25T00:00:00Z')
		);
		expect(rows).toHaveLength(4);
		expect(rows[0]).toMatchObject({ name: 'Person 1', day: 2, hurts: 'knee' });
		const history = await checkinsOf(
			context,
			world.people[0]!.enrolmentId,
			Date.parse('2026-11-23T23:00:00Z')
		);
		expect(history.map((row) => [row.day, row.session, row.sets])).toEqual([[1, 'Small', 5]]);
	});
});

describe('what an enrolment adds up to', () => {
	it('is the same added up as one goes and worked out anew, on random histories', async () => {
		const step = fc.record({
			day: fc.constantFrom(1, 2, 3, 4, 5, 8, 9),
			act: fc.constantFrom(
				'all',
				'part',
				'none',
				'correct',
				'excuse',
				'unexcuse',
				'pause',
				'unpause',
				'cancel',
				'restore',
				'excuse all'
			),
			hurts: fc.boolean()
		});
		const person = world.people[2]!;
		await fc.assert(
			fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 12 }), async (steps) => {
				await context.db.query('delete from result where enrolment_id = $1', [person.enrolmentId]);
				await context.db.query('delete from excuse where enrolment_id = $1', [person.enrolmentId]);
				await context.db.query('delete from pause where enrolment_id = $1', [person.enrolmentId]);
				await context.db.query('update plan_day set cancelled = null, cancelled_at = null');
				await rebuild(context);
				for (const { day, act, hurts } of steps) {
					context.at(`2026-12-0${(day % 6) + 1}T12:00:00Z`);
					try {
						if (act === 'excuse')
							await excuse(context, await ownPersonOf(context, world, person.enrolmentId), {
								days: [day],
								reason: 'r'
							});
						else if (act === 'unexcuse')
							await unexcuse(context, await ownPersonOf(context, world, person.enrolmentId), { day });
						else if (act === 'pause')
							await pause(context, await ownPersonOf(context, world, person.enrolmentId), {
								fromDay: day,
								toDay: hurts ? null : day + 1,
								reason: 'r'
							});
						else if (act === 'unpause') {
							const [first] = await pausesOf(context.db, person.enrolmentId);
							const own = await ownPersonOf(context, world, person.enrolmentId);
							if (first) await removePause(context, own, first.id);
						} else if (act === 'restore') await restoreDays(context, world.challenge, { days: [day] });
						else if (act === 'cancel' || act === 'excuse all')
							await takeDaysOff(context, world.challenge, {
								how: act === 'cancel' ? 'cancel' : 'excuse',
								days: [day],
								reason: 'r'
							});
						else {
							const [current] = await context.db.query<{ id: string }>(
								'select id from result where enrolment_id = $1 and day = $2 and replaced_at is null',
								[person.enrolmentId, day]
							);
							const sets = act === 'part' ? [{ block: 0, part: 0, set: 1, amount: 7 }] : null;
							const done = act === 'correct' ? 'all' : act;
							await checkIn(context, person, {
								id: context.ids.uuid(),
								day,
								done,
								sets,
								hurts: hurts ? 'knee' : null,
								replaces: act === 'correct' ? current?.id : null
							});
						}
					} catch (refusal) {
						if (!(refusal instanceof Refusal)) throw refusal;
					}
				}
				const kept = await stored(person.enrolmentId);
				await rebuild(context);
				expect(kept).toEqual(await stored(person.enrolmentId));
			}),
			{ numRuns: 25 }
		);
	});

	it('is mended by rebuild', async () => {
		const person = world.people[0]!;
		const before = await stored(person.enrolmentId);
		await context.db.query(`update enrolment set strip = '{}', last_seen = null where id = $1`, [
			person.enrolmentId
		]);
		expect(await rebuild(context)).toBe(3);
		expect(await stored(person.enrolmentId)).toEqual(before);
	});
});

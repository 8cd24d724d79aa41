import { describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import type { Person } from '$lib/server/records/person';
import { enrolmentById } from '$lib/server/records/enrolments';
import { openDay, ownCheckin, standingOf } from '$lib/server/done/day/own-day';
import { makeWorld, testContext, type TestContext, sharedWorld } from '../support/context';

/** What stands for a day, after corrections. */
const received = async (at: TestContext, person: Person, day: number) => {
	const rows = await at.db.query<{ id: string }>(
		'select id from result where enrolment_id = $1 and day = $2 and replaced_at is null',
		[person.enrolmentId, day]
	);
	return rows[0] ? ownCheckin(at, person, rows[0].id) : null;
};

const { context, world } = await sharedWorld();
const [oslo, auckland, bogota] = world.people as [Person, Person, Person];

/** Wednesday 25 November 2026, day 3: opened at 04:30Z in Oslo, 16:30Z on Tuesday in Auckland, 10:30Z in Bogotá. */
const NOON = '2026-11-25T12:00:00Z';

const send = (person: Person, day: number, more: object = {}) =>
	checkIn(context, person, { id: context.ids.uuid(), day, done: 'all', ...more });
const rows = async (sql: string, ...values: unknown[]) =>
	(await context.db.query<{ n: number }>(sql, values))[0]?.n;

describe('days and their hours', () => {
	it('are not seen before their hour in each person’s own morning', async () => {
		context.at('2026-11-25T04:29:59Z');
		await expect(openDay(context, oslo, 3)).rejects.toMatchObject({ status: 404 });
		context.at('2026-11-25T04:30:00Z');
		expect((await openDay(context, oslo, 3)).session?.name).toBe('Small');
		await expect(openDay(context, bogota, 3)).rejects.toMatchObject({ status: 404 });
		expect((await openDay(context, auckland, 3)).day).toBe(3);
		expect((await standingOf(context, bogota)).today).toBe(2);
	});

	it.each([0, 15, -1, 1.5, NaN])('do not exist: %s', async (day) => {
		await expect(openDay(context, oslo, day)).rejects.toMatchObject({ status: 404 });
	});

	it('take no check-in before their hour', async () => {
		context.at('2026-11-25T04:30:00Z');
		await expect(send(bogota, 3)).rejects.toMatchObject({ status: 404 });
		context.at(NOON);
	});
});

describe('a check-in', () => {
	it('earns its credit and stands on the strip', async () => {
		const receipt = await send(oslo, 3, {
			effort: 7,
			energy: 4,
			sleepHours: 7.5,
			note: 'fine',
			hurts: 'left knee'
		});
		expect(receipt).toMatchObject({ credit: 1, standing: 'on time', fresh: true });
		const { days } = await standingOf(context, oslo);
		const { strip } = await enrolmentById(context.db, oslo.enrolmentId);
		expect(days[2]).toMatchObject({ state: 'done', credit: 1, pain: true });
		expect(strip['3']).toEqual(['c', 1, Date.parse(NOON), 1]);
		expect(await received(context, oslo, 3)).toMatchObject({
			effort: 7,
			hurts: 'left knee',
			done: 'all'
		});
	});

	it.each([
		[{ mood: 6 }, 'well.mood'],
		[{ soreness: { calves: 4 } }, 'well.soreness.calves'],
		[{ soreness: { tail: 1 } }, 'well.soreness'],
		[{ waterLitres: 40 }, 'well.waterLitres'],
		[{ win: 'x'.repeat(301) }, 'well.win'],
		[{ pain: { area: 'tail', kind: 'sharp' } }, 'well.pain.area'],
		[{ pain: { area: 'knee', kind: 'odd' } }, 'well.pain.kind']
	])('says which answer makes none: %j', async (well, field) => {
		await expect(send(oslo, 3, { well })).rejects.toMatchObject({ status: 400, faults: [{ field }] });
	});

	it('counts the sets that were done', async () => {
		// Three of ten squats, two planks of 30 s: five sets. Done: two squat sets, one half.
		const sets = [
			{ block: 0, part: 0, set: 1, amount: 10, kg: null },
			{ block: 0, part: 0, set: 2, amount: 5, kg: 12 }
		];
		expect((await send(auckland, 3, { done: 'part', sets })).credit).toBeCloseTo((3 * 0.5) / 5);
		expect((await received(context, auckland, 3))?.sets).toMatchObject(sets);
	});

	it('sent five times at once is one row, and answered alike each time', async () => {
		const id = context.ids.uuid();
		const all = await Promise.all(
			[1, 2, 3, 4, 5].map(() => checkIn(context, bogota, { id, day: 3, done: 'all' }))
		);
		expect(all.filter((receipt) => receipt.fresh)).toHaveLength(1);
		expect(new Set(all.map(({ id: i, credit, standing }) => `${i} ${credit} ${standing}`)).size).toBe(1);
		expect(
			await rows('select count(*)::int as n from result where enrolment_id = $1', bogota.enrolmentId)
		).toBe(1);
	});

	it('by another id for the same day is refused unless it corrects the first', async () => {
		await expect(send(oslo, 3)).rejects.toMatchObject({ status: 409 });
		const before = await received(context, oslo, 3);
		const receipt = await send(oslo, 3, { done: 'none', replaces: before?.id });
		expect(receipt.credit).toBe(0);
		expect(
			await rows(
				'select count(*)::int as n from result where enrolment_id = $1 and day = 3',
				oslo.enrolmentId
			)
		).toBe(2);
		expect((await standingOf(context, oslo)).days[2]?.credit).toBe(0);
	});

	it('is late after the day, and worth what the policy says', async () => {
		context.at('2026-11-24T23:30:00Z');
		expect(await send(oslo, 2)).toMatchObject({ standing: 'late', credit: 1 });
		expect((await standingOf(context, oslo)).days[1]).toMatchObject({ state: 'late', credit: 0.5 });
		context.at(NOON);
	});

	it('after the window is kept and counts nothing', async () => {
		expect(await send(oslo, 1)).toMatchObject({ standing: 'after close' });
		expect((await standingOf(context, oslo)).days[0]).toMatchObject({ state: 'missed', credit: 0 });
	});

	it('needs a session and a day that is not rest', async () => {
		context.at('2026-11-28T12:00:00Z');
		await expect(send(oslo, 6)).rejects.toMatchObject({
			status: 409,
			message: expect.stringContaining('rest day') as string
		});
		context.at(NOON);
	});

	it.each([
		['no id', { id: undefined }, 'id'],
		['an id of letters', { id: 'abc' }, 'id'],
		['effort 11', { effort: 11 }, 'effort'],
		['effort as a word', { effort: 'hard' }, 'effort'],
		['sleep of 30 hours', { sleepHours: 30 }, 'sleepHours'],
		['nothing said', { done: undefined }, 'done'],
		['a long note', { note: 'x'.repeat(5001) }, 'note'],
		['negative sets', { done: 'part', sets: [{ block: 0, part: 0, set: 1, amount: -1 }] }, 'sets[0].amount'],
		['a load of 0', { done: 'part', sets: [{ block: 0, part: 0, set: 1, amount: 1, kg: 0 }] }, 'sets[0].kg']
	])('is refused with its field: %s', async (_, wrong, field) => {
		await expect(
			checkIn(context, bogota, { id: context.ids.uuid(), day: 3, done: 'all', ...wrong })
		).rejects.toMatchObject({
			status: 400,
			faults: [expect.objectContaining({ field })]
		});
	});

	it.each([
		['a set that is not there', [{ block: 0, part: 0, set: 4, amount: 1 }]],
		['an exercise that is not there', [{ block: 7, part: 0, set: 1, amount: 1 }]],
		[
			'the same set twice',
			[
				{ block: 0, part: 0, set: 1, amount: 1 },
				{ block: 0, part: 0, set: 1, amount: 1 }
			]
		]
	])('does not log %s', async (_, sets) => {
		await expect(send(auckland, 2, { done: 'part', sets })).rejects.toMatchObject({ status: 400 });
		expect(await received(context, auckland, 2)).toBeNull();
	});

	it('is seen by the one who made it alone', async () => {
		const mine = await received(context, oslo, 3);
		expect((await ownCheckin(context, oslo, mine!.id)).id).toBe(mine!.id);
		await expect(ownCheckin(context, auckland, mine!.id)).rejects.toMatchObject({ status: 404 });
		await expect(checkIn(context, auckland, { id: mine!.id, day: 4, done: 'all' })).rejects.toMatchObject({
			status: 404
		});
		await expect(send(auckland, 3, { replaces: mine!.id })).rejects.toMatchObject({ status: 409 });
	});
});

describe('after the window, where the challenge takes nothing', () => {
	it('is refused in words, and nothing is stored', async () => {
		const strict = await testContext();
		const { people } = await makeWorld(strict, { afterClose: 'refuse' });
		const late = checkIn(strict, people[0]!, { id: strict.ids.uuid(), day: 1, done: 'all' });
		await expect(late).rejects.toMatchObject({
			status: 409,
			message: expect.stringContaining('takes no results after that') as string
		});
		expect(await received(strict, people[0]!, 1)).toBeNull();
		await strict.db.close();
	});

	it('holds from the moment at which the coach decides it, also for one that is just coming in', async () => {
		const lenient = await testContext();
		const { people } = await makeWorld(lenient);
		let decided = false;
		const between: TestContext['db'] = {
			...lenient.db,
			transaction: async (work) => {
				if (!decided) await lenient.db.query("update challenge set after_close = 'refuse'");
				decided = true;
				return lenient.db.transaction(work);
			}
		};
		const input = { id: lenient.ids.uuid(), day: 1, done: 'all' };
		const late = checkIn({ ...lenient, db: between }, people[0]!, input);
		await expect(late).rejects.toMatchObject({ status: 409 });
		expect(decided).toBe(true);
		// Whoever never stops changing something is not waited for.
		let changes = 0;
		const always: TestContext['db'] = {
			...lenient.db,
			transaction: async (work) => {
				await lenient.db.query('update challenge set goal = $1', [`goal ${++changes}`]);
				return lenient.db.transaction(work);
			}
		};
		await expect(checkIn({ ...lenient, db: always }, people[0]!, input)).rejects.toMatchObject({
			status: 503
		});
		expect(changes).toBe(5);
		await lenient.db.close();
	});
});

describe('how somebody is', () => {
	it('is kept, part by part of a day', async () => {
		const well = { mood: 2, soreness: { calves: 3, chest: 1 }, waterLitres: 1.5, fuelMet: false };
		context.at(NOON);
		await context.db.query('delete from result where enrolment_id = $1', [auckland.enrolmentId]);
		await send(auckland, 2, { done: 'none', well });
		await send(auckland, 2, {
			done: 'all',
			adds: true,
			hurts: 'knee',
			well: { soreness: { chest: 2 }, win: ' up the hill ', pain: { area: 'knee', kind: 'sharp' } }
		});
		const kept = async () => (await openDay(context, auckland, 2)).checkin?.well;
		expect(await kept()).toEqual({
			mood: 2,
			soreness: { calves: 3, chest: 2 },
			waterLitres: 1.5,
			fuelMet: false,
			win: 'up the hill',
			pain: { area: 'knee', kind: 'sharp', intensity: null, at: null }
		});
	});
});

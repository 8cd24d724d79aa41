import { beforeEach, describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { checkinsOf } from '$lib/server/done/attendance/history';
import { recordDays, recordSets, takeBackRecorded } from '$lib/server/done/attendance/recorded';
import { openDay, standingOf } from '$lib/server/done/day/own-day';
import { asPerson } from '$lib/server/records/enrolments';
import { makeWorld, ownPersonOf, testContext, type TestContext, type World } from '../support/context';

let context: TestContext;
let world: World;

beforeEach(async () => {
	context = await testContext();
	context.at('2026-11-28T12:00:00Z');
	world = await makeWorld(context);
	return () => context.db.close();
});

const person = () => ownPersonOf(context, world, world.people[0]!.enrolmentId);
const id = () => context.ids.uuid();
const record = async (days: number[], more: object = {}) =>
	recordDays(context, await person(), world.coach.id, {
		days,
		ids: days.map(id),
		share: 'all',
		effort: '',
		note: '',
		...more
	});
const days = async () => {
	const { days: all } = await standingOf(context, asPerson(await person()));
	return all.map(({ state, credit }) => [state, Math.round(credit * 100)]);
};
const all = async () => checkinsOf(context, (await person()).id, context.clock.now());

describe('a result that a coach was told', () => {
	it('counts as done on its day, also when that has closed, and is marked as hers', async () => {
		await record([1, 2]);
		expect((await days()).slice(0, 2)).toEqual([
			['done', 100],
			['done', 100]
		]);
		expect((await all()).map(({ day, enteredBy, standing }) => [day, enteredBy, standing])).toEqual(
			expect.arrayContaining([
				[1, world.coach.name, 'on time'],
				[2, world.coach.name, 'on time']
			])
		);
	});
	it('may be a share of the session', async () => {
		await record([1], { share: '50' });
		const [[state, credit]] = (await days()) as [[string, number]];
		expect(state).toBe('partial');
		expect(credit).toBeGreaterThanOrEqual(40);
		expect(credit).toBeLessThanOrEqual(60);
	});
	it('leaves out days of rest, and is refused where nothing else is left', async () => {
		await record([5, 6]);
		expect((await all()).map(({ day }) => day)).toEqual([5]);
		await expect(record([6])).rejects.toMatchObject({ status: 409 });
	});
	it('recorded twice is stored once', async () => {
		const ids = [id()];
		await record([1], { ids });
		await record([1], { ids });
		expect(await all()).toHaveLength(1);
	});
	it('recorded anew takes the place of the one before', async () => {
		await record([1]);
		await record([1], { share: '25' });
		const rows = await context.db.query<{ stands: boolean }>(
			'select replaced_at is null as stands from result where day = 1'
		);
		expect(rows.filter(({ stands }) => stands)).toHaveLength(1);
		expect((await days())[0]?.[0]).toBe('partial');
	});
	it('is taken back, and the day is as it was', async () => {
		const before = await days();
		await record([1, 2]);
		expect(await takeBackRecorded(context, await person(), [1, 2])).toBe(2);
		expect(await days()).toEqual(before);
	});
	it('never takes the place of what the person sent, and is recorded for all days or none', async () => {
		await checkIn(context, asPerson(await person()), {
			id: id(),
			day: 4,
			versionId: null,
			done: 'none',
			sets: null
		});
		await expect(record([3, 4])).rejects.toMatchObject({ status: 409 });
		expect((await all()).map(({ day }) => day)).toEqual([4]);
		expect(await takeBackRecorded(context, await person(), [4])).toBe(0);
		expect(await all()).toHaveLength(1);
	});
	it('can be corrected by the person', async () => {
		context.at('2026-11-25T12:00:00Z');
		await record([3]);
		const { checkin } = await openDay(context, asPerson(await person()), 3);
		await checkIn(context, asPerson(await person()), {
			...{ id: id(), day: 3, versionId: null, replaces: checkin!.id, done: 'part' },
			sets: [{ block: 0, part: 0, set: 1, amount: 1, kg: null }]
		});
		expect((await all()).map(({ enteredBy }) => enteredBy)).toEqual([null]);
	});
	it('is of a day that has opened, with sets that are asked for', async () => {
		await expect(record([9])).rejects.toMatchObject({ status: 404 });
		await expect(record([])).rejects.toMatchObject({ status: 400 });
		await expect(record([1], { share: '33' })).rejects.toMatchObject({ status: 400 });
		await expect(record([1], { effort: '11' })).rejects.toMatchObject({ status: 400 });
	});
	it('may be single sets, as of a test', async () => {
		const { session } = await openDay(context, asPerson(await person()), 3);
		const [first] = session!.asked;
		const set = { block: first!.block, part: first!.part, set: 1, amount: 17, kg: null };
		await recordSets(context, await person(), world.coach.id, {
			...{ id: id(), day: 3, sets: [set], effort: 8, note: 'told me on the phone' }
		});
		const { checkin } = await openDay(context, asPerson(await person()), 3);
		expect(checkin).toMatchObject({ effort: 8, enteredBy: world.coach.name });
		expect(checkin?.sets[0]).toMatchObject({ amount: 17 });
	});
});

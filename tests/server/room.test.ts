import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { standingOf } from '$lib/server/done/day/own-day';
import { DiskFull, Room, withRoom } from '$lib/server/platform/db/room';
import { makeWorld, testContext, type TestContext, type World } from '../support/context';
import { refusal } from '../support/refusal';

let context: TestContext;
let world: World;
let low = false;
beforeEach(async () => {
	low = false;
	context = await testContext();
	world = await makeWorld(context);
	context.db = withRoom(context.db, { isLow: () => low });
});
afterEach(() => {
	low = false;
	return context.db.close();
});

describe('a disk without room', () => {
	const done = { id: '0b5f0b1e-9c1c-4c0a-8a53-0c6f1d3a7f10', day: 2, done: 'all' };

	it('lets people read, refuses what they send in words, and takes it when there is room again', async () => {
		const [person] = world.people;
		if (!person) throw new Error('nobody');
		low = true;
		expect((await standingOf(context, person)).days).toHaveLength(14);
		const refused = await refusal(checkIn(context, person, done));
		expect(refused).toBeInstanceOf(DiskFull);
		expect(refused).toMatchObject({ status: 503 });
		expect(refused.message).toContain('The server’s disk is full');
		expect(await context.db.query('select 1 from result')).toEqual([]);
		low = false;
		expect(await checkIn(context, person, done)).toMatchObject({ credit: 1 });
	});

	it('is a refusal as well when the database finds out by itself', async () => {
		const full = Object.assign(new Error('could not extend file'), { code: '53100' });
		const other = Object.assign(new Error('duplicate key'), { code: '23505' });
		for (const [error, seen] of [
			[full, 'DiskFull'],
			[other, 'Error']
		] as const) {
			const failing = withRoom({ ...context.db, query: () => Promise.reject(error) }, { isLow: () => false });
			await expect(failing.query('insert into setting values (1)')).rejects.toMatchObject({ name: seen });
		}
	});

	it('refuses what writes, however it is written, and nothing that reads', async () => {
		low = true;
		for (const text of [
			'insert into setting (key) values (1)',
			'  UPDATE coach set name = name',
			'delete from coach',
			'with gone as (delete from coach returning id) select * from gone'
		])
			await expect(context.db.query(text)).rejects.toBeInstanceOf(DiskFull);
		await context.db.query('with one as (select 1 as updated) select * from one');
		await context.db.query("select 'delete' as word");
		await expect(context.db.transaction((tx) => tx.query('delete from coach'))).rejects.toBeInstanceOf(
			DiskFull
		);
	});
});

describe('room', () => {
	it('is looked at again after half a second', () => {
		let [now, free, looks] = [0, 100, 0];
		const room = new Room(
			100,
			() => (looks++, free),
			() => now
		);
		expect(room.isLow()).toBe(false);
		free = 99;
		now = 499;
		expect(room.isLow()).toBe(false);
		now = 500;
		expect(room.isLow()).toBe(true);
		free = 100;
		now = 1000;
		expect([room.isLow(), looks]).toEqual([false, 3]);
	});
});

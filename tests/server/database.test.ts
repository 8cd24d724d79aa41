import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readConfig } from '$lib/server/platform/config';
import { DemoClock, fixedClock } from '$lib/server/platform/clock';
import { seededIds } from '$lib/server/platform/ids';
import type { Database } from '$lib/server/platform/db/database';
import { migrate, NEWEST, schemaVersion } from '$lib/server/platform/db/migrate';
import { readSetting, writeSetting } from '$lib/server/platform/settings';
import { newDatabase } from '../support/database';

let db: Database;
beforeAll(async () => {
	db = await newDatabase();
});
afterAll(() => db.close());

describe('the database, whichever it is', () => {
	it('reads dates, instants, numbers and JSON alike', async () => {
		const [row] = await db.query(
			`select date '2026-02-28' as d, timestamptz '2026-02-28 12:00:00+05:45' as t, 12.5::numeric as n, count(*) as c, '{"a":[1]}'::jsonb as j, array[1,2] as a`
		);
		expect(row).toEqual({
			d: '2026-02-28',
			t: Date.parse('2026-02-28T06:15:00Z'),
			n: 12.5,
			c: 1,
			j: { a: [1] },
			a: [1, 2]
		});
	});

	it('rolls a transaction back when it throws', async () => {
		await expect(
			db.transaction(async (tx) => {
				await writeSetting(tx, 'lost', 1);
				throw new Error('stop');
			})
		).rejects.toThrow('stop');
		expect(await readSetting(db, 'lost')).toBeNull();
		await writeSetting(db, 'kept', { a: 1 });
		await writeSetting(db, 'kept', { a: 2 });
		expect(await readSetting(db, 'kept')).toEqual({ a: 2 });
	});

	it('holds its invariants by itself', async () => {
		const insert = (zone: string, partial: string) =>
			db.query(
				`insert into challenge (id, coach_id, name, goal, starts_on, days, training_days, budget_minutes, opens_at, late_hours, late_worth, partial, after_close, late_joiners, created_at, release_zone)
				 values (gen_random_uuid(), gen_random_uuid(), 'x', 'x', '2026-01-01', 85, '{1}', 30, 0, 0, 1, $2, 'store', 'group', now(), $1)`,
				[zone, partial]
			);
		await expect(insert('UTC', 'share')).rejects.toThrow(/check|violates/);
	});

	it('is migrated once, and refuses a newer one', async () => {
		expect(await schemaVersion(db)).toBe(NEWEST);
		expect(await migrate(db)).toEqual([]);
		await db.query(`insert into migration values (9999, '9999_future', now())`);
		await expect(migrate(db)).rejects.toThrow(/schema 9999.*knows/);
		await db.query('delete from migration where number = 9999');
	});
});

describe('configuration', () => {
	it('has defaults, and names what is wrong', () => {
		expect(readConfig({})).toMatchObject({ databaseUrl: null, demo: false, logLevel: 'info' });
		expect(() => readConfig({ DATABASE_URL: 'mysql://x' })).toThrow(/DATABASE_URL begins with postgres/);
		for (const ORIGIN of ['localhost:3000', 'ftp://huts.example'])
			expect(() => readConfig({ ORIGIN })).toThrow(/ORIGIN is an address/);
		expect(readConfig({ ORIGIN: 'http://localhost:3000/' }).origin).toBe('http://localhost:3000');
		expect(() => readConfig({ CADREX_SMTP: 'mail.huts.example' })).toThrow(/CADREX_SMTP begins with smtp/);
		expect(() => readConfig({ CADREX_FIXED_NOW: 'soon' })).toThrow(/CADREX_FIXED_NOW is an instant/);
	});
});

describe('clock and ids', () => {
	it('the demo clock moves on, never back, and returns to the real time', () => {
		const clock = new DemoClock(fixedClock(1000));
		clock.moveTo(5000);
		clock.moveTo(3000);
		expect([clock.now(), clock.moved]).toEqual([5000, true]);
		clock.backToReal();
		expect([clock.now(), clock.moved]).toEqual([1000, false]);
	});

	it('seeded ids are the same for the same seed and are UUIDs', () => {
		const [a, b] = [seededIds('x'), seededIds('x')];
		expect(a.uuid()).toBe(b.uuid());
		expect(a.uuid()).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-8[0-9a-f]{3}-[0-9a-f]{12}$/);
		expect(seededIds('y').secret()).not.toBe(seededIds('x').secret());
	});
});

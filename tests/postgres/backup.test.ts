import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { afterAll, describe, expect, it } from 'vitest';
import { backUp, restore } from '$lib/server/edge/backup/backup';
import { migrate } from '$lib/server/platform/db/migrate';
import { openPostgres } from '$lib/server/platform/db/postgres';
import { FILE_KINDS } from '$lib/server/edge/upkeep/kept-files';
import { readSetting, writeSetting } from '$lib/server/platform/settings';
import { contentsOf, keeperIn, storeIn } from '../support/kept-files';

const server = process.env.TEST_DATABASE_URL ?? '';
const folder = mkdtempSync(join(tmpdir(), 'cadrex-pg-backup-'));
const made: string[] = [];
async function sql(text: string): Promise<void> {
	const admin = new pg.Client({ connectionString: server });
	await admin.connect();
	await admin.query(text);
	await admin.end();
}
async function newServerDatabase(): Promise<string> {
	const name = `backup_${process.pid}_${made.length}`;
	await sql(`create database ${name}`);
	made.push(name);
	const url = new URL(server);
	url.pathname = `/${name}`;
	return url.href;
}
afterAll(async () => {
	for (const name of made) await sql(`drop database ${name} with (force)`);
	rmSync(folder, { recursive: true });
});

const where = (databaseUrl: string | null, data = 'data') => ({
	dataDirectory: join(folder, data),
	databaseUrl,
	backups: { directory: join(folder, 'backups'), kept: 3 }
});

describe('a backup of a PostgreSQL server', () => {
	it('is restored into an empty database, and into nothing else', async () => {
		const from = await newServerDatabase();
		const db = openPostgres(from);
		const keeper = await keeperIn(db, storeIn(join(folder, 'data')));
		await writeSetting(db, 'kept', 'this');
		const { name, bytes } = await backUp(db, where(from), FILE_KINDS, Date.parse('2026-11-26T02:41:00Z'));
		await db.close();
		expect(bytes).toBeGreaterThan(1000);
		expect(readdirSync(join(folder, 'backups'))).toEqual([name]);
		const file = join(folder, 'backups', name);

		await expect(restore(file, where(from), FILE_KINDS)).rejects.toThrow(/The database is not empty/);
		await expect(restore(file, where(null), FILE_KINDS)).rejects.toThrow(
			/give its address with DATABASE_URL/
		);
		const to = await newServerDatabase();
		expect(await restore(file, where(to, 'other'), FILE_KINDS)).toMatchObject({
			database: 'postgres',
			compared: { whole: 3, missing: [], unspoken: [] }
		});
		expect(contentsOf(join(folder, 'other'), keeper)).toEqual(contentsOf(join(folder, 'data'), keeper));
		const again = openPostgres(to);
		expect(await readSetting(again, 'kept')).toBe('this');
		expect(await migrate(again)).toEqual([]);
		await again.close();
		expect(readdirSync(join(folder, 'backups'))).toEqual([name]);
	}, 120_000);
});

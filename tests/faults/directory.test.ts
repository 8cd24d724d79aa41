import { cpSync, existsSync, mkdirSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { PGlite } from '@electric-sql/pglite';
import { DirectoryDamaged, ENGINE } from '$lib/server/platform/db/directory';
import { migrate, NEWEST, OLDEST } from '$lib/server/platform/db/migrate';
import { openPglite } from '$lib/server/platform/db/pglite';
import { readSetting, writeSetting } from '$lib/server/platform/settings';
import { dataDirectory, ownFolder } from '../support/directories';

const root = ownFolder('directory');
const sound = dataDirectory(join(root, 'sound'));
let copies = 0;
beforeAll(async () => {
	const db = await openPglite(sound);
	await writeSetting(db, 'kept', 'this');
	await db.close();
}, 180_000);

const copy = (): string => {
	const path = join(root, `copy-${++copies}`);
	cpSync(sound, path, { recursive: true });
	return path;
};
/** Names of the database’s files, without its caches, which it may throw away. */
const filesOf = (directory: string): string[] =>
	existsSync(join(directory, 'pg'))
		? readdirSync(join(directory, 'pg'), { recursive: true })
				.map(String)
				.filter((name) => !name.endsWith('pg_internal.init'))
				.sort()
		: [];

const wal = (directory: string): string[] =>
	readdirSync(join(directory, 'pg', 'pg_wal'), { withFileTypes: true })
		.filter((entry) => entry.isFile())
		.map(({ name }) => join(directory, 'pg', 'pg_wal', name));

const inside = (directory: string, ...names: string[]): string => join(directory, 'pg', ...names);
const gone = (path: string): void => rmSync(path, { recursive: true });
// prettier-ignore
const DAMAGE: [string, (directory: string) => void, RegExp][] = [
	['its folder is gone', (d) => gone(inside(d)), /its folder “pg” is gone/],
	['its folder is empty', (d) => readdirSync(inside(d)).forEach((name) => gone(inside(d, name))), /PG_VERSION, .*pg_xact is missing/],
	['its version is not said', (d) => gone(inside(d, 'PG_VERSION')), /PG_VERSION is missing/],
	['it is of another version', (d) => writeFileSync(inside(d, 'PG_VERSION'), '17\n'), /of PostgreSQL 17, and this program’s is 18/],
	['its control file is missing', (d) => gone(inside(d, 'global', 'pg_control')), /global\/pg_control is missing/],
	['its control file is cut off', (d) => truncateSync(inside(d, 'global', 'pg_control'), 100), /read 100 of 296/],
	['its control file is empty of sense', (d) => writeFileSync(inside(d, 'global', 'pg_control'), Buffer.alloc(8192)), /incompatible with server/],
	['its log is gone', (d) => wal(d).forEach(gone), /there is no log/],
	['its log is garbled', (d) => wal(d).forEach((path) => writeFileSync(path, Buffer.alloc(16 << 20, 3))), /checkpoint record/],
	['its data are gone', (d) => gone(inside(d, 'base', '5')), /does not exist|not a valid data directory/i],
	['a table of the engine is gone', (d) => gone(inside(d, 'base', '5', '1259')), /could not open file "base\/5\/1259"/],
	['a table of the engine is garbled', (d) => writeFileSync(inside(d, 'base', '5', '1259'), Buffer.alloc(81_920, 7)), /invalid page/]
];

describe('a directory whose database is damaged', () => {
	it.each(DAMAGE)(
		'is named and not taken for an empty one: %s',
		async (_, damage, what) => {
			const directory = copy();
			damage(directory);
			const before = filesOf(directory);
			const refused: unknown = await openPglite(directory).catch((error: unknown) => error);
			expect(refused).toBeInstanceOf(DirectoryDamaged);
			expect(String(refused)).toMatch(what);
			expect(String(refused)).toContain('Restore a backup (docs/operations.md says how)');
			expect(filesOf(directory)).toEqual(expect.arrayContaining(before));
			expect(filesOf(directory).length - before.length).toBeLessThan(3);
		},
		180_000
	);

	it('is whole again when it was not', async () => {
		const db = await openPglite(copy());
		expect(await readSetting(db, 'kept')).toBe('this');
		await db.close();
	});
});

describe('a directory', () => {
	it('whose first start was cut off begins anew', async () => {
		const directory = join(root, 'cut-off');
		mkdirSync(join(directory, 'pg.new', 'base'), { recursive: true });
		writeFileSync(join(directory, 'pg.new', 'PG_VERSION'), '18\n');
		const db = await openPglite(directory);
		expect(await migrate(db)).not.toEqual([]);
		await db.close();
		expect(readdirSync(directory).sort()).toEqual(['database.json', 'holder.json', 'pg']);
	}, 180_000);

	it('from before directories were marked is marked when it opens', async () => {
		const directory = copy();
		rmSync(join(directory, 'database.json'));
		await (await openPglite(directory)).close();
		expect(existsSync(join(directory, 'database.json'))).toBe(true);
	});

	it('of a test version is refused and left as it is', async () => {
		const directory = copy();
		const older = await openPglite(directory);
		await older.query("update migration set number = 49, name = '0049_links_made_by'");
		await expect(migrate(older)).rejects.toMatchObject({
			name: 'CannotStart',
			message: `The database is at schema 49, of a test version; this program reads ${OLDEST} and later. Start with an empty data directory.`
		});
		await older.close();
	}, 180_000);

	it('gets functions of this program in place of older ones', async () => {
		const db = await openPglite(copy());
		await db.script(
			"create or replace function shown_name(one participant) returns text language sql stable as 'select 1::text'"
		);
		await writeSetting(db, 'functions', 'of an older program');
		expect(await migrate(db)).toEqual([]);
		const [body] = await db.query<{ body: string }>(
			"select prosrc as body from pg_proc where proname = 'shown_name'"
		);
		expect(body?.body).toContain('display_name');
		await db.close();
	}, 180_000);

	it('of a newer program is left as it is', async () => {
		const directory = copy();
		const newer = await openPglite(directory);
		await newer.query('insert into migration (number, name, at) values ($1, $2, now())', [
			NEWEST + 1,
			'later'
		]);
		await newer.close();
		const db = await openPglite(directory);
		await expect(migrate(db)).rejects.toMatchObject({
			name: 'CannotStart',
			message: `The database is at schema ${NEWEST + 1}; this program knows ${NEWEST}. Start a newer program on it.`
		});
		await db.close();
	});

	it('has an engine of the version that is asked for', async () => {
		const engine = await PGlite.create();
		const [row] = (await engine.query<{ v: string }>(`select current_setting('server_version_num') as v`))
			.rows;
		expect(Math.floor(Number(row?.v) / 10_000)).toBe(Number(ENGINE));
		await engine.close();
	});
});

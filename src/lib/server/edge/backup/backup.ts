import { execFile } from 'node:child_process';
import { copyFile, cp, link, mkdir, readdir, rename, rm, stat, writeFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { promisify } from 'node:util';
import { version } from '../../../../../package.json';
import { migrate, NEWEST, OLDEST, schemaVersion } from '../../platform/db/migrate';
import { only, type Database } from '../../platform/db/database';
import { DATABASE_FOLDER, MARK } from '../../platform/db/directory';
import { sync, syncTree } from '../../platform/db/disk';
import { openPglite } from '../../platform/db/pglite';
import { openPostgres } from '../../platform/db/postgres';
import { freeIn } from '../../platform/db/room';
import { CannotStart } from '../../platform/cannot-start';
import { PART } from '../../platform/files';
import type { Config } from '../../platform/config';
import { compareFiles, type AnyFileKind, type Comparison } from '../../platform/row-files';
import { BackupDamaged, pack, unpack, type Manifest } from './archive';

type Where = Pick<Config, 'dataDirectory' | 'databaseUrl' | 'backups'>;

const NAME = /^cadrex-(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\dZ)\.tar\.gz$/;
const DUMP = 'database.dump';
const codeOf = (error: unknown): unknown =>
	error instanceof Error && 'code' in error ? error.code : undefined;

/** Passes over what is not there. */
function ifMissing(error: unknown): void {
	if (codeOf(error) !== 'ENOENT') throw error;
}
function none(error: unknown): [] {
	ifMissing(error);
	return [];
}

export interface Backup {
	/** Name of its file. */
	name: string;
	/** Epoch milliseconds at which it was begun. */
	at: number;
	bytes: number;
}

/** The backups in a directory, the newest first. */
export async function backupsIn(directory: string): Promise<Backup[]> {
	const names = await readdir(directory).catch(() => []);
	const found = await Promise.all(
		names.map(async (name): Promise<Backup[]> => {
			const at = NAME.exec(name)?.[1];
			if (!at) return [];
			const instant = Date.parse(at.replace(/T(\d\d)-(\d\d)-(\d\d)Z/, 'T$1:$2:$3Z'));
			return [{ name, at: instant, bytes: (await stat(join(directory, name))).size }];
		})
	);
	return found.flat().sort((a, b) => b.at - a.at);
}

/**
 * Backs up the database of this process while it goes on, with the files that its rows speak of.
 * @param kinds of those files
 * @param now epoch milliseconds, for its name
 * @returns the backup; older ones than are kept are gone
 */
export async function backUp(
	db: Database,
	{ dataDirectory, databaseUrl, backups }: Where,
	kinds: readonly AnyFileKind[],
	now: number
): Promise<Backup> {
	await mkdir(backups.directory, { recursive: true });
	await checkRoom(
		databaseUrl ? null : join(dataDirectory, DATABASE_FOLDER),
		kinds.map(({ folder }) => join(dataDirectory, folder)),
		backups.directory
	);
	const stamp = `${new Date(now).toISOString().slice(0, 19).replaceAll(':', '-')}Z`;
	const name = `cadrex-${stamp}.tar.gz`;
	const copy = join(backups.directory, `.${name}.files`);
	await rm(copy, { recursive: true, force: true });
	await mkdir(copy);
	try {
		if (databaseUrl) await dumpServer(databaseUrl, join(copy, DUMP));
		else await copyEmbedded(db, dataDirectory, copy);
		// After the database: what one of its rows speaks of is there, unless it was deleted meanwhile.
		for (const { folder } of kinds) await takeAlong(join(dataDirectory, folder), join(copy, folder));
		const facts = {
			database: db.kind,
			version,
			schema: await schemaVersion(db),
			at: new Date(now).toISOString()
		};
		const bytes = await pack(copy, join(backups.directory, name), facts);
		sync(backups.directory);
		await forgetOld(backups.directory, backups.kept);
		return { name, at: now, bytes };
	} finally {
		await rm(copy, { recursive: true, force: true });
	}
}

/**
 * Takes the files of a folder into a copy, by a second name for each where the disk is the same: a file is written once and
 * never changed. What is not written to its end yet stays out, and what is deleted meanwhile.
 */
async function takeAlong(from: string, to: string): Promise<void> {
	const entries = await readdir(from, { withFileTypes: true }).catch(none);
	if (entries.length === 0) return;
	await mkdir(to);
	for (const entry of entries) {
		if (!entry.isFile() || entry.name.endsWith(PART)) continue;
		const [path, copy] = [join(from, entry.name), join(to, entry.name)];
		await link(path, copy)
			.catch((error: unknown) => (codeOf(error) === 'ENOENT' ? undefined : copyFile(path, copy)))
			.catch(ifMissing);
	}
}

/** Bytes of all files below a directory; of one that was never made 0. */
async function bytesBelow(directory: string): Promise<number> {
	let bytes = 0;
	const entries = await readdir(directory, { withFileTypes: true, recursive: true }).catch(none);
	for (const entry of entries)
		if (entry.isFile())
			bytes += (await stat(join(entry.parentPath, entry.name)).catch(() => ({ size: 0 }))).size;
	return bytes;
}

/**
 * A copy of the database and the packed form of everything have to fit beside what the database still needs. Photographs
 * and clips do not get smaller by packing.
 * @param database its directory; null with a server, whose dump is packed as it is
 * @throws CannotStart
 */
async function checkRoom(
	database: string | null,
	folders: readonly string[],
	directory: string
): Promise<void> {
	let needed = SPARE + (database ? 2 * (await bytesBelow(database)) : 0);
	for (const folder of folders) needed += await bytesBelow(folder);
	const free = freeIn(directory)();
	if (free < needed)
		throw new CannotStart(
			`There is not enough room for a backup in ${directory}: ${megabytes(needed)} MB are needed, ${megabytes(free)} MB are free.`
		);
}
/** What stays free for the database while a backup is made, in bytes. */
const SPARE = 128 * 1024 * 1024;
const megabytes = (bytes: number): string => Math.ceil(bytes / 1024 / 1024).toLocaleString('en-GB');

async function forgetOld(directory: string, kept: number): Promise<void> {
	for (const { name } of (await backupsIn(directory)).slice(Math.max(1, kept)))
		await rm(join(directory, name));
}

/**
 * Copies the files of the embedded database while it writes on, in the way of PostgreSQL's own base backups
 * (documentation of PostgreSQL 18, 25.3.2.1): what is copied is torn, and the log from before the copy to after it makes
 * it whole. Until the end of that log is reached the engine refuses to open it.
 */
async function copyEmbedded(db: Database, dataDirectory: string, copy: string): Promise<void> {
	const from = join(dataDirectory, DATABASE_FOLDER);
	const to = join(copy, DATABASE_FOLDER);
	const log = join(from, 'pg_wal');
	await db.query('select pg_backup_start($1, true)::text', ['cadrex']);
	/** Ends the backup, which the engine would otherwise think is still being made. */
	const stop = async (): Promise<string> => {
		const sql = 'select labelfile as label from pg_backup_stop(false)';
		return only(await db.query<{ label: string }>(sql)).label;
	};
	try {
		await cp(from, to, {
			recursive: true,
			filter: (path) => path !== join(from, 'postmaster.pid') && (path === log || !path.startsWith(log))
		});
	} catch (error) {
		await stop();
		throw error;
	}
	await writeFile(join(to, 'backup_label'), await stop());
	await cp(log, join(to, 'pg_wal'), { recursive: true });
	await cp(join(dataDirectory, MARK), join(copy, MARK));
}

/** A program of the PostgreSQL client, which has to be installed beside a server's address. */
async function client(program: string, args: string[]): Promise<void> {
	try {
		await promisify(execFile)(program, args, { maxBuffer: 1 << 20 });
	} catch (error) {
		const { code, stderr = '' } = error as { code?: unknown; stderr?: string };
		throw new CannotStart(
			code === 'ENOENT'
				? `${program} is not installed: backups of a PostgreSQL server need its client programs.`
				: `${program} did not come to its end: ${stderr.trim().slice(0, 300)}`
		);
	}
}

const dumpServer = (url: string, file: string): Promise<void> =>
	client('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', '--file', file, '--dbname', url]);

/**
 * Restores a backup: into the data directory, which must not have a database, or into the server's database, which must
 * be empty. Checked before anything is put in its place, and opened once.
 * @param kinds of files that rows speak of
 * @returns what the backup says of itself, and rows against files as they are restored
 * @throws BackupDamaged, CannotStart
 */
export async function restore(
	file: string,
	where: Where,
	kinds: readonly AnyFileKind[]
): Promise<Manifest & { compared: Comparison }> {
	const { dataDirectory, databaseUrl } = where;
	await stat(file).catch(() => {
		throw new CannotStart(`There is no file ${file}.`);
	});
	const beside = join(databaseUrl ? where.backups.directory : dataDirectory, `.restoring-${basename(file)}`);
	await rm(beside, { recursive: true, force: true });
	try {
		const manifest = await unpack(file, beside);
		if (manifest.schema > NEWEST)
			throw new CannotStart(
				`The backup ${file} has schema ${manifest.schema}; this program knows ${NEWEST}. Restore it with a newer program.`
			);
		if (manifest.schema < OLDEST)
			throw new CannotStart(
				`The backup ${file} has schema ${manifest.schema}, of a test version; this program reads ${OLDEST} and later.`
			);
		if (manifest.database !== (databaseUrl ? 'postgres' : 'pglite'))
			throw new CannotStart(
				manifest.database === 'postgres'
					? `The backup ${file} is of a PostgreSQL server: give its address with DATABASE_URL.`
					: `The backup ${file} is of the embedded database: leave DATABASE_URL out.`
			);
		const compare = (db: Database) => compareFiles(db, beside, kinds);
		const compared = databaseUrl
			? await restoreServer(databaseUrl, join(beside, DUMP), compare)
			: await restoreEmbedded(file, beside, dataDirectory, compare);
		for (const { folder } of kinds) {
			await cp(join(beside, folder), join(dataDirectory, folder), { recursive: true }).catch(ifMissing);
			if (await stat(join(dataDirectory, folder)).catch(() => null)) syncTree(join(dataDirectory, folder));
		}
		return { ...manifest, compared };
	} finally {
		// Of a backup that is torn some files may still be on their way when its end is missed.
		await rm(beside, { recursive: true, force: true, maxRetries: 10, retryDelay: 50 });
	}
}

type Compare = (db: Database) => Promise<Comparison>;

async function restoreEmbedded(
	file: string,
	from: string,
	dataDirectory: string,
	compare: Compare
): Promise<Comparison> {
	for (const name of [DATABASE_FOLDER, MARK])
		if (await stat(join(dataDirectory, name)).catch(() => null))
			throw new CannotStart(
				`The data directory ${dataDirectory} has a database. Move it away first; a restore takes the place of nothing.`
			);
	// Opened where it was unpacked: the engine works the log off, and refuses what is torn.
	let compared: Comparison;
	try {
		const db = await openPglite(from);
		await migrate(db);
		compared = await compare(db);
		await db.close();
	} catch (error) {
		throw new BackupDamaged(file, (error as Error).message);
	}
	syncTree(join(from, DATABASE_FOLDER));
	await rename(join(from, DATABASE_FOLDER), join(dataDirectory, DATABASE_FOLDER));
	await rename(join(from, MARK), join(dataDirectory, MARK));
	sync(dataDirectory);
	return compared;
}

async function restoreServer(url: string, dump: string, compare: Compare): Promise<Comparison> {
	const db = openPostgres(url);
	try {
		const tables = await db.query("select 1 from pg_tables where schemaname = 'public' limit 1");
		if (tables.length > 0)
			throw new CannotStart(
				'The database is not empty. Restore into a new one; a restore takes the place of nothing.'
			);
	} finally {
		await db.close();
	}
	await client('pg_restore', [
		'--no-owner',
		'--no-privileges',
		'--exit-on-error',
		'--single-transaction',
		'--dbname',
		url,
		dump
	]);
	const restored = openPostgres(url);
	try {
		await migrate(restored);
		return await compare(restored);
	} finally {
		await restored.close();
	}
}

/** Files of which each is spoken of by a row of the database. */
import { mkdir, readdir, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Queries } from './db/database';
import { DiskFull, freeIn } from './db/room';
import type { Config } from './config';
import { filesIn } from './files';
import type { SentFile } from './sent-file';

/** One kind of them. */
export interface FileKind<Row extends object> {
	/** Below the data directory. */
	folder: string;
	nameOf: (row: Row) => string;
	/** Selects what `nameOf` takes, of all rows there are. */
	rows: string;
}

type Where = Pick<Config, 'dataDirectory'>;
type Room = Pick<Config, 'dataDirectory' | 'diskReserve'>;
/** Where files are written, and how many. */
export type Store = Pick<Config, 'dataDirectory' | 'diskReserve' | 'space'>;

/**
 * Keeps the file of a row that is not there yet: the file first, so that no row ever speaks of one that is not there.
 * Without room, or when the row is refused, nothing stays of it.
 * @param insert writes the row
 * @throws DiskFull; whatever `insert` throws
 */
export async function keepFile<Row extends object>(
	{ dataDirectory, diskReserve }: Room,
	{ folder, nameOf }: FileKind<Row>,
	row: Row,
	content: Uint8Array | SentFile,
	insert: () => Promise<unknown>
): Promise<void> {
	const bytes = content instanceof Uint8Array ? content.length : content.size;
	await mkdir(dataDirectory, { recursive: true });
	if (freeIn(dataDirectory)() - bytes < diskReserve) throw new DiskFull();
	const files = filesIn(join(dataDirectory, folder));
	await files.write(nameOf(row), content);
	try {
		await insert();
	} catch (error) {
		await files.remove(nameOf(row));
		throw error;
	}
}

/** What is in the file of a row, read as it is asked for; null where it is gone. */
export const readFileOf = <Row extends object>(
	{ dataDirectory }: Where,
	{ folder, nameOf }: FileKind<Row>,
	row: Row
): Promise<Blob | null> => filesIn(join(dataDirectory, folder)).open(nameOf(row));

/** Deletes the files of rows that are gone: after they are, so that a row never waits for a file that was deleted before it. */
export async function removeFilesOf<Row extends object>(
	{ dataDirectory }: Where,
	{ folder, nameOf }: FileKind<Row>,
	rows: readonly Row[]
): Promise<void> {
	for (const row of rows) await filesIn(join(dataDirectory, folder)).remove(nameOf(row));
}

/** A kind whose rows nobody but itself looks into. */
export interface AnyFileKind {
	folder: string;
	/** Names of the files of all rows. */
	namesIn: (db: Queries) => Promise<string[]>;
}

export const anyKind = <Row extends object>({ folder, nameOf, rows }: FileKind<Row>): AnyFileKind => ({
	folder,
	namesIn: async (db) => (await db.query<Row>(rows)).map(nameOf)
});

/** Rows against files, both by their path from the data directory. */
export interface Comparison {
	/** Files that rows speak of, and that are not there. */
	missing: string[];
	/** Files that no row speaks of, and those that were not written to their end. */
	unspoken: string[];
	/** How many rows have their file. */
	whole: number;
}

/** Names of files in a folder; none where it was never made. */
async function listed(folder: string): Promise<string[]> {
	try {
		const entries = await readdir(folder, { withFileTypes: true });
		return entries.filter((entry) => entry.isFile()).map(({ name }) => name);
	} catch (error) {
		if (error instanceof Error && 'code' in error && error.code === 'ENOENT') return [];
		throw error;
	}
}

/** @param directory that has the folders */
export async function compareFiles(
	db: Queries,
	directory: string,
	kinds: readonly AnyFileKind[]
): Promise<Comparison> {
	const found: Comparison = { missing: [], unspoken: [], whole: 0 };
	for (const kind of kinds) {
		// Files before rows: one that is kept meanwhile has its file first, and is then in neither list.
		const there = new Set(await listed(join(directory, kind.folder)));
		const spoken = new Set(await kind.namesIn(db));
		const of = (name: string) => `${kind.folder}/${name}`;
		for (const name of spoken)
			if (there.has(name)) found.whole++;
			else if ((await ageOf(join(directory, kind.folder, name), 0)) === null) found.missing.push(of(name));
		found.unspoken.push(...[...there].filter((name) => !spoken.has(name)).map(of));
	}
	return found;
}

/** How long ago a file was written, in milliseconds; null where there is none. @param now epoch milliseconds */
export async function ageOf(path: string, now: number): Promise<number | null> {
	const found = await stat(path).catch(() => null);
	return found && now - found.mtimeMs;
}

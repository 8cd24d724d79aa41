import { setImmediate as breath } from 'node:timers/promises';
import { PGlite, type PGliteOptions } from '@electric-sql/pglite';
import { CannotStart } from '../cannot-start';
import { READERS, type Database, type Queries } from './database';
import { reportStart } from '../starting';
import { DirectoryDamaged, databaseIn } from './directory';
import { synced, SyncedFiles } from './disk';
import { lockDirectory } from './lock';

type Runner = Pick<PGlite, 'query' | 'exec'>;

/** Rows of an answer from which on others are heard before it is worked on: the engine works in this thread. */
const MANY = 250;

const queriesOf = (runner: Runner): Queries => ({
	async query<Row>(text: string, values: unknown[] = []) {
		const { rows } = await runner.query<Row>(text, values);
		if (rows.length >= MANY) await breath();
		return rows;
	},
	async script(sql) {
		await runner.exec(sql);
	}
});

/** The application’s database on an engine that is open. @param release gives back whatever was taken for it */
export const databaseOn = (
	engine: PGlite,
	release: () => Promise<void> = () => Promise.resolve()
): Database => ({
	kind: 'pglite',
	...queriesOf(engine),
	transaction: (work) => engine.transaction((tx) => work(queriesOf(tx))),
	async listen(channel, heard) {
		const end = await engine.listen(channel, heard);
		return () => end();
	},
	async close() {
		await engine.close();
		await release();
	}
});

/**
 * Starts an engine. Our readers are given once: handed over with each statement they cost a tenth of its time.
 * @throws Error with what the engine says, when it does not start
 */
async function startEngine(options: PGliteOptions): Promise<PGlite> {
	let said: string | undefined;
	const onStderr = (text: string): true => {
		said = /(?:FATAL|PANIC):\s+(.*)/.exec(text)?.[1] ?? said;
		return true;
	};
	try {
		return await PGlite.create({ ...options, parsers: READERS, onStderr });
	} catch (cause) {
		throw said === undefined ? cause : new Error(said, { cause });
	}
}

/** An embedded database in memory, empty or as it was dumped. */
export const memoryDatabase = async (dump?: Blob): Promise<Database> =>
	databaseOn(await startEngine(dump ? { loadDataDir: dump } : {}));

const LOST = 'This one stops: what it wrote now would be lost.';
const FULL = 'This process stops; all that was acknowledged is kept. Make room and start it again.';

/** Ends this process. A statement that is on its way is not answered. */
function stopAtOnce(why: string): never {
	process.stderr.write(`${why}\n`);
	process.exit(1);
}

/**
 * Opens the embedded database of a data directory, which no other process may hold.
 *
 * @param lost called instead of a write when another process has taken the directory; must not return
 * @throws DirectoryInUse, DirectoryDamaged, CannotStart
 */
export async function openPglite(
	directory: string,
	lost: () => never = () =>
		stopAtOnce(
			`Another process has taken the data directory ${directory} while this one stood still. ${LOST}`
		)
): Promise<Database> {
	const lock = await lockDirectory(directory, lost).catch((error: unknown) => {
		throw asUnwritable(directory, error);
	});
	const start = (path: string) =>
		startEngine({
			fs: new SyncedFiles(path, {
				beforeWrite() {
					if (!lock.isOurs()) lost();
				},
				logFull: () => stopAtOnce(`The disk of the data directory ${directory} is full. ${FULL}`)
			}),
			...synced(PGlite.defaultStartParams)
		});
	try {
		const path = await databaseIn(directory, async (fresh) => {
			reportStart('Creating the database, once. This takes a few seconds …');
			await (await start(fresh)).close();
		});
		const engine = await start(path).catch((error: Error) => {
			throw asUnwritable(directory, error, new DirectoryDamaged(directory, error.message));
		});
		return databaseOn(engine, () => lock.release());
	} catch (error) {
		await lock.release();
		throw asUnwritable(directory, error);
	}
}

/** A fault of the disk in words; any other error as it is, or as `otherwise`. */
function asUnwritable(directory: string, error: unknown, otherwise: unknown = error): unknown {
	if (error instanceof CannotStart) return error;
	const why = error instanceof Error ? WHY.find(([sign]) => sign.test(error.message))?.[1] : undefined;
	return why === undefined
		? otherwise
		: new CannotStart(`The data directory ${directory} can’t be written: ${why}.`, { cause: error });
}

const WHY: [RegExp, string][] = [
	[/ENOSPC|EDQUOT|No space left|quota exceeded/i, 'the disk is full'],
	[/EROFS|Read-only file system/i, 'the disk is read-only'],
	[/EACCES|EPERM|Permission denied/i, 'this user has no right to'],
	[/ENOTDIR|EEXIST|Not a directory/i, 'a part of its path is a file']
];

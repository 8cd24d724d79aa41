import { createHash } from 'node:crypto';
import {
	existsSync,
	mkdirSync,
	mkdtempSync,
	readdirSync,
	readFileSync,
	rmSync,
	statfsSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { migrate } from '../../src/lib/server/platform/db/migrate';
import { databaseOn, openPglite } from '../../src/lib/server/platform/db/pglite';
import { DUMP, PREPARED } from './directories';

const MEMORY = '/dev/shm';
/** Bytes that data directories of all tests at once take at most, with room to spare. */
const ROOM = 3e9;

/** Where tests have their folders: in memory, if there is room. What a disk would have lost is tried in power.test.ts; a soak keeps to the disk. */
function folderOfRun(): string {
	const inMemory = !process.env.SOAK_SECONDS && existsSync(MEMORY);
	const room = inMemory ? statfsSync(MEMORY) : { bavail: 0, bsize: 0 };
	return mkdtempSync(join(room.bavail * room.bsize > ROOM ? MEMORY : tmpdir(), 'cadrex-test-'));
}

/** What the prepared databases are made of: the engine, and all that has a hand in its schema and its files. */
function recipe(): string {
	const sources = readdirSync('src/lib/server/platform/db', { withFileTypes: true, recursive: true })
		.filter((entry) => entry.isFile())
		.map((entry) => join(entry.parentPath, entry.name));
	const hash = createHash('sha256');
	for (const path of ['node_modules/@electric-sql/pglite/package.json', ...sources.sort()])
		hash.update(path).update(readFileSync(path));
	return hash.digest('hex');
}

/** Prepares a migrated database, in memory and as a data directory: test files take copies of it. It is kept for later runs. */
async function prepare(): Promise<void> {
	const made = `${PREPARED}.txt`;
	const current = recipe();
	if (existsSync(made) && readFileSync(made, 'utf8') === current) return;
	rmSync(made, { force: true });
	rmSync(PREPARED, { recursive: true, force: true });
	mkdirSync(PREPARED, { recursive: true });
	const engine = await PGlite.create();
	await migrate(databaseOn(engine));
	const dump = await engine.dumpDataDir('none');
	writeFileSync(DUMP, Buffer.from(await dump.arrayBuffer()));
	await engine.close();
	await (await PGlite.create({ dataDir: join(PREPARED, 'pg'), loadDataDir: dump })).close();
	// Opened once as the application does, it has the marks that the application leaves.
	await (await openPglite(PREPARED)).close();
	writeFileSync(made, current);
}

export default async function setup(): Promise<() => void> {
	// Each project of a run asks for it.
	if (process.env.CADREX_TESTS_IN) return () => undefined;
	const folder = folderOfRun();
	process.env.CADREX_TESTS_IN = process.env.TMPDIR = folder;
	await prepare();
	return () => rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
}

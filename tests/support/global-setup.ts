import { existsSync, mkdirSync, mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { migrate } from '../../src/lib/server/db/migrate';
import { databaseOn, openPglite } from '../../src/lib/server/db/pglite';
import { PREPARED } from './directories';

const MEMORY = '/dev/shm';
/** Bytes that data directories of all tests at once take at most, with room to spare. */
const ROOM = 3e9;

/** Where tests have their folders: in memory, if there is room. What a disk would have lost is tried in power.test.ts; a soak keeps to the disk. */
function folderOfRun(): string {
	const inMemory = !process.env.SOAK_SECONDS && existsSync(MEMORY);
	const room = inMemory ? statfsSync(MEMORY) : { bavail: 0, bsize: 0 };
	return mkdtempSync(join(room.bavail * room.bsize > ROOM ? MEMORY : tmpdir(), 'cadrex-test-'));
}

/** Prepares a migrated database once a run, in memory and as a data directory: test files take copies of it. */
export default async function setup(): Promise<() => void> {
	// Each project of a run asks for it.
	if (process.env.CADREX_TESTS_IN) return () => undefined;
	const folder = folderOfRun();
	process.env.CADREX_TESTS_IN = process.env.TMPDIR = folder;
	const cache = join(process.cwd(), '.cache');
	mkdirSync(cache, { recursive: true });
	const engine = await PGlite.create();
	await migrate(databaseOn(engine));
	const dump = await engine.dumpDataDir('none');
	writeFileSync(join(cache, 'migrated-pg.tar'), Buffer.from(await dump.arrayBuffer()));
	await engine.close();

	rmSync(PREPARED, { recursive: true, force: true });
	mkdirSync(PREPARED);
	await (await PGlite.create({ dataDir: join(PREPARED, 'pg'), loadDataDir: dump })).close();
	// Opened once as the application does, it has the marks that the application leaves.
	await (await openPglite(PREPARED)).close();
	return () => rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
}

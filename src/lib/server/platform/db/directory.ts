import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { CannotStart } from '../cannot-start';
import { filesIn } from '../files';
import { sync, syncTree } from './disk';

/** A directory whose database cannot be used as it is; it is never begun anew. */
export class DirectoryDamaged extends CannotStart {
	override name = 'DirectoryDamaged';

	constructor(directory: string, what: string) {
		super(
			`The database in ${directory} cannot be opened: ${what}. ` +
				'Restore a backup (docs/operations.md says how), or give another directory with CADREX_DATA.'
		);
	}
}

/** Major version of PostgreSQL that the embedded engine is. */
export const ENGINE = '18';
/** Says that a database was made here: a directory without one is then no new directory. */
export const MARK = 'database.json';
/** Where its files are, in the data directory. */
export const DATABASE_FOLDER = 'pg';
/** Without any of these the engine would begin a new database in place of the old one, or not begin. */
const NEEDED = ['PG_VERSION', 'global/pg_control', 'base', 'pg_wal', 'pg_xact'];

/**
 * Where the files of the embedded database are.
 * @param make makes an empty database in a directory and closes it; called for a directory that never had one
 * @throws DirectoryDamaged
 */
export async function databaseIn(directory: string, make: (path: string) => Promise<void>): Promise<string> {
	const path = join(directory, DATABASE_FOLDER);
	const files = filesIn(directory);
	const marked = (await files.read(MARK)) !== null;
	if (existsSync(path)) checkWhole(directory, path);
	else {
		if (marked) throw new DirectoryDamaged(directory, 'its folder “pg” is gone');
		// Made beside and moved in when it is whole and on the disk: a first start that is cut off leaves nothing behind.
		const beside = join(directory, 'pg.new');
		await rm(beside, { recursive: true, force: true });
		await make(beside);
		syncTree(beside);
		await rename(beside, path);
		sync(directory);
	}
	if (!marked) await files.write(MARK, JSON.stringify({ engine: `PostgreSQL ${ENGINE}` }));
	return path;
}

function checkWhole(directory: string, path: string): void {
	const missing = NEEDED.filter((name) => !existsSync(join(path, name)));
	if (missing.length > 0) throw new DirectoryDamaged(directory, `${missing.join(', ')} is missing in “pg”`);
	if (!readdirSync(join(path, 'pg_wal')).some((name) => /^[0-9A-F]{24}$/.test(name)))
		throw new DirectoryDamaged(directory, 'there is no log in “pg/pg_wal”');
	const version = readFileSync(join(path, 'PG_VERSION'), 'utf8').trim();
	if (version !== ENGINE)
		throw new DirectoryDamaged(
			directory,
			`it is of PostgreSQL ${version.slice(0, 20)}, and this program’s is ${ENGINE}`
		);
}

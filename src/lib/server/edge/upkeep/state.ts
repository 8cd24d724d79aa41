import { version } from '../../../../../package.json';
import type { App } from '../app';
import { backupsIn, type Backup } from '../backup/backup';
import { only } from '../../platform/db/database';
import { schemaVersion } from '../../platform/db/migrate';
import { freeIn } from '../../platform/db/room';
import { compareFiles } from '../../platform/row-files';
import { FILE_KINDS } from './kept-files';

/** How an installation stands, for whoever looks after it. */
export interface Installation {
	version: string;
	database: 'pglite' | 'postgres';
	schema: number;
	/** Bytes that the database takes up. */
	databaseBytes: number;
	/** Of the disk of the data directory, in bytes; null with a server, which has a disk of its own. */
	disk: { free: number; reserve: number } | null;
	/** Documents, photographs and clips: how many there are, and the paths of those that are gone. */
	files: { whole: number; missing: string[] };
	backups: Backup[];
	/** How many are kept of those made every night; 0: none are made by themselves. */
	kept: number;
}

/** Backups and files that a page lists. */
const LISTED = 30;

export async function installation({ db, config }: App): Promise<Installation> {
	const { bytes } = only(
		await db.query<{ bytes: number }>('select pg_database_size(current_database()) as bytes')
	);
	const { whole, missing } = await compareFiles(db, config.dataDirectory, FILE_KINDS);
	return {
		version,
		database: db.kind,
		schema: await schemaVersion(db),
		databaseBytes: bytes,
		disk: config.databaseUrl ? null : { free: freeIn(config.dataDirectory)(), reserve: config.diskReserve },
		files: { whole, missing: missing.slice(0, LISTED) },
		backups: (await backupsIn(config.backups.directory)).slice(0, LISTED),
		kept: config.backups.kept
	};
}

import type { Config } from '../config';
import type { Database } from './database';
import { openPglite } from './pglite';

/** Opens the database that the configuration names: a server when there is an address, else the embedded one. */
export async function openDatabase({
	databaseUrl,
	dataDirectory
}: Pick<Config, 'databaseUrl' | 'dataDirectory'>): Promise<Database> {
	if (!databaseUrl) return openPglite(dataDirectory);
	// The driver is loaded where there is a server.
	const { openPostgres } = await import('./postgres');
	return openPostgres(databaseUrl);
}

import type { Config } from '../platform/config';
import type { Database } from './database';
import { openPglite } from './pglite';
import { openPostgres } from './postgres';

/** Opens the database that the configuration names: a server when there is an address, else the embedded one. */
export function openDatabase(config: Pick<Config, 'databaseUrl' | 'dataDirectory'>): Promise<Database> {
	return config.databaseUrl
		? Promise.resolve(openPostgres(config.databaseUrl))
		: openPglite(config.dataDirectory);
}

import { join } from 'node:path';
import { PGlite, type PGliteOptions } from '@electric-sql/pglite';
import { READERS, type Database, type Queries } from './database';
import { lockDirectory } from './lock';

type Runner = Pick<PGlite, 'query' | 'exec'>;

const queriesOf = (runner: Runner): Queries => ({
	async query<Row>(text: string, values: unknown[] = []) {
		return (await runner.query<Row>(text, values)).rows;
	},
	async script(sql) {
		await runner.exec(sql);
	}
});

/**
 * Opens an embedded database. Our readers are given once: handed over with each statement they cost a tenth of its time.
 *
 * @param options where it lies (`dataDir`; none: in memory) or what it is loaded from
 * @param release gives back whatever was taken for it
 */
export async function createPglite(
	options: Pick<PGliteOptions, 'dataDir' | 'loadDataDir'> = {},
	release: () => Promise<void> = () => Promise.resolve()
): Promise<Database> {
	const db = await PGlite.create({ ...options, parsers: READERS });
	return {
		kind: 'pglite',
		...queriesOf(db),
		transaction: (work) => db.transaction((tx) => work(queriesOf(tx))),
		async close() {
			await db.close();
			await release();
		}
	};
}

/** Opens the embedded database of a data directory, which no other process may hold. */
export async function openPglite(directory: string): Promise<Database> {
	const release = await lockDirectory(directory);
	try {
		return await createPglite({ dataDir: join(directory, 'pg') }, release);
	} catch (error) {
		await release();
		throw error;
	}
}

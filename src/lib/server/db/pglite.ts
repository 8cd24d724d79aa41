import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { READERS, type Database, type Queries } from './database';
import { lockDirectory } from './lock';

type Runner = Pick<PGlite, 'query' | 'exec'>;

const queriesOf = (runner: Runner): Queries => ({
	async query<Row>(text: string, values: unknown[] = []) {
		const result = await runner.query<Row>(text, values, { parsers: READERS });
		return result.rows;
	},
	async script(sql) {
		await runner.exec(sql);
	}
});

/** Wraps an open PGlite; `release` gives back whatever was taken for it. */
export function pgliteDatabase(db: PGlite, release: () => Promise<void> = () => Promise.resolve()): Database {
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
		return pgliteDatabase(await PGlite.create(join(directory, 'pg')), release);
	} catch (error) {
		await release();
		throw error;
	}
}

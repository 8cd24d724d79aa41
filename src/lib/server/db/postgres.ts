import pg from 'pg';
import { READERS, type Database, type Queries } from './database';

const types: pg.CustomTypesConfig = {
	getTypeParser: ((oid: number, format?: 'text' | 'binary') =>
		READERS[oid] ?? (pg.types.getTypeParser(oid, format) as unknown)) as typeof pg.types.getTypeParser
};

const queriesOf = (runner: pg.Pool | pg.PoolClient): Queries => ({
	async query<Row>(text: string, values: unknown[] = []) {
		try {
			const result = await runner.query<Row & pg.QueryResultRow>(text, values);
			return result.rows;
		} catch (error) {
			// The embedded database says by itself which statement it was.
			if (error instanceof Error) Object.assign(error, { query: text });
			throw error;
		}
	},
	async script(sql) {
		await runner.query(sql);
	}
});

/** Connects to a PostgreSQL server; any number of processes may. */
export function openPostgres(connectionString: string): Database {
	const pool = new pg.Pool({ connectionString, types, max: 10 });
	// A connection lost while idle is replaced at the next query; without this the process would end.
	pool.on('error', () => undefined);
	return {
		kind: 'postgres',
		...queriesOf(pool),
		async transaction(work) {
			const client = await pool.connect();
			try {
				await client.query('begin');
				const result = await work(queriesOf(client));
				await client.query('commit');
				return result;
			} catch (error) {
				await client.query('rollback').catch(() => undefined);
				throw error;
			} finally {
				client.release();
			}
		},
		close: () => pool.end()
	};
}

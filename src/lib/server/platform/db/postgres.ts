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
			let lost = false;
			// The pool does not watch a client that is checked out: an unheard error would end the process.
			const onLost = () => (lost = true);
			client.on('error', onLost);
			try {
				await client.query('begin');
				const result = await work(queriesOf(client));
				await client.query('commit');
				return result;
			} catch (error) {
				if (!lost) await client.query('rollback').catch(() => (lost = true));
				throw error;
			} finally {
				client.removeListener('error', onLost);
				client.release(lost);
			}
		},
		listen: (channel, heard) => listenOn(connectionString, channel, heard),
		close: () => pool.end()
	};
}

/** Milliseconds until a connection that was lost is made anew. */
const AGAIN = 2000;

/** Listens on a connection of its own, which is made anew when it is lost. What is told meanwhile is not heard. */
async function listenOn(
	connectionString: string,
	channel: string,
	heard: (payload: string) => void
): Promise<() => Promise<void>> {
	let ended = false;
	let client: pg.Client | null = null;
	let timer: ReturnType<typeof setTimeout> | null = null;
	const later = () => {
		if (!ended) timer = setTimeout(() => void connect().catch(later), AGAIN);
	};
	async function connect(): Promise<void> {
		const made = new pg.Client({ connectionString });
		const lost = () => {
			if (client !== made) return;
			client = null;
			later();
		};
		made.on('error', lost);
		made.on('end', lost);
		made.on('notification', ({ payload }) => heard(payload ?? ''));
		await made.connect();
		client = made;
		await made.query(`listen ${pg.escapeIdentifier(channel)}`);
	}
	await connect();
	return async () => {
		ended = true;
		if (timer) clearTimeout(timer);
		await client?.end();
	};
}

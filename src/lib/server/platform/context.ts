import type { Clock } from './clock';
import type { Database, Queries } from './db/database';
import type { Ids } from './ids';

/** What every use case is given. */
export interface Context {
	db: Database;
	clock: Clock;
	ids: Ids;
}

/** The same inside a transaction that is under way: what use cases do there is kept or undone with it. */
export const withTransaction = (context: Context, tx: Queries): Context => ({
	...context,
	db: {
		...context.db,
		query: (text, values) => tx.query(text, values),
		script: (sql) => tx.script(sql),
		transaction: (work) => work(tx)
	}
});

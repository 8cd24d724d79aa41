import type { Clock } from './clock';
import type { Database } from './db/database';
import type { Ids } from './ids';

/** What every use case is given. */
export interface Context {
	db: Database;
	clock: Clock;
	ids: Ids;
}

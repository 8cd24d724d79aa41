import pino, { type Logger } from 'pino';
import { TryLimit } from './auth/limits';
import { DemoClock, fixedClock, realClock, type Clock } from './platform/clock';
import { readConfig, type Config } from './platform/config';
import type { Context } from './platform/context';
import { migrate } from './db/migrate';
import { openDatabase } from './db/open';
import { randomIds } from './platform/ids';

/** The running application: what use cases are given, and what only the edges need. */
export interface App extends Context {
	config: Config;
	log: Logger;
	limits: { signIn: TryLimit; link: TryLimit };
	/** The clock that can be moved on; only with the demo data. */
	demoClock: DemoClock | null;
}

const QUARTER_HOUR = 15 * 60;

/** Opens the database, brings it up to date and puts the application together. */
export async function startApp(env: Record<string, string | undefined>): Promise<App> {
	const config = readConfig(env);
	const log = pino({ level: config.logLevel, base: null, timestamp: pino.stdTimeFunctions.isoTime });
	const db = await openDatabase(config);
	const steps = await migrate(db);
	log.info({ database: db.kind, migrated: steps }, 'database is ready');
	const base: Clock = config.fixedNow === null ? realClock : fixedClock(config.fixedNow);
	const demoClock = config.demo ? new DemoClock(base) : null;
	return {
		db,
		clock: demoClock ?? base,
		ids: randomIds,
		config,
		log,
		demoClock,
		limits: {
			signIn: new TryLimit(db, 'sign-in', config.signInTries, QUARTER_HOUR),
			link: new TryLimit(db, 'link', 5 * config.signInTries, QUARTER_HOUR)
		}
	};
}

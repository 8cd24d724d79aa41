import pino, { type Logger } from 'pino';
import { TryLimit } from './auth/limits';
import { Jobs } from './platform/jobs';
import { DemoClock, fixedClock, realClock, type Clock } from './platform/clock';
import { readConfig, type Config } from './platform/config';
import type { Context } from './platform/context';
import { migrate } from './db/migrate';
import { openDatabase } from './db/open';
import { openPress, type Press } from './exports/pdf/press';
import { randomIds } from './platform/ids';
import { purgeJob } from './upkeep/purge';

/** The running application: what use cases are given, and what only the edges need. */
export interface App extends Context {
	config: Config;
	log: Logger;
	jobs: Jobs;
	press: Press;
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
	const jobs = await Jobs.start(db, {
		onError: (error, job) => log.error({ err: error, job }, 'a job failed')
	});
	const app: App = {
		db,
		clock: demoClock ?? base,
		ids: randomIds,
		config,
		log,
		demoClock,
		jobs,
		press: openPress(config.workers),
		limits: {
			signIn: new TryLimit(db, 'sign-in', config.signInTries, QUARTER_HOUR),
			link: new TryLimit(db, 'link', 5 * config.signInTries, QUARTER_HOUR)
		}
	};
	await jobs.register(purgeJob(app));
	return app;
}

/** Ends what is running in the background, then the database. */
export async function closeApp(app: Pick<App, 'db' | 'jobs' | 'press'>): Promise<void> {
	await Promise.all([app.jobs.stop(), app.press.close()]);
	await app.db.close();
}

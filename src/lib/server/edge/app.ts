import type { Logger } from 'pino';
import { accountNoticeJob, resetJob } from '../account/auth/letters';
import { lostLinkJob } from '../people/lost-link';
import { newLinkJob } from '../people/new-link';
import { TryLimit } from '../account/auth/limits';
import { backUp, type Backup } from './backup/backup';
import { Control } from '../platform/control';
import { backupJob } from './backup/job';
import { Jobs } from '../platform/jobs';
import { DemoClock, fixedClock, realClock, type Clock } from '../platform/clock';
import { readConfig, type Config } from '../platform/config';
import type { Context } from '../platform/context';
import { openLog } from '../platform/log';
import { openMail, type Mail } from '../platform/mail';
import { openPush, overTls, type Push } from '../platform/push';
import { PushStandIn } from '../platform/push-stand-in';
import { migrate } from '../platform/db/migrate';
import { openDatabase } from '../platform/db/open';
import { Live } from '../done/live/live';
import { freeIn, Room, withRoom } from '../platform/db/room';
import { randomIds } from '../platform/ids';
import { forgetSent } from '../platform/sent-file';
import type { Threads } from '../platform/threads';
import { openThreads } from './threads/open';
import { fitJob } from '../training/fit/ahead';
import { weeksJob } from '../people/health/answers';
import { askWeeklyJob } from '../people/intake';
import { carryOn, letGo } from '../contact/post/letters';
import { lettersJob } from '../contact/delivery/deliver';
import { remindersJob } from '../contact/post/reminders';
import { morningJob, wakeJob } from '../contact/delivery/morning';
import { healthUntilJob } from '../people/privacy/health-until';
import { FILE_KINDS, sweepJob } from './upkeep/kept-files';
import { purgeJob } from './upkeep/purge';
import { Uploads } from './web/uploads';

/** The running application: what use cases are given, and what only the edges need. */
export interface App extends Context {
	config: Config;
	log: Logger;
	jobs: Jobs;
	threads: Threads;
	/** Takes in forms with files. */
	uploads: Uploads;
	/** Tells pages what comes about, as it does. */
	live: Live;
	mail: Mail;
	/** Sends notifications to the devices of those who want reminders. */
	push: Push;
	/** The simulated push service with its phones, or null with real ones. */
	pushStandIn: PushStandIn | null;
	/** Room on the disk of the embedded database; null with a server, which sees to its own. */
	room: Room | null;
	/** Tries by address, and at an account whatever the address: its password at the sign-in and after it, its code, links that set a new one. */
	limits: Record<'signIn' | 'account' | 'password' | 'code' | 'reset' | 'link' | 'join', TryLimit>;
	/** Makes a backup, one at a time. */
	backUp(): Promise<Backup>;
	/** Lets commands on this machine in; only with the embedded database, which nobody else may open meanwhile. */
	control: Control | null;
	/** The clock that can be moved on; only with the demo data. */
	demoClock: DemoClock | null;
}

const QUARTER_HOUR = 15 * 60;
const HOUR = 60 * 60;

/** Opens the database, brings it up to date and puts the application together. */
export async function startApp(env: Record<string, string | undefined>): Promise<App> {
	const config = readConfig(env);
	const log = openLog(config.logLevel);
	const whole = await openDatabase(config);
	const steps = await migrate(whole);
	const room = config.databaseUrl ? null : new Room(config.diskReserve, freeIn(config.dataDirectory));
	const db = withRoom(whole, room ?? { isLow: () => false });
	log.info({ database: db.kind, migrated: steps }, 'database is ready');
	const base: Clock = config.fixedNow === null ? realClock : fixedClock(config.fixedNow);
	const demoClock = config.demo ? new DemoClock(base) : null;
	// Their own upkeep goes on in what little room there is; what they do for us is refused like everything else.
	const jobs = await Jobs.start(whole, {
		onError: (error, job) => log.error({ err: error, job }, 'a job failed')
	});
	const mail = openMail(config.mail, config.dataDirectory, { clock: realClock, ids: randomIds });
	const clock = demoClock ?? base;
	const pushStandIn = config.pushStandIn ? new PushStandIn(clock) : null;
	const push = await openPush(whole, config.pushContact, pushStandIn?.transport ?? overTls());
	let last: Promise<unknown> = Promise.resolve();
	/** One after the other: the engine makes one at a time. Named by the real time, whatever the clock of the demo says. */
	const makeBackup = (): Promise<Backup> => {
		const next = last.then(() => backUp(whole, config, FILE_KINDS, realClock.now()));
		last = next.catch(() => undefined);
		return next;
	};
	const app: App = {
		backUp: makeBackup,
		control: config.databaseUrl ? null : new Control(config.dataDirectory, randomIds),
		db,
		clock,
		ids: randomIds,
		config,
		log,
		demoClock,
		jobs,
		threads: openThreads(config.workers),
		uploads: new Uploads(config),
		live: await Live.start(whole),
		mail,
		push,
		pushStandIn,
		room,
		limits: {
			signIn: new TryLimit(db, 'sign-in', config.signInTries, QUARTER_HOUR),
			account: new TryLimit(db, 'account', 2 * config.signInTries, QUARTER_HOUR),
			password: new TryLimit(db, 'password', config.signInTries, QUARTER_HOUR),
			code: new TryLimit(db, 'code', config.signInTries, QUARTER_HOUR),
			reset: new TryLimit(db, 'reset', Math.ceil(config.signInTries / 2), QUARTER_HOUR),
			link: new TryLimit(db, 'link', 5 * config.signInTries, QUARTER_HOUR),
			join: new TryLimit(db, 'join', config.joinTries, HOUR)
		}
	};
	await jobs.register(resetJob(app, mail));
	await jobs.register(accountNoticeJob(app, mail));
	await jobs.register(lostLinkJob(app, mail));
	await jobs.register(newLinkJob(app, mail));
	// The embedded database has one process at a time: what another had in hand it does not come back for.
	if (!config.databaseUrl) {
		await letGo(whole);
		await forgetSent(config.dataDirectory);
	}
	await jobs.register(lettersJob(app, mail));
	await jobs.register(remindersJob(app, push));
	await jobs.register(wakeJob(app));
	await jobs.register(morningJob(app, mail));
	await jobs.register(purgeJob(app));
	await jobs.register(sweepJob(app));
	await jobs.register(fitJob(app));
	await jobs.register(weeksJob(app));
	await jobs.register(askWeeklyJob(app));
	await jobs.register(healthUntilJob(app));
	await jobs.register(backupJob(makeBackup, config.backups.kept));
	// What became due while nobody was there goes out now, and not at the next minute.
	await carryOn({ db: whole, jobs });
	return app;
}

/** Ends what is running in the background, then the database. */
export async function closeApp(
	app: Pick<App, 'db' | 'jobs' | 'threads' | 'control' | 'live'>
): Promise<void> {
	// Jobs first: what one of them has under way in a thread is brought to its end.
	await Promise.all([app.jobs.stop(), app.live.close(), app.control?.close()]);
	await app.threads.close();
	await app.db.close();
}

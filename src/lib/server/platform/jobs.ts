import PgBoss from 'pg-boss';
import type { Database, Queries } from './db/database';
import { loggedError } from './log';

/** Work done apart from requests: named, tried again when it fails, and kept for the operator when it gives up. */
export interface Job<Data extends object> {
	/** Also the name of its queue: small letters, digits and hyphens. */
	name: string;
	/** What it does, in words for the operator. */
	what: string;
	/** Does the work. May run twice for the same data, when a process ends in the middle of it. */
	run(data: Data): Promise<void>;
	/** When it comes round by itself, as a cron line of minutes in UTC. */
	every?: string;
	/** How often a failed try is repeated before it is given up. Default 5, with 2 s, 4 s, 8 s … between. */
	retries?: number;
}

/** A job that was given up after its last try. */
export interface DeadJob {
	id: string;
	name: string;
	what: string;
	/** Epoch milliseconds at which the last try ended. */
	at: number;
	tries: number;
	/** What the last try said. */
	reason: string;
}

/** What goes on in the background, for the operator. */
export interface JobState {
	name: string;
	what: string;
	every: string | null;
	waiting: number;
	/** Epoch milliseconds of the last time it was done; null for never, or longer ago than is kept. */
	doneAt: number | null;
}

interface Options {
	/** Seconds between two looks at a queue; what is sent here is seen at once all the same. */
	pollSeconds?: number;
	/** Seconds before the first repeat. */
	retrySeconds?: number;
	/** Milliseconds given to what is running when the application stops. */
	drain?: number;
	onError?: (error: Error, job: string) => void;
}

const SCHEMA = 'jobs';
const QUARTER_HOUR = 15 * 60;
const DAY = 24 * 60 * 60;
const DRAIN = 4000;

/** Answers as the queue expects its database to. Its own transactions come as one text with several statements. */
const executorOf = (db: Queries) => ({
	async executeSql(text: string, values: unknown[] = []) {
		if (values.length === 0 && /^\s*begin/i.test(text)) {
			await db.script(text);
			return { rows: [] as unknown[], rowCount: 0 };
		}
		const rows = await db.query(text, values);
		return { rows: rows as unknown[], rowCount: rows.length };
	}
});

/**
 * The jobs of an installation: kept in its database, done in its processes.
 *
 * Several processes on one database share the work; each job is done by one of them.
 */
export class Jobs {
	private readonly known = new Map<string, Job<never>>();
	private stopped = false;

	private constructor(
		private readonly db: Database,
		private readonly queue: PgBoss,
		private readonly options: Options
	) {}

	static async start(db: Database, options: Options = {}): Promise<Jobs> {
		const queue = new PgBoss({
			db: executorOf(db),
			schema: SCHEMA,
			archiveCompletedAfterSeconds: 2 * DAY,
			archiveFailedAfterSeconds: 30 * DAY,
			deleteAfterDays: 30
		});
		queue.on('error', (error) => options.onError?.(error, 'queue'));
		await queue.start();
		return new Jobs(db, queue, options);
	}

	/** Makes a job known and begins to do what is waiting of it. */
	async register<Data extends object>(job: Job<Data>): Promise<void> {
		const { name, retries = 5 } = job;
		this.known.set(name, job);
		const rules = {
			name,
			retryLimit: retries,
			retryDelay: this.options.retrySeconds ?? 2,
			retryBackoff: true,
			expireInSeconds: QUARTER_HOUR
		};
		if (await this.queue.getQueue(name)) await this.queue.updateQueue(name, rules);
		else await this.queue.createQueue(name, rules);
		await this.queue.work<Data>(
			name,
			{ pollingIntervalSeconds: this.options.pollSeconds ?? 2 },
			async ([taken]) => {
				try {
					await job.run(taken!.data);
				} catch (error) {
					this.options.onError?.(error as Error, name);
					// What is thrown is kept beside the job, where the operator reads it: no more of it than a log has.
					const { type, message, code, query } = loggedError(error);
					// eslint-disable-next-line preserve-caught-error -- the queue would keep the cause with all that is in it
					throw new Error([message ?? type, code, query].filter(Boolean).join(' '));
				}
			}
		);
		if (job.every) await this.queue.schedule(name, job.every, {});
		else await this.queue.unschedule(name);
	}

	/**
	 * Puts a job in its queue.
	 * @param tx the transaction in which the reason for the job is written: undone with it, the job is never done
	 */
	async send<Data extends object>(tx: Queries, job: Pick<Job<Data>, 'name'>, data: Data): Promise<void> {
		if (!this.known.has(job.name)) throw new Error(`there is no job “${job.name}”`);
		await this.queue.send(job.name, data, { db: executorOf(tx) });
	}

	/** What is known, and how each stands. */
	async states(): Promise<JobState[]> {
		const rows = await this.db.query<{ name: string; waiting: number; done_at: number | null }>(
			`select name, (count(*) filter (where state in ('created', 'retry')))::int waiting,
			        max(completed_on) filter (where state = 'completed') done_at
			 from ${SCHEMA}.job group by name`
		);
		const found = new Map(rows.map((row) => [row.name, row]));
		return [...this.known.values()].map(({ name, what, every }) => ({
			name,
			what,
			every: every ?? null,
			waiting: found.get(name)?.waiting ?? 0,
			doneAt: found.get(name)?.done_at ?? null
		}));
	}

	/** What was given up, the latest first, at most a hundred. */
	async dead(): Promise<DeadJob[]> {
		const rows = await this.db.query<{
			id: string;
			name: string;
			completed_on: number;
			retry_count: number;
			output: { message?: string } | null;
		}>(
			`select id, name, completed_on, retry_count, output from ${SCHEMA}.job
			 where state = 'failed' and name = any($1) order by completed_on desc, id limit 100`,
			[[...this.known.keys()]]
		);
		return rows.map((row) => ({
			id: row.id,
			name: row.name,
			what: this.known.get(row.name)?.what ?? row.name,
			at: row.completed_on,
			tries: row.retry_count + 1,
			reason: row.output?.message ?? 'It did not end in time.'
		}));
	}

	/** Puts a job that was given up back in its queue. @returns whether there was one */
	async again(id: string): Promise<boolean> {
		const [job] = (await this.dead()).filter((dead) => dead.id === id);
		if (!job) return false;
		await this.queue.retry(job.name, id);
		return true;
	}

	/** Takes no more work and waits for what is running. */
	async stop(): Promise<void> {
		if (this.stopped) return;
		this.stopped = true;
		await this.queue.stop({ graceful: true, timeout: this.options.drain ?? DRAIN, close: false });
	}
}

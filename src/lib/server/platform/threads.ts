import { join } from 'node:path';
import pLimit from 'p-limit';
import { Piscina } from 'piscina';
import { Refusal } from './errors';

/** Work that threads do, by name. Whoever offers some adds it here (declaration merging): nothing below knows of it. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- it is added to elsewhere
export interface Tasks {}
export type TaskName = keyof Tasks;
export type TaskInput<Name extends TaskName> = Parameters<Tasks[Name]>[0];
export type TaskOutput<Name extends TaskName> = Awaited<ReturnType<Tasks[Name]>>;

/** What a thread answers: a refusal crosses over as what it says, since errors lose their class on the way. */
export type Done<Output> = { output: Output } | { refused: Pick<Refusal, 'status' | 'message' | 'faults'> };

/** What a piece of work is like. */
export interface Nature {
	/** It holds a whole file or picture: such are done one at a time, whoever they are for. */
	alone: boolean;
	/** What is said where it takes more time or memory than it is given. */
	tooMuch: string;
}

/** Who does the work, and what it is like. */
export interface Offer {
	run(work: { name: TaskName; input: unknown }): Promise<Done<unknown>>;
	natures: Readonly<Record<TaskName, Nature>>;
}

/** Threads at work at a time, and pieces of work that wait for one. */
const THREADS = 2;
const QUEUE = 30;
/** Pieces of work that one person may have under way; they are done one after the other. */
const OF_ONE = 3;
/** A thread without work ends after this long, in milliseconds: it holds fonts that are seldom needed. */
const IDLE = 60_000;
/** How much threads yield to the one that answers, where the system knows such a thing (0 to 19). */
const NICE = 10;
/** Milliseconds after which a piece of work is given up. */
const LONGEST = 60_000;
/** What a thread may hold of its own, in MB; one that holds more is ended, and nothing else with it. */
const MEMORY_MB = 256;

/** Does work without holding up anybody else. */
export class Threads {
	private readonly pool: Piscina<unknown, Done<unknown>> | null;
	private readonly alone = pLimit(1);
	/** Of each person: how many pieces are under way, and the end of the last one. */
	private readonly lines = new Map<string, { length: number; end: Promise<unknown> }>();

	/** @param workers folder with the built `threads.js`; null works in this thread, as tests and development do */
	constructor(
		workers: string | null,
		private readonly offer: Offer
	) {
		this.pool =
			workers === null
				? null
				: new Piscina({
						filename: join(workers, 'threads.js'),
						minThreads: 0,
						maxThreads: THREADS,
						maxQueue: QUEUE,
						idleTimeout: IDLE,
						niceIncrement: NICE,
						resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB }
					});
	}

	/**
	 * @param who whose work it is: each person's is done in turn
	 * @param gone aborted when nobody waits for it any more; work under way is then stopped
	 * @throws Refusal of the work itself; 429 when this person has too much under way, 503 when all together have
	 */
	async run<Name extends TaskName>(
		name: Name,
		input: TaskInput<Name>,
		who: string,
		gone: AbortSignal | null = null
	): Promise<TaskOutput<Name>> {
		const line = this.lines.get(who) ?? { length: 0, end: Promise.resolve() };
		if (line.length >= OF_ONE)
			throw new Refusal(
				429,
				'Your last files are still being worked on. Wait for them, then send this one again.'
			);
		line.length++;
		this.lines.set(who, line);
		const once = () => this.once(name, input, gone);
		const work = line.end.then(() => (this.offer.natures[name].alone ? this.alone(once) : once()));
		line.end = work.catch(() => undefined);
		try {
			return await work;
		} finally {
			if (--line.length === 0) this.lines.delete(who);
		}
	}

	private async once<Name extends TaskName>(
		name: Name,
		input: TaskInput<Name>,
		gone: AbortSignal | null
	): Promise<TaskOutput<Name>> {
		const done = (await (this.pool
			? this.inPool(name, input, gone)
			: this.offer.run({ name, input }))) as Done<TaskOutput<Name>>;
		if ('output' in done) return done.output;
		const { status, message, faults } = done.refused;
		throw new Refusal(status, message, faults);
	}

	private async inPool(name: TaskName, input: unknown, gone: AbortSignal | null): Promise<Done<unknown>> {
		const pool = this.pool!;
		if (pool.queueSize >= QUEUE)
			throw new Refusal(503, 'Too many files are being worked on just now. Try again in a minute.');
		const limit = AbortSignal.timeout(LONGEST);
		const signal = gone ? AbortSignal.any([gone, limit]) : limit;
		try {
			return await pool.run({ name, input }, { signal });
		} catch (cause) {
			if (gone?.aborted) throw new Refusal(409, 'Cancelled; nothing was saved.');
			const { code } = cause as { code?: string };
			if (limit.aborted || code === 'ERR_WORKER_OUT_OF_MEMORY')
				throw new Refusal(413, this.offer.natures[name].tooMuch);
			throw cause;
		}
	}

	/** Ends the threads, whatever they are at. */
	async close(): Promise<void> {
		await this.pool?.destroy();
	}
}

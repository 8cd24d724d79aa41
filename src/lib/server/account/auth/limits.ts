import { isIP } from 'node:net';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import type { Queries } from '../../platform/db/database';
import { Refusal } from '../../platform/errors';

/** Counts tries by address in the database, so that every process of the application sees them. */
export class TryLimit {
	private readonly limiter: RateLimiterPostgres;

	constructor(
		db: Queries,
		name: string,
		private readonly tries: number,
		private readonly seconds: number
	) {
		this.limiter = new RateLimiterPostgres({
			storeClient: {
				query: async (q: { text: string; values?: unknown[] }) => {
					const rows = await db.query(q.text, q.values);
					return { rows, rowCount: rows.length };
				}
			},
			storeType: 'client',
			tableName: 'rate_limit',
			tableCreated: true,
			keyPrefix: name,
			points: tries,
			duration: seconds,
			clearExpiredByTimeout: false
		});
	}

	/** Takes one try. @throws Refusal 429 with the seconds to wait in `retryAfter` */
	async take(key: string): Promise<void> {
		try {
			await this.limiter.consume(key);
		} catch (cause) {
			if (!(cause instanceof RateLimiterRes)) throw cause;
			throw new TooOften(Math.ceil(cause.msBeforeNext / 1000), this.tries, this.seconds);
		}
	}

	/** Takes a try for a piece of work and gives it back when that was good. @throws what the work throws; Refusal 429 */
	async attempt<T>(key: string, work: () => Promise<T>): Promise<T> {
		await this.take(key);
		const done = await work();
		await this.giveBack(key);
		return done;
	}

	/** Gives a try back, after one that was good: those of others at the same key stay counted. */
	async giveBack(key: string): Promise<void> {
		await this.limiter.reward(key, 1);
	}
}

/**
 * What stands for an address when tries are counted: of IPv6 the network, since whoever has one has all of it
 * (RFC 6177 gives a site at least a /64).
 */
export function networkOf(address: string): string {
	const bare = address.replace(/^::ffff:(?=\d+\.)/i, '').replace(/%.*$/, '');
	if (isIP(bare) !== 6) return bare;
	const [head = '', tail] = bare.toLowerCase().split('::');
	const [before, after] = [head, tail ?? ''].map((part) => part.split(':').filter(Boolean));
	const missing = tail === undefined ? 0 : 8 - before!.length - after!.length;
	const groups = [...before!, ...Array<string>(Math.max(0, missing)).fill('0'), ...after!];
	return `${groups
		.slice(0, 4)
		.map((group) => group.replace(/^0+(?=.)/, ''))
		.join(':')}::/64`;
}

export class TooOften extends Refusal {
	constructor(
		readonly retryAfter: number,
		tries: number,
		seconds: number
	) {
		const minutes = Math.ceil(retryAfter / 60);
		super(
			429,
			`More than ${tries} tries within ${Math.round(seconds / 60)} minutes. Try again in ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}.`
		);
	}
}

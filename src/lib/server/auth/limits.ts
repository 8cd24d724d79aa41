import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import type { Queries } from '../db/database';
import { Refusal } from '../platform/errors';

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

	/** Forgets the tries of a key, after one that succeeded. */
	async clear(key: string): Promise<void> {
		await this.limiter.delete(key);
	}
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

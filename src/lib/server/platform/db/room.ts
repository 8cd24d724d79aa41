import { statfsSync } from 'node:fs';
import { Refusal } from '../errors';
import type { Database, Queries } from './database';

/** Nothing can be written at the moment; what is there can be read. */
export class DiskFull extends Refusal {
	override name = 'DiskFull';

	constructor() {
		super(503, 'The server’s disk is full, so nothing can be saved right now. Try again later.');
	}
}

/** SQLSTATE of PostgreSQL for a disk without room. */
const DISK_FULL = '53100';
export const isDiskFull = (error: unknown): boolean =>
	error instanceof Error && 'code' in error && error.code === DISK_FULL;

/** For what may be left undone while there is no room. @returns no rows then */
export const unlessFull = <Row>(work: Promise<Row[]>): Promise<Row[]> =>
	work.catch((error: unknown) => {
		if (error instanceof DiskFull) return [];
		throw error;
	});

/** For how long a look at the disk holds, in milliseconds. */
const HOLDS = 500;

/** Whether there is room left on the disk of a directory. */
export class Room {
	private looked = -Infinity;
	private low = false;

	/**
	 * @param reserve bytes that stay free: an engine that cannot write its log has no way on
	 * @param free bytes that are free now
	 */
	constructor(
		private readonly reserve: number,
		private readonly free: () => number,
		private readonly now: () => number = () => performance.now()
	) {}

	isLow(): boolean {
		const now = this.now();
		if (now - this.looked >= HOLDS) {
			this.looked = now;
			this.low = this.free() < this.reserve;
		}
		return this.low;
	}
}

export const freeIn = (directory: string) => (): number => {
	const { bavail, bsize } = statfsSync(directory);
	return bavail * bsize;
};

const WRITES =
	/^\s*(insert|update|delete|truncate|create|alter|drop)\b|^\s*with\b[^]*\b(insert|update|delete)\b/i;

/** The same database, which refuses to write while there is no room. */
export function withRoom(db: Database, room: Pick<Room, 'isLow'>): Database {
	const guarded = (runner: Queries): Queries => ({
		async query(text, values) {
			if (WRITES.test(text) && room.isLow()) throw new DiskFull();
			try {
				return await runner.query(text, values);
			} catch (error) {
				throw isDiskFull(error) ? new DiskFull() : error;
			}
		},
		script: (sql) => runner.script(sql)
	});
	return {
		...db,
		...guarded(db),
		transaction: (work) => db.transaction((tx) => work(guarded(tx)))
	};
}

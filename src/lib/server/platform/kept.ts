import { LRUCache } from 'lru-cache';
import type { Queries } from './db/database';

/** Things kept for each database. */
const MOST = 500;
const caches = new WeakMap<Queries, LRUCache<string, { revision: number; value: Promise<unknown> }>>();

/**
 * What many requests ask for and few change: worked out once, and again when its revision has risen.
 *
 * @param key what it is, without its revision
 * @param revision a number read from the database in this request; what was kept under a lower one is thrown away
 * @param work reads or computes it; its answer is shared between requests and must not be changed. A failure is not kept.
 */
export function kept<T>(db: Queries, key: string, revision: number, work: () => Promise<T>): Promise<T> {
	const cache =
		caches.get(db) ?? new LRUCache<string, { revision: number; value: Promise<unknown> }>({ max: MOST });
	caches.set(db, cache);
	const known = cache.get(key);
	if (known?.revision === revision) return known.value as Promise<T>;
	const value = work();
	// Somebody who read the revision a moment ago does not put back what has been replaced since.
	if (!known || known.revision < revision) {
		const entry = { revision, value };
		cache.set(key, entry);
		value.catch(() => cache.get(key) === entry && cache.delete(key));
	}
	return value;
}

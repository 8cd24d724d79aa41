/** Removes what a device keeps of a participant: after signing out, deletion, or when the server does not know them any more. */

import { unsubscribeDevice } from './reminders';

/** Of a coach's work; it stays with the coach. */
const COACHS = /^cadrex\.(?:draft\.|window$)/;
const OURS = 'cadrex.';

/** Names under which pages and sessions are kept. */
export const PAGES = 'pages';
export const DATABASE = 'cadrex';

/** What a device can keep things in; a service worker has no `local`. */
interface Places {
	caches?: Pick<CacheStorage, 'delete'>;
	indexedDB?: Pick<IDBFactory, 'deleteDatabase'>;
	local?: Storage;
}

const here = (): Places => ({
	...('caches' in globalThis && { caches: globalThis.caches }),
	...('indexedDB' in globalThis && { indexedDB: globalThis.indexedDB }),
	...('localStorage' in globalThis && { local: globalThis.localStorage })
});

/** Removes pages, sessions, heart rates, waiting results, answers under way and the subscription to reminders. What cannot be removed does not keep the rest. */
export async function forgetPerson({ caches, indexedDB, local }: Places = here()): Promise<void> {
	await Promise.allSettled([
		unsubscribeDevice(),
		caches?.delete(PAGES),
		indexedDB &&
			new Promise<void>((resolve) => {
				const request = indexedDB.deleteDatabase(DATABASE);
				// A page that still has it open lets go of it; what is blocked is deleted once it has.
				request.onsuccess = request.onerror = request.onblocked = () => resolve();
			})
	]);
	if (!local) return;
	for (const key of Object.keys(local)) if (key.startsWith(OURS) && !COACHS.test(key)) local.removeItem(key);
}

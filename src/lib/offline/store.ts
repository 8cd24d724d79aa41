/** What a participant's device keeps: sessions under way, and results that are waiting to be sent. */
import { DATABASE } from './forget';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Beat } from '$core/heart';
import type { Act, Course } from '$core/run';

/** A session that was begun on this device. */
export interface KeptRun {
	/** Of the enrolment and the day. */
	key: string;
	/** Under which its result is sent: once, however often. */
	id: string;
	day: number;
	versionId: string;
	course: Course;
	acts: Act[];
	/** The last instant at which the page was open and in sight. Epoch milliseconds by the device. */
	seen: number;
	/** Milliseconds by which the server's clock was ahead of the device's; null or missing if it was not reached. */
	offset?: number | null;
	first: 'left' | 'right';
}

/** What can wait on a device: the result of a day, or that somebody had to stop at a warning sign. */
export type QueuedKind = 'check-in' | 'stop';

/** Something that is waiting to be sent. */
export interface Queued {
	id: string;
	kind: QueuedKind;
	/** Whose it is: another person on this device sends their own. */
	enrolment: string;
	/** Null for what is about no day. */
	day: number | null;
	body: Record<string, unknown>;
	/** Epoch milliseconds by the device. */
	madeAt: number;
	/** What the server said against it; null: it has not been heard. */
	refused: string | null;
	/** How often the server failed on it. */
	tries: number;
}

/** Where those are kept. */
export interface DeviceStore {
	run(key: string): Promise<KeptRun | undefined>;
	keepRun(run: KeptRun): Promise<void>;
	/** A run with all that belongs to it. */
	dropRun(key: string): Promise<void>;
	/** Heart rates of a run; none: nothing was recorded. */
	beats(key: string): Promise<Beat[]>;
	keepBeats(key: string, beats: Beat[]): Promise<void>;
	/** Warning signs before results, the first to come first. */
	queued(): Promise<Queued[]>;
	keepQueued(one: Queued): Promise<void>;
	dropQueued(id: string): Promise<void>;
	/** Whether it is still there when the page is closed. */
	readonly lasting: boolean;
}

/** @param again whether it is done once more, beside the plan */
export const runKey = (enrolment: string, day: number, again: boolean): string =>
	`${enrolment} ${day}${again ? ' again' : ''}`;

interface Schema extends DBSchema {
	runs: { key: string; value: KeptRun };
	queue: { key: string; value: Queued };
	hearts: { key: string; value: Beat[] };
}

/** Nothing waits behind a result while a warning sign is to be told. */
const rank = ({ kind }: Queued): number => (kind === 'stop' ? 0 : 1);

const inOrder = (all: Queued[]): Queued[] =>
	all.sort((a, b) => rank(a) - rank(b) || a.madeAt - b.madeAt || (a.id < b.id ? -1 : 1));

function lastingStore(db: IDBPDatabase<Schema>): DeviceStore {
	return {
		lasting: true,
		run: (key) => db.get('runs', key),
		keepRun: async (run) => void (await db.put('runs', run)),
		dropRun: async (key) => {
			await db.delete('runs', key);
			await db.delete('hearts', key);
		},
		beats: async (key) => (await db.get('hearts', key)) ?? [],
		keepBeats: async (key, beats) => void (await db.put('hearts', beats, key)),
		// One that was kept by an older application has neither tries nor a kind.
		queued: async () =>
			inOrder(
				(await db.getAll('queue')).map((one) => ({
					...one,
					kind: one.kind ?? 'check-in',
					tries: one.tries ?? 0
				}))
			),
		keepQueued: async (one) => void (await db.put('queue', one)),
		dropQueued: (id) => db.delete('queue', id)
	};
}

/** Keeps things as long as the page is open: where the device keeps nothing, and in tests. */
export function passingStore(): DeviceStore {
	const runs = new Map<string, KeptRun>();
	const hearts = new Map<string, Beat[]>();
	const queue = new Map<string, Queued>();
	const done = Promise.resolve();
	return {
		lasting: false,
		run: (key) => Promise.resolve(runs.get(key)),
		keepRun: (run) => (runs.set(run.key, run), done),
		dropRun: (key) => (runs.delete(key), hearts.delete(key), done),
		beats: (key) => Promise.resolve(hearts.get(key) ?? []),
		keepBeats: (key, beats) => (hearts.set(key, beats), done),
		queued: () => Promise.resolve(inOrder([...queue.values()])),
		keepQueued: (one) => (queue.set(one.id, one), done),
		dropQueued: (id) => (queue.delete(id), done)
	};
}

/** The store of this device; one that lasts only as long as the page where it has none, or refuses it. */
export async function deviceStore(): Promise<DeviceStore> {
	try {
		const db = await openDB<Schema>(DATABASE, 2, {
			upgrade(made, from) {
				if (from < 1) {
					made.createObjectStore('runs', { keyPath: 'key' });
					made.createObjectStore('queue', { keyPath: 'id' });
				}
				if (from < 2) made.createObjectStore('hearts');
			},
			// A page with a newer application is waiting: this one asks anew when it needs something.
			blocking: (_from, _to, event) => (event.target as IDBDatabase).close()
		});
		return lastingStore(db);
	} catch {
		return passingStore();
	}
}

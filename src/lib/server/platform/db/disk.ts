import { closeSync, fsyncSync, openSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { NodeFS } from '@electric-sql/pglite/nodefs';
import type { PGlite, PGliteOptions } from '@electric-sql/pglite';

/** An open file as the engine's file system knows it; `nfd` is the system's own number of it. */
interface Stream {
	nfd: number;
	path?: string;
}
/** What the engine’s file system throws for a disk without room. */
const isFull = (error: unknown): boolean =>
	typeof error === 'object' && error !== null && 'errno' in error && error.errno === ENOSPC;
const ENOSPC = 51;
/** The part of the engine's file system that we stand in. */
interface FileSystem {
	stream_ops: {
		write: (stream: Stream, buffer: Uint8Array, offset: number, length: number, position: number) => number;
		fsync?: (stream: Stream) => number;
	};
}
type Init = Awaited<ReturnType<NodeFS['init']>>;
type EngineOptions = Init['emscriptenOpts'];

/**
 * Files of the embedded database that reach the disk when the engine says so, and are written only by their owner.
 *
 * The engine comes with syncing switched off, and its file system answers a sync with nothing done. Both are set
 * right here and in {@link SYNCED}: a commit returns when its log is on the disk, and a checkpoint moves on when
 * the data files are, in the order that the engine's own recovery counts on.
 */
export class SyncedFiles extends NodeFS {
	/**
	 * @param directory made when it is missing
	 * @param watch.beforeWrite called before every write; its end of the process keeps the write away
	 * @param watch.logFull called when the log finds no room; must not return: the engine would try for ever
	 */
	constructor(
		directory: string,
		private readonly watch: { beforeWrite: () => void; logFull: () => void }
	) {
		super(directory);
	}

	override async init(engine: PGlite, options: EngineOptions): Promise<Init> {
		const { emscriptenOpts } = await super.init(engine, options);
		const stand: NonNullable<EngineOptions['preRun']>[number] = (module) => {
			const files: unknown = module.NODEFS;
			this.standIn(files as FileSystem);
		};
		return { emscriptenOpts: { ...emscriptenOpts, preRun: [...(emscriptenOpts.preRun ?? []), stand] } };
	}

	private standIn({ stream_ops: ops }: FileSystem): void {
		const { write } = ops;
		ops.write = (...args) => {
			this.watch.beforeWrite();
			try {
				return write(...args);
			} catch (error) {
				if (isFull(error) && args[0].path?.includes('/pg_wal/')) this.watch.logFull();
				throw error;
			}
		};
		ops.fsync = ({ nfd }) => {
			fsyncSync(nfd);
			return 0;
		};
	}
}

/**
 * How the engine is started so that it syncs: without its switch `-F`, and by a call that reaches our file system
 * (of `fdatasync`, its usual one, nothing arrives there).
 */
export const synced = (usual: readonly string[]): Pick<PGliteOptions, 'startParams'> => ({
	startParams: [
		...usual.filter((param) => param !== '-F'),
		'-c',
		'wal_sync_method=fsync',
		// A log from which a copy made meanwhile can be made whole: for backups.
		'-c',
		'wal_level=replica'
	]
});

/** Waits until a file, or what a directory lists, is on the disk. */
export function sync(path: string): void {
	const handle = openSync(path, 'r');
	try {
		fsyncSync(handle);
	} finally {
		closeSync(handle);
	}
}

/** Waits until a directory with all that is below it is on the disk. */
export function syncTree(path: string): void {
	for (const entry of readdirSync(path, { withFileTypes: true, recursive: true }))
		sync(join(entry.parentPath, entry.name));
	sync(path);
}

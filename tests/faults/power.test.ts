/**
 * Power cuts. Every file operation of the embedded database is recorded; then its directory is built as a disk may
 * hold it when the power goes at some moment: what was synced for certain, of the rest any part, page halves apart.
 */
import { cpSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import type { NodeFS } from '@electric-sql/pglite/nodefs';
import { PGlite, type PGliteOptions } from '@electric-sql/pglite';
import type * as NodeFiles from 'node:fs';
import { afterAll, describe, expect, it, vi } from 'vitest';
import { seededRandom } from '$core/stats';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { openLink, personOf } from '$lib/server/account/auth/link';
import { READERS, type Database } from '$lib/server/platform/db/database';
import { databaseOn, openPglite } from '$lib/server/platform/db/pglite';
import { realClock } from '$lib/server/platform/clock';
import { randomIds } from '$lib/server/platform/ids';
import { dataDirectory, ownFolder } from '../support/directories';
import { openDays, type Wanted } from '../support/shelf';

/**
 * What the system is asked to bring to the disk, below everything of ours: a call that does not get here has synced nothing,
 * whatever the engine was told.
 */
const system = vi.hoisted(() => ({ asked: new Set<number>(), isDeaf: false }));
vi.mock('node:fs', async (original) => {
	const fs = await original<typeof NodeFiles>();
	const fsyncSync = (file: number) => {
		if (system.isDeaf) return;
		system.asked.add(file);
		fs.fsyncSync(file);
	};
	return { ...fs, default: { ...fs, fsyncSync }, fsyncSync };
});

// Files before this one may have loaded it with what the system really has.
vi.resetModules();
afterAll(() => vi.resetModules());
const { synced, SyncedFiles } = await import('$lib/server/platform/db/disk');

type Op =
	| { kind: 'write'; path: string; at: number; bytes: Buffer }
	| { kind: 'cut'; path: string; size: number }
	| { kind: 'sync'; path: string }
	| { kind: 'make'; path: string; directory: boolean }
	| { kind: 'remove'; path: string }
	| { kind: 'rename'; path: string; to: string };

interface Node {
	name: string;
	mode: number;
}
interface Stream {
	nfd: number;
	node: Node;
	flags: number;
}
/** The engine’s file system as far as it changes files. */
interface EngineFiles {
	realPath: (node: Node) => string;
	node_ops: {
		mknod: (parent: Node, name: string, mode: number, dev: number) => Node;
		rename: (node: Node, parent: Node, name: string) => void;
		unlink: (parent: Node, name: string) => void;
		rmdir: (parent: Node, name: string) => void;
		setattr: (node: Node, change: { size?: number }) => void;
	};
	stream_ops: {
		open: (stream: Stream) => void;
		setattr: (stream: Stream, change: { size?: number }) => void;
		write: (stream: Stream, buffer: Uint8Array, offset: number, length: number, position: number) => number;
		fsync?: (stream: Stream) => number;
	};
}
const TRUNCATE = 512;
const isDirectory = (mode: number): boolean => (mode & 0o170000) === 0o040000;

/** Writes down what the engine does with its files, in order. */
function record(files: EngineFiles, root: string, log: Op[]): void {
	const { node_ops: nodes, stream_ops: streams, realPath } = files;
	const of = (node: Node, name?: string) => {
		const path = realPath(node).slice(root.length + 1);
		return name === undefined ? path : join(path, name);
	};
	const before = { ...nodes, ...streams, setNode: nodes.setattr };
	nodes.mknod = (parent, name, mode, dev) => {
		log.push({ kind: 'make', path: of(parent, name), directory: isDirectory(mode) });
		return before.mknod(parent, name, mode, dev);
	};
	nodes.rename = (node, parent, name) => {
		log.push({ kind: 'rename', path: of(node), to: of(parent, name) });
		before.rename(node, parent, name);
	};
	nodes.unlink = (parent, name) => {
		log.push({ kind: 'remove', path: of(parent, name) });
		before.unlink(parent, name);
	};
	nodes.rmdir = (parent, name) => {
		log.push({ kind: 'remove', path: of(parent, name) });
		before.rmdir(parent, name);
	};
	nodes.setattr = (node, change) => {
		if (change.size !== undefined) log.push({ kind: 'cut', path: of(node), size: change.size });
		before.setNode(node, change);
	};
	streams.setattr = (stream, change) => {
		if (change.size !== undefined) log.push({ kind: 'cut', path: of(stream.node), size: change.size });
		before.setattr(stream, change);
	};
	streams.open = (stream) => {
		if (stream.flags & TRUNCATE) log.push({ kind: 'cut', path: of(stream.node), size: 0 });
		before.open(stream);
	};
	streams.write = (stream, buffer, offset, length, position) => {
		const bytes = Buffer.from(buffer.subarray(offset, offset + length));
		log.push({ kind: 'write', path: of(stream.node), at: position, bytes });
		return before.write(stream, buffer, offset, length, position);
	};
	const { fsync } = before;
	if (fsync)
		streams.fsync = (stream) => {
			system.asked.clear();
			const done = fsync(stream);
			if (system.asked.has(stream.nfd)) log.push({ kind: 'sync', path: of(stream.node) });
			return done;
		};
}

type Init = Awaited<ReturnType<NodeFS['init']>>;
const recorded = (Files: typeof NodeFS, path: string, log: Op[]): NodeFS =>
	new (class extends Files {
		override async init(engine: PGlite, options: Init['emscriptenOpts']): Promise<Init> {
			const { emscriptenOpts } = await super.init(engine, options);
			const stand: NonNullable<Init['emscriptenOpts']['preRun']>[number] = (module) => {
				const files: unknown = module.NODEFS;
				record(files as EngineFiles, path, log);
			};
			return { emscriptenOpts: { ...emscriptenOpts, preRun: [...(emscriptenOpts.preRun ?? []), stand] } };
		}
	})(path);

const HALF_PAGE = 4096;
const folderOf = (path: string): string => (dirname(path) === '.' ? '' : dirname(path));
type Change = Extract<Op, { kind: 'write' | 'cut' }>;

/** A file as the disk has it, and what is on its way there. */
class OnDisk {
	private pending: Change[] = [];
	constructor(private data: Buffer) {}
	change(op: Change): void {
		this.pending.push(op);
	}
	sync(): void {
		for (const op of this.pending) this.apply(op);
		this.pending = [];
	}
	private apply(op: Change): void {
		const size = op.kind === 'cut' ? op.size : Math.max(this.data.length, op.at + op.bytes.length);
		if (size < this.data.length) this.data = this.data.subarray(0, size);
		else if (size > this.data.length)
			this.data = Buffer.concat([this.data, Buffer.alloc(size - this.data.length)]);
		if (op.kind === 'write') op.bytes.copy(this.data, op.at);
	}
	/** What is there after the cut: any part of what was on its way. */
	after(chance: () => number): Buffer {
		const kept = new OnDisk(Buffer.from(this.data));
		for (const op of this.pending)
			if (op.kind === 'cut') {
				if (chance() < 0.5) kept.apply(op);
			} else
				for (let from = 0; from < op.bytes.length; from += HALF_PAGE)
					if (chance() < 0.5)
						kept.apply({ ...op, at: op.at + from, bytes: op.bytes.subarray(from, from + HALF_PAGE) });
		return kept.data;
	}
}

/** Builds in `to` what the disk may hold when the power goes after the first `count` operations on `base`. */
function afterCut(base: string, to: string, log: readonly Op[], count: number, chance: () => number): void {
	cpSync(base, to, { recursive: true });
	const files = new Map<string, OnDisk>();
	const names: {
		op: Extract<Op, { kind: 'make' | 'remove' | 'rename' }>;
		sure: boolean;
		file: OnDisk | undefined;
		/** What had the name that another file was given. */
		before?: OnDisk | undefined;
	}[] = [];
	const fileAt = (path: string): OnDisk => {
		const known = files.get(path);
		if (known) return known;
		const file = new OnDisk(existsSync(join(base, path)) ? readFileSync(join(base, path)) : Buffer.alloc(0));
		files.set(path, file);
		return file;
	};
	for (const op of log.slice(0, count))
		switch (op.kind) {
			case 'write':
			case 'cut':
				fileAt(op.path).change(op);
				break;
			case 'sync':
				files.get(op.path)?.sync();
				// A synced directory has its names for sure, a synced file the name that it was made with.
				for (const name of names)
					if (folderOf(name.op.path) === op.path || (name.op.kind === 'make' && name.op.path === op.path))
						name.sure = true;
				break;
			case 'make':
				names.push({ op, sure: false, file: undefined });
				if (!op.directory) files.set(op.path, new OnDisk(Buffer.alloc(0)));
				break;
			case 'remove':
				names.push({ op, sure: false, file: files.get(op.path) });
				files.delete(op.path);
				break;
			case 'rename': {
				const file = fileAt(op.path);
				names.push({ op, sure: false, file, before: files.get(op.to) });
				files.set(op.to, file);
				files.delete(op.path);
			}
		}
	/** Names that this cut left as they were before; what they hold stays under the old ones. */
	for (const { op, sure, file, before } of names) {
		const happens = sure || chance() < 0.5;
		const path = join(to, op.path);
		if (op.kind === 'make') {
			if (!happens) {
				files.delete(op.path);
				continue;
			}
			if (op.directory) mkdirSync(path, { recursive: true });
			else writeFileSync(path, '');
		} else if (op.kind === 'remove') {
			if (happens) rmSync(path, { recursive: true, force: true });
			else if (file) writeFileSync(path, file.after(chance));
		} else if (happens) {
			if (existsSync(path)) renameSync(path, join(to, op.to));
		} else if (file) {
			if (files.get(op.to) === file) {
				if (before) files.set(op.to, before);
				else files.delete(op.to);
			}
			writeFileSync(path, file.after(chance));
		}
	}
	for (const [path, file] of files)
		if (existsSync(dirname(join(to, path)))) writeFileSync(join(to, path), file.after(chance));
}

const root = ownFolder('power');
/** Moments at which the power goes. */
const CUTS = 40;

/** Check-ins on a recorded database. @returns what was acknowledged, with how much was in the log by then */
async function day(base: string, wanted: Wanted[], log: Op[], Files: typeof NodeFS, options: PGliteOptions) {
	const live = `${base}-live`;
	cpSync(base, live, { recursive: true });
	const path = join(live, 'pg');
	const engine = await PGlite.create({ fs: recorded(Files, path, log), parsers: READERS, ...options });
	const db = databaseOn(engine);
	const context = { db, clock: realClock, ids: randomIds };
	const acknowledged: { id: string; by: number }[] = [];
	let sent = 0;
	const worker = async () => {
		for (let next = wanted[sent++]; next; next = wanted[sent++]) {
			const token = await openLink(context, next.secret);
			const person = token && (await personOf(context, token));
			if (!person) throw new Error('nobody has this secret');
			await checkIn(context, person, { id: next.id, day: next.day, done: 'all' });
			acknowledged.push({ id: next.id, by: log.length });
			if (acknowledged.length % 40 === 0) await db.query('checkpoint');
			if (acknowledged.length % 60 === 0) await db.query('select pg_switch_wal()');
		}
	};
	await Promise.all([worker(), worker(), worker()]);
	return acknowledged;
}

/** What of the acknowledged is gone after a cut; null: the database does not even open. */
async function lostAfter(directory: string, ids: string[]): Promise<number | null> {
	let db: Database;
	try {
		db = await openPglite(directory);
	} catch {
		return null;
	}
	try {
		const rows = await db.query<{ id: string }>('select id from result where id = any($1)', [ids]);
		// Everything can be read: no page is torn.
		for (const table of ['enrolment', 'result', 'challenge', 'plan_day', 'session_version'])
			await db.query(`select * from ${table}`);
		return ids.length - rows.length;
	} catch {
		return null;
	} finally {
		await db.close().catch(() => undefined);
	}
}

describe('when the power goes', () => {
	it('every acknowledged check-in is still there, whatever reached the disk besides; without a sync that gets there it is not', async () => {
		const base = dataDirectory(join(root, 'base'));
		const db = await openPglite(base);
		const wanted = (await openDays(db)).slice(0, 100);
		await db.close();
		const chance = seededRandom('power');
		let trials = 0;
		const cuts = async (acknowledged: { id: string; by: number }[], log: Op[], times: number) => {
			const lost: (number | null)[] = [];
			for (let i = 0; i < times; i++) {
				const count = Math.floor(chance() * (log.length + 1));
				const to = join(root, `cut-${++trials}`);
				afterCut(join(base, 'pg'), join(to, 'pg'), log, count, chance);
				lost.push(
					await lostAfter(
						to,
						acknowledged.filter(({ by }) => by <= count).map(({ id }) => id)
					)
				);
				rmSync(to, { recursive: true });
			}
			return lost;
		};

		const log: Op[] = [];
		const Kept = class extends SyncedFiles {
			constructor(path: string) {
				super(path, { beforeWrite: () => undefined, logFull: () => undefined });
			}
		};
		const acknowledged = await day(base, wanted, log, Kept, synced(PGlite.defaultStartParams));
		expect(acknowledged).toHaveLength(100);
		expect(await cuts(acknowledged, log, CUTS)).toEqual(Array(CUTS).fill(0));

		rmSync(`${base}-live`, { recursive: true });
		// The same program whose syncs end before the system hears of them.
		const loose: Op[] = [];
		system.isDeaf = true;
		const hoped = await day(base, wanted, loose, Kept, synced(PGlite.defaultStartParams));
		system.isDeaf = false;
		expect(loose.some(({ kind }) => kind === 'sync')).toBe(false);
		// One cut may fall where nothing was under way: of several one loses something.
		let loses = false;
		for (let i = 0; i < CUTS && !loses; i++) loses = (await cuts(hoped, loose, 1))[0] !== 0;
		expect(loses).toBe(true);
	}, 600_000);
});

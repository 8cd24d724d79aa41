import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { PGlite } from '@electric-sql/pglite';
import { afterAll, describe, expect, it } from 'vitest';
import { SyncedFiles } from './disk';

const root = mkdtempSync(join(tmpdir(), 'cadrex-disk-'));
afterAll(() => rmSync(root, { recursive: true }));

/** The engine’s way to write, as the files stand in it. */
async function writer(watch: { beforeWrite: () => void; logFull: () => void }, write: () => number) {
	const { emscriptenOpts } = await new SyncedFiles(join(root, 'pg'), watch).init({} as PGlite, {});
	const module = { NODEFS: { stream_ops: { write } } };
	emscriptenOpts.preRun?.at(-1)?.(module as never);
	return module.NODEFS.stream_ops.write as (stream: { path: string }) => number;
}
const LOG = { path: '/pglite/data/pg_wal/000000010000000000000001' };
const TABLE = { path: '/pglite/data/base/5/1259' };

describe('files of the embedded database', () => {
	it('are not touched when somebody else has them', async () => {
		let written = 0;
		const beforeWrite = () => {
			throw new Error('not ours');
		};
		const write = await writer({ beforeWrite, logFull: () => undefined }, () => ++written);
		expect(() => write(TABLE)).toThrow('not ours');
		expect(written).toBe(0);
	});

	it('tell when the log finds no room, and only then', async () => {
		let [errno, told] = [51, 0];
		const fail = () => {
			throw Object.assign(new Error('FS error'), { name: 'ErrnoError', errno });
		};
		const write = await writer({ beforeWrite: () => undefined, logFull: () => told++ }, fail);
		expect(() => write(TABLE)).toThrow('FS error');
		expect(told).toBe(0);
		expect(() => write(LOG)).toThrow('FS error');
		expect(told).toBe(1);
		errno = 29;
		expect(() => write(LOG)).toThrow('FS error');
		expect(told).toBe(1);
	});
});

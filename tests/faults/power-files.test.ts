/** Files beside the database when the power goes: what is acknowledged was on the disk before, content and name. */
import { existsSync, mkdirSync, readlinkSync, writeFileSync } from 'node:fs';
import type * as NodeFiles from 'node:fs';
import type * as NodeFilesLater from 'node:fs/promises';
import type { FileHandle } from 'node:fs/promises';
import { join } from 'node:path';
import { afterAll, beforeEach, expect, it, vi } from 'vitest';
import { ownFolder } from '../support/directories';

/** What the system was asked for, in order: `sync <path>`, `name <path>`. */
const system = vi.hoisted(() => ({ log: [] as string[] }));
vi.mock('node:fs', async (original) => {
	const fs = await original<typeof NodeFiles>();
	const fsyncSync = (file: number) => {
		system.log.push(`sync ${fs.readlinkSync(`/proc/self/fd/${file}`)}`);
		fs.fsyncSync(file);
	};
	return { ...fs, default: { ...fs, fsyncSync }, fsyncSync };
});
vi.mock('node:fs/promises', async (original) => {
	const files = await original<typeof NodeFilesLater>();
	const open = async (...of: Parameters<typeof files.open>): Promise<FileHandle> => {
		const handle = await files.open(...of);
		const sync = handle.sync.bind(handle);
		handle.sync = async () => {
			await sync();
			system.log.push(`sync ${readlinkSync(`/proc/self/fd/${handle.fd}`)}`);
		};
		return handle;
	};
	const rename = async (from: string, to: string) => {
		await files.rename(from, to);
		system.log.push(`name ${to}`);
	};
	return { ...files, default: { ...files, open, rename }, open, rename };
});

// Files before this one have loaded these with what the system really has; files after it shall again.
vi.resetModules();
afterAll(() => vi.resetModules());
const { pack } = await import('$lib/server/edge/backup/archive');
const { filesIn } = await import('$lib/server/platform/files');
const { keepFile } = await import('$lib/server/platform/row-files');

const folder = ownFolder('power-files');
beforeEach(() => {
	system.log.length = 0;
});

/** Content is synced under another name, gets its own, and that is synced with its folder, in this order. */
function expectKept(directory: string, name: string): void {
	const path = join(directory, name);
	const [content, named, listed, ...more] = system.log;
	expect(content).toMatch(new RegExp(`^sync ${path.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}.*\\.part$`));
	expect([named, listed, more]).toEqual([`name ${path}`, `sync ${directory}`, []]);
}

it.each([
	['that is written', () => Promise.resolve(Buffer.from('content'))],
	[
		'that is copied from where it was sent',
		() => {
			const path = join(folder, 'sent');
			writeFileSync(path, 'content');
			return Promise.resolve({ path, size: 7, name: 'a.pdf' });
		}
	]
])('a file of a row %s is there before the row is', async (_, content) => {
	const store = { dataDirectory: join(folder, 'data'), diskReserve: 0 };
	const kind = { folder: 'documents', nameOf: ({ id }: { id: string }) => `${id}.pdf`, rows: '' };
	await keepFile(store, kind, { id: 'a1' }, await content(), () => {
		expectKept(join(folder, 'data', 'documents'), 'a1.pdf');
		return Promise.resolve();
	});
	expect(existsSync(join(folder, 'data', 'documents', 'a1.pdf'))).toBe(true);
});

it('a message in the outbox is there before it counts as sent', async () => {
	await filesIn(folder).write('outbox/a.eml', 'To: a@b.example');
	expectKept(join(folder, 'outbox'), 'a.eml');
});

it('a backup is there before it is told of', async () => {
	const from = join(folder, 'from');
	mkdirSync(from);
	writeFileSync(join(from, 'a'), 'x');
	const to = join(folder, 'backups');
	mkdirSync(to);
	await pack(from, join(to, 'b.tar.gz'), { database: 'pglite', version: '0', schema: 1, at: '2026-11-25' });
	expectKept(to, 'b.tar.gz');
});

/** Backups that somebody else has made: what is in them leads nowhere but into the directory that they are unpacked to. */
import { existsSync, lstatSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { Header } from 'tar';
import { describe, expect, it } from 'vitest';
import { BackupDamaged, unpack } from '$lib/server/edge/backup/archive';
import { ownFolder } from '../support/directories';

const folder = ownFolder('hostile-backup');
let count = 0;

interface Entry {
	path: string;
	type?: 'File' | 'SymbolicLink' | 'Link' | 'CharacterDevice' | 'BlockDevice' | 'FIFO' | 'Directory';
	linkpath?: string;
	content?: string;
	/** Bytes that its head promises; left out: as many as there are. */
	size?: number;
}
/** A tar file (POSIX.1-2017, pax, “ustar Interchange Format”), entry by entry as it is told. */
function tarOf(entries: readonly Entry[]): string {
	const blocks = entries.flatMap(({ path, type = 'File', linkpath, content = '', size }) => {
		const head = Buffer.alloc(512);
		new Header({ path, type, linkpath, size: size ?? Buffer.byteLength(content), mode: 0o644 }).encode(head);
		return [
			head,
			Buffer.concat([Buffer.from(content), Buffer.alloc((512 - (Buffer.byteLength(content) % 512)) % 512)])
		];
	});
	const file = join(folder, `${++count}.tar.gz`);
	writeFileSync(file, gzipSync(Buffer.concat([...blocks, Buffer.alloc(1024)])));
	return file;
}
const manifest = (files: Record<string, string>): Entry => ({
	path: 'manifest.json',
	content: JSON.stringify({
		kind: 'cadrex backup',
		database: 'pglite',
		version: '0.1.0',
		schema: 1,
		at: '2026-11-25T12:00:00Z',
		files: Object.entries(files).map(([path, content]) => ({
			path,
			bytes: Buffer.byteLength(content),
			sha256: createHash('sha256').update(content).digest('hex')
		}))
	})
});
/** A new place, with a folder beside it that is to stay as it is. */
function place() {
	const here = join(folder, `place-${++count}`);
	mkdirSync(join(here, 'beside'), { recursive: true });
	writeFileSync(join(here, 'beside', 'kept'), 'kept');
	return { here, to: join(here, 'to') };
}
const outside = (here: string) => readdirSync(here).filter((name) => !['beside', 'to'].includes(name));

describe('of a backup', () => {
	it('whose list is right everything is there', async () => {
		const { to } = place();
		await unpack(tarOf([manifest({ 'a/b.txt': 'x' }), { path: 'a/b.txt', content: 'x' }]), to);
		expect(existsSync(join(to, 'a', 'b.txt'))).toBe(true);
	});

	it.each<[string, Entry[]]>([
		['a path that leads up', [{ path: '../out.txt', content: 'x' }]],
		['a path that leads up from within', [{ path: 'a/../../out.txt', content: 'x' }]],
		['a path from the root', [{ path: join(folder, 'rooted.txt'), content: 'x' }]],
		[
			'a link that leads out, and a file behind it',
			[
				{ path: 'way', type: 'SymbolicLink', linkpath: '..' },
				{ path: 'way/out.txt', content: 'x' }
			]
		],
		['a hard link to a file beside', [{ path: 'in.txt', type: 'Link', linkpath: '../beside/kept' }]],
		[
			'a link to a file beside, which is then written',
			[
				{ path: 'in.txt', type: 'SymbolicLink', linkpath: '../beside/kept' },
				{ path: 'in.txt', content: 'changed' }
			]
		],
		['a device', [{ path: 'zero', type: 'CharacterDevice' }]],
		['a disk', [{ path: 'disk', type: 'BlockDevice' }]],
		['a pipe', [{ path: 'pipe', type: 'FIFO' }]]
	])('%s is refused or left out, and nothing is written elsewhere', async (_, entries) => {
		const { here, to } = place();
		await unpack(tarOf([manifest({}), ...entries]), to).catch((error: unknown) => {
			expect(error).toBeInstanceOf(BackupDamaged);
		});
		expect(outside(here)).toEqual([]);
		expect(existsSync(join(folder, 'rooted.txt'))).toBe(false);
		expect(readdirSync(join(here, 'beside'))).toEqual(['kept']);
		expect(lstatSync(join(here, 'beside', 'kept')).size).toBe(4);
		const odd = readdirSync(to, { withFileTypes: true, recursive: true }).filter(
			(entry) => !entry.isFile() && !entry.isDirectory()
		);
		expect(odd).toEqual([]);
	});

	it.each<[string, Entry[], RegExp]>([
		[
			'a file twice, the second time another',
			[manifest({ 'a.txt': 'x' }), { path: 'a.txt', content: 'x' }, { path: 'a.txt', content: 'y' }],
			/not what was written/
		],
		['a second list', [manifest({}), manifest({ 'a.txt': 'x' })], /missing/],
		['a file that is not in the list', [manifest({}), { path: 'more.txt', content: 'x' }], /not in its list/],
		[
			'a head that promises more than there is',
			[manifest({}), { path: 'a.txt', content: 'x', size: 10_000_000 }],
			/whole/
		]
	])('%s is found', async (_, entries, message) => {
		await expect(unpack(tarOf(entries), place().to)).rejects.toThrow(message);
	});

	it('no more is unpacked than there is room for', async () => {
		const zeros = '\0'.repeat(2_000_000);
		const file = tarOf([
			manifest({ a: zeros, b: zeros }),
			{ path: 'a', content: zeros },
			{ path: 'b', content: zeros }
		]);
		const { to } = place();
		await expect(unpack(file, to, () => 3_000_000)).rejects.toThrow(/more than there is room for/);
		expect(existsSync(join(to, 'b'))).toBe(false);
	});
});

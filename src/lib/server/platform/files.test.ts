import { mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { filesIn, type Files } from './files';

let directory: string;
let files: Files;
beforeEach(() => {
	directory = mkdtempSync(join(tmpdir(), 'cadrex-files-'));
	files = filesIn(directory);
});
afterEach(() => rmSync(directory, { recursive: true, force: true }));

describe('files in the data directory', () => {
	it('are read as they were written, for this user alone, with nothing left beside them', async () => {
		await files.write('notes/2026/a.pdf', new Uint8Array([1, 2, 255]));
		await files.write('notes/2026/a.pdf', 'again');
		expect((await files.read('notes/2026/a.pdf'))?.toString()).toBe('again');
		expect(readdirSync(join(directory, 'notes/2026'))).toEqual(['a.pdf']);
		expect(statSync(join(directory, 'notes/2026/a.pdf')).mode & 0o077).toBe(0);
	});

	it('that are not there are none, and may be removed', async () => {
		expect(await files.read('a.pdf')).toBeNull();
		await files.remove('a.pdf');
		await files.write('a.pdf', 'x');
		await files.remove('a.pdf');
		expect(await files.read('a.pdf')).toBeNull();
	});

	it.each([
		'',
		'..',
		'../a',
		'a/../../b',
		'/etc/passwd',
		'a//b',
		'.hidden',
		'a/.b',
		'a\\b',
		'a\0b',
		'a b',
		'a/'
	])('never lie elsewhere: %j', async (name) => {
		await expect(files.write(name, 'x')).rejects.toThrow(RangeError);
		await expect(files.read(name)).rejects.toThrow(RangeError);
		await expect(files.remove(name)).rejects.toThrow(RangeError);
		expect(readdirSync(directory)).toEqual([]);
	});

	it('keep what they were when they cannot be written, and say so', async () => {
		await files.write('kept/a', 'before');
		mkdirSync(join(directory, 'kept', 'b'));
		await expect(files.write('kept/b', 'x')).rejects.toThrow(/EISDIR|ENOTEMPTY|EEXIST/);
		expect(readdirSync(join(directory, 'kept')).sort()).toEqual(['a', 'b']);
		writeFileSync(join(directory, 'file'), 'no directory');
		await expect(files.write('file/a', 'x')).rejects.toThrow(/ENOTDIR|EEXIST/);
		await expect(files.read('kept/b')).rejects.toThrow(/EISDIR/);
		expect((await files.read('kept/a'))?.toString()).toBe('before');
	});
});

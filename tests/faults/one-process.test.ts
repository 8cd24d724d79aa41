import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { openPglite } from '$lib/server/db/pglite';
import { startServer } from '../support/server';

const directory = mkdtempSync(join(tmpdir(), 'cadrex-lock-'));
afterAll(() => rmSync(directory, { recursive: true, force: true }));

describe('a data directory', () => {
	it('belongs to one process; a second is told who has it, and harms nothing', async () => {
		const first = await startServer({ CADREX_DATA: directory });
		await expect(startServer({ CADREX_DATA: directory })).rejects.toThrow(
			new RegExp(`ended with 1: The data directory .* is in use by process ${first.process.pid} on`)
		);
		await expect(openPglite(directory)).rejects.toMatchObject({ name: 'DirectoryInUse' });
		expect((await fetch(`${first.url}/healthz`)).status).toBe(200);
		await first.stop();
	}, 60_000);

	it('is free as soon as its process has ended in order', async () => {
		const began = Date.now();
		const db = await openPglite(directory);
		expect(Date.now() - began).toBeLessThan(5000);
		await db.close();
	}, 60_000);

	it('that cannot be written is refused in words', async () => {
		const file = join(directory, 'a-file');
		writeFileSync(file, 'no directory');
		await expect(openPglite(join(file, 'below'))).rejects.toThrow(/ENOTDIR|EEXIST/);
	});

	it('that holds something else is not taken for a database', async () => {
		const other = join(directory, 'other');
		mkdirSync(join(other, 'pg'), { recursive: true });
		writeFileSync(join(other, 'pg', 'PG_VERSION'), '3');
		await expect(openPglite(other)).rejects.toThrow();
	}, 60_000);
});

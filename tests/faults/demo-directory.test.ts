import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { openPglite } from '$lib/server/platform/db/pglite';
import { realClock } from '$lib/server/platform/clock';
import { randomIds } from '$lib/server/platform/ids';
import { makeCoach } from '../support/context';
import { dataDirectory, ownFolder } from '../support/directories';
import { startServer } from '../support/server';

const root = ownFolder('demo');

/** `npm run demo` until it ends by itself. */
const demo = (directory: string) =>
	spawnSync(process.execPath, [join(process.cwd(), 'scripts', 'demo.mjs')], {
		encoding: 'utf8',
		timeout: 150_000,
		env: { ...process.env, CADREX_DATA: directory, PORT: '0', TEST_DATABASE_URL: '' }
	});

describe('the demo', () => {
	it('leaves a directory alone that it did not make', () => {
		const directory = mkdtempSync(join(root, 'photographs-'));
		writeFileSync(join(directory, 'summer.txt'), 'dear to somebody');
		const { status, stderr } = demo(directory);
		expect(status).toBe(1);
		expect(stderr).toContain(
			`The directory ${directory} was not made by the demo, so the demo leaves it alone.`
		);
		expect(readdirSync(directory)).toEqual(['summer.txt']);
		expect(readFileSync(join(directory, 'summer.txt'), 'utf8')).toBe('dear to somebody');
	}, 180_000);

	it('is not switched on over real data', async () => {
		const directory = dataDirectory(join(root, 'real'));
		let db = await openPglite(directory);
		await makeCoach({ db, clock: realClock, ids: randomIds });
		await db.close();

		expect(demo(directory).status).toBe(1);
		await expect(startServer({ CADREX_DATA: directory, CADREX_DEMO: '1' })).rejects.toThrow(
			/^ended with 1: [^]*CADREX_DEMO is on, but the database holds data that the demo did not write; nothing was changed\./
		);

		db = await openPglite(directory);
		expect(await db.query('select name from coach')).toEqual([{ name: 'Runa' }]);
		expect(await db.query('select 1 from challenge')).toEqual([]);
		await db.close();
	}, 180_000);
});

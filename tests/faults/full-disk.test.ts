/** A disk that another program fills to its last byte, in the midst of check-ins. */
import { spawnSync } from 'node:child_process';
import { closeSync, mkdirSync, openSync, rmSync, statfsSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { openPglite } from '$lib/server/platform/db/pglite';
import { dataDirectory, ownFolder } from '../support/directories';
import { startServer } from '../support/server';
import { openDays, Senders } from '../support/shelf';

const disk = join(ownFolder('full'), 'disk');
mkdirSync(disk);
/** A small disk takes a mount, which not everybody may; elsewhere the tests of a disk that is nearly full stand alone. */
const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=300m', 'tmpfs', disk]).status === 0;
afterAll(() => {
	if (mounted) spawnSync('umount', ['--lazy', disk]);
});

const filler = join(disk, 'filler');
/** Writes until not a byte is left. */
function fill(): void {
	const file = openSync(filler, 'w');
	try {
		for (let size = 4 * 1024 * 1024; size >= 1;) {
			try {
				if (writeSync(file, Buffer.alloc(size)) === 0) size = Math.floor(size / 2);
			} catch {
				size = Math.floor(size / 2);
			}
		}
	} finally {
		closeSync(file);
	}
}

describe.runIf(mounted)('a disk without a byte left', () => {
	it('loses nothing that was acknowledged, refuses the rest in words, and recovers by itself', async () => {
		const directory = dataDirectory(join(disk, 'data'));
		const db = await openPglite(directory);
		const wanted = await openDays(db);
		await db.close();
		const server = await startServer({
			CADREX_DATA: directory,
			CADREX_BACKUPS: '0',
			CADREX_DISK_RESERVE: '16'
		});
		const senders = new Senders();
		// Everybody is signed in before: that is a write as well.
		for (const one of wanted.filter(({ day }) => day === 1)) await senders.has(server, one);
		const acknowledged: typeof wanted = [];
		const refused: string[] = [];
		const queue = [...wanted];
		const worker = async () => {
			for (
				let next = queue.shift();
				next && acknowledged.length + refused.length < 200;
				next = queue.shift()
			) {
				try {
					await senders.send(server, next);
					acknowledged.push(next);
				} catch (error) {
					refused.push((error as Error).message);
				}
				if (acknowledged.length === 60) fill();
			}
		};
		await Promise.all([1, 2, 3, 4].map(worker));
		const { bavail } = statfsSync(disk);
		expect([bavail, acknowledged.length >= 60, refused.length > 50]).toEqual([0, true, true]);
		for (const message of refused) expect(message).toMatch(/^503 .*disk is full/);
		const health: unknown = await (await fetch(`${server.url}/healthz`)).json();
		expect(health).toMatchObject({ ok: true, degraded: expect.stringContaining('disk is full') as string });

		rmSync(filler);
		const [later] = wanted.filter((one) => !acknowledged.includes(one));
		await expect
			.poll(
				() =>
					senders.send(server, later!).then(
						() => 'taken',
						() => 'refused'
					),
				{ timeout: 10_000 }
			)
			.toBe('taken');
		for (const one of [...acknowledged, later!]) expect(await senders.has(server, one)).toBe(true);
		await server.stop();
		const again = await startServer({ CADREX_DATA: directory, CADREX_BACKUPS: '0' });
		for (const one of [...acknowledged, later!]) expect(await senders.has(again, one)).toBe(true);
		await again.stop();
	}, 300_000);
});

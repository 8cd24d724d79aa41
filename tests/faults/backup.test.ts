import {
	cpSync,
	existsSync,
	mkdirSync,
	mkdtempSync,
	readdirSync,
	readFileSync,
	rmSync,
	writeFileSync
} from 'node:fs';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { create, extract } from 'tar';
import { beforeAll, describe, expect, it } from 'vitest';
import { backUp, backupsIn, restore } from '$lib/server/edge/backup/backup';
import { filesIn } from '$lib/server/platform/files';
import type { Manifest } from '$lib/server/edge/backup/archive';
import { NEWEST } from '$lib/server/platform/db/migrate';
import { openPglite } from '$lib/server/platform/db/pglite';
import { readSetting, writeSetting } from '$lib/server/platform/settings';
import { FILE_KINDS } from '$lib/server/edge/upkeep/kept-files';
import { admin } from '../support/admin';
import { dataDirectory, ownFolder } from '../support/directories';
import { startServer } from '../support/server';
import { openDays, Senders } from '../support/shelf';

const folder = ownFolder('backup');
const where = (dataDirectory: string, kept = 7) => ({
	dataDirectory,
	databaseUrl: null,
	backups: { directory: join(dataDirectory, 'backups'), kept }
});
const empty = () => mkdtempSync(join(folder, 'empty-'));

describe('a backup of the embedded database', () => {
	it('is written while check-ins come in, holds all that was acknowledged before it, and restores by one command', async () => {
		const directory = dataDirectory(join(folder, 'busy'));
		const db = await openPglite(directory);
		const wanted = await openDays(db);
		await db.close();
		const server = await startServer({ CADREX_DATA: directory });
		const senders = new Senders();
		const before = wanted.slice(0, 60);
		for (const one of before) await senders.send(server, one);
		// Others go on being sent all through it.
		let stop = false;
		const sending = (async () => {
			for (const one of wanted.slice(60)) {
				if (stop) break;
				await senders.send(server, one);
			}
		})();
		await setTimeout(200);
		const made = await admin(directory, ['backup']);
		stop = true;
		await sending;
		await server.stop();
		expect([made.status, made.stderr]).toEqual([0, '']);
		const file = /^(\S+\.tar\.gz), [\d.]+ MB$/m.exec(made.stdout)?.[1] ?? '';
		expect(existsSync(file)).toBe(true);
		expect(existsSync(join(directory, 'control.json'))).toBe(false);

		const back = empty();
		const restored = await admin(back, ['restore', file]);
		expect([restored.status, restored.stdout]).toEqual([
			0,
			expect.stringMatching(new RegExp(`^Restored what was backed up on .* \\(schema ${NEWEST}\\)`)) as string
		]);
		const again = await openPglite(back);
		const rows = await again.query<{ id: string }>('select id from result');
		const kept = new Set(rows.map(({ id }) => id));
		expect(before.filter(({ id }) => !kept.has(id))).toEqual([]);
		for (const table of ['enrolment', 'result', 'result_set', 'challenge', 'plan_day', 'session_version'])
			await again.query(`select * from ${table}`);
		await again.close();
	}, 180_000);

	it('is whole when the process stood still in the midst of it', async () => {
		const directory = dataDirectory(join(folder, 'stopped'));
		const db = await openPglite(directory);
		await openDays(db);
		await db.close();
		const server = await startServer({ CADREX_DATA: directory });
		const making = admin(directory, ['backup']);
		for (const after of [30, 150, 400]) {
			await setTimeout(after);
			server.process.kill('SIGSTOP');
			await setTimeout(500);
			server.process.kill('SIGCONT');
		}
		const made = await making;
		await server.stop();
		expect([made.status, made.stderr]).toEqual([0, '']);
		const file = /^(\S+\.tar\.gz), [\d.]+ MB$/m.exec(made.stdout)?.[1] ?? '';
		const to = empty();
		expect((await admin(to, ['restore', file])).status).toBe(0);
		const restored = await openPglite(to);
		const [{ n } = { n: 0 }] = await restored.query<{ n: number }>(
			'select count(*)::int as n from enrolment'
		);
		expect(n).toBeGreaterThan(0);
		await restored.close();
	}, 120_000);

	it('is refused to whoever does not know the token', async () => {
		const directory = dataDirectory(join(folder, 'guarded'));
		const server = await startServer({ CADREX_DATA: directory });
		const ask = async (headers: Record<string, string>) =>
			(await fetch(`${server.url}/api/operator/backup`, { method: 'POST', headers })).status;
		expect([await ask({}), await ask({ authorization: 'Bearer guess' })]).toEqual([404, 404]);
		expect(existsSync(join(directory, 'backups'))).toBe(false);
		await server.stop();
	}, 60_000);
});

describe('a restore', () => {
	let file: string;
	const unpacked = join(folder, 'unpacked');
	beforeAll(async () => {
		const directory = dataDirectory(join(folder, 'sound'));
		const db = await openPglite(directory);
		await writeSetting(db, 'kept', 'this');
		await filesIn(join(directory, 'documents')).write('letter.pdf', '%PDF-1.7 yes');
		await backUp(db, where(directory), FILE_KINDS, Date.parse('2026-11-26T02:41:00Z'));
		await db.close();
		file = join(directory, 'backups', 'cadrex-2026-11-26T02-41-00Z.tar.gz');
		mkdirSync(unpacked);
		await extract({ file, cwd: unpacked });
	}, 60_000);
	const into = (from: string, directory = empty()) => restore(from, where(directory), FILE_KINDS);

	it('brings back what was there', async () => {
		const back = empty();
		await into(file, back);
		expect(readdirSync(back).sort()).toEqual(['database.json', 'documents', 'pg']);
		// Documents of people belong to it.
		expect(String(await filesIn(join(back, 'documents')).read('letter.pdf'))).toBe('%PDF-1.7 yes');
		const db = await openPglite(back);
		expect(await readSetting(db, 'kept')).toBe('this');
		await db.close();
	}, 60_000);

	it('takes the place of nothing', async () => {
		const taken = dataDirectory(join(folder, 'taken'));
		const before = readdirSync(join(taken, 'pg'));
		await expect(into(file, taken)).rejects.toMatchObject({
			name: 'CannotStart',
			message: expect.stringContaining('has a database. Move it away first') as string
		});
		expect(readdirSync(join(taken, 'pg'))).toEqual(before);
		await expect(into(join(folder, 'none.tar.gz'))).rejects.toThrow(/There is no file/);
	}, 60_000);

	/** The backup with its files changed, and put together again. */
	async function changed(change: (files: string) => void): Promise<string> {
		const files = mkdtempSync(join(folder, 'files-'));
		cpSync(unpacked, files, { recursive: true });
		change(files);
		const made = `${files}.tar`;
		await create({ file: made, cwd: files }, readdirSync(files));
		rmSync(files, { recursive: true });
		return made;
	}
	const inManifest = (change: (manifest: Manifest) => void) => (files: string) => {
		const path = join(files, 'manifest.json');
		const manifest = JSON.parse(readFileSync(path, 'utf8')) as Manifest;
		change(manifest);
		writeFileSync(path, JSON.stringify(manifest));
	};

	it.each<[string, (files: string) => void, RegExp]>([
		['a file less', (files) => rmSync(join(files, 'pg', 'PG_VERSION')), /pg\/PG_VERSION is missing/],
		[
			'a file changed',
			(files) => writeFileSync(join(files, 'pg', 'PG_VERSION'), '18 \n'),
			/pg\/PG_VERSION is not what was written/
		],
		['a file more', (files) => writeFileSync(join(files, 'pg', 'more'), ''), /pg\/more is not in its list/],
		['no list', (files) => rmSync(join(files, 'manifest.json')), /no list of its files/],
		[
			'a list that is none',
			(files) => writeFileSync(join(files, 'manifest.json'), '{'),
			/list of its files cannot be read/
		],
		[
			'a newer schema',
			inManifest((manifest) => (manifest.schema = NEWEST + 1)),
			/Restore it with a newer program/
		],
		[
			'another database',
			inManifest((manifest) => (manifest.database = 'postgres')),
			/give its address with DATABASE_URL/
		],
		[
			// Of one that was cut off while it was copied there is no end in the log.
			'the end of its log less',
			(files) => {
				const log = join(files, 'pg', 'pg_wal');
				const names = readdirSync(log)
					.filter((name) => /^[0-9A-F]{24}$/.test(name))
					.sort();
				const cut = Buffer.alloc(16 << 20);
				for (const name of names) writeFileSync(join(log, name), cut);
				inManifest((manifest) => {
					for (const one of manifest.files)
						if (/pg_wal\/[0-9A-F]{24}$/.test(one.path))
							one.sha256 = '080acf35a507ac9849cfcba47dc2ad83e01b75663a516279c8b9d243b719643e';
				})(files);
			},
			/can’t be restored/
		]
	])(
		'refuses a backup with %s, and leaves nothing behind',
		async (_, change, says) => {
			const back = empty();
			await expect(into(await changed(change), back)).rejects.toThrow(says);
			expect(readdirSync(back)).toEqual([]);
		},
		60_000
	);

	it('refuses one that ends before its end, at whatever place', async () => {
		const whole = readFileSync(file);
		for (const share of [0, 0.01, 0.5, 0.99]) {
			const torn = join(folder, 'torn.tar.gz');
			writeFileSync(torn, whole.subarray(0, Math.floor(whole.length * share)));
			const back = empty();
			await expect(into(torn, back)).rejects.toMatchObject({ name: 'BackupDamaged' });
			expect(readdirSync(back)).toEqual([]);
		}
	}, 60_000);
});

describe('backups', () => {
	it('are kept by number, the newest first, and other files are left alone', async () => {
		const directory = dataDirectory(join(folder, 'many'));
		const db = await openPglite(directory);
		mkdirSync(join(directory, 'backups'));
		cpSync(import.meta.filename, join(directory, 'backups', 'of-my-own.tar.gz'));
		for (const day of [1, 2])
			writeFileSync(
				join(directory, 'backups', `cadrex-2026-11-0${day}T02-41-00Z.tar.gz`),
				'of an earlier day'
			);
		await backUp(db, where(directory, 2), FILE_KINDS, Date.parse('2026-11-03T02:41:00Z'));
		await db.close();
		expect((await backupsIn(join(directory, 'backups'))).map(({ at }) => new Date(at).toISOString())).toEqual(
			['2026-11-03T02:41:00.000Z', '2026-11-02T02:41:00.000Z']
		);
		expect(readdirSync(join(directory, 'backups')).sort()).toEqual([
			'cadrex-2026-11-02T02-41-00Z.tar.gz',
			'cadrex-2026-11-03T02-41-00Z.tar.gz',
			'of-my-own.tar.gz'
		]);
	}, 60_000);
});

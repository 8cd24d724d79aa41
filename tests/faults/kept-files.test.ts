/** Papers, photographs and clips against the rows that speak of them. */
import { DAY_MS } from '$core/calendar';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { openPglite } from '$lib/server/platform/db/pglite';
import type { Database } from '$lib/server/platform/db/database';
import { addDocument } from '$lib/server/people/health/documents';
import { sendFormCheck } from '$lib/server/contact/messages/form-checks';
import { backUp, restore } from '$lib/server/edge/backup/backup';
import { FILE_KINDS, sweepFiles, sweepJob } from '$lib/server/edge/upkeep/kept-files';
import { ownPersonOf } from '../support/context';
import { ownFolder } from '../support/directories';
import { CLIP, contentsOf, keeperIn, PAPER, storeIn, type Keeper } from '../support/kept-files';
import { sent } from '../support/sent';

const folder = ownFolder('kept-files');
const directory = mkdtempSync(join(folder, 'data-'));
let db: Database;
let keeper: Keeper;
beforeAll(async () => {
	db = await openPglite(directory);
	keeper = await keeperIn(db, storeIn(directory));
	return () => db.close();
}, 60_000);
const config = storeIn(directory);
const where = (dataDirectory: string) => ({
	dataDirectory,
	databaseUrl: null,
	backups: { directory: join(folder, 'backups'), kept: 3 }
});

/** A file that no row speaks of, last written so long ago. */
function leftOver(path: string, age: number): string {
	const whole = join(directory, path);
	mkdirSync(dirname(whole), { recursive: true });
	writeFileSync(whole, 'left');
	const then = new Date(Date.now() - age);
	utimesSync(whole, then, then);
	return path;
}

describe('a backup', () => {
	it('holds every file that a row speaks of, and tells what is missing and what is of nobody', async () => {
		leftOver('pictures/of-nobody.jpg', DAY_MS);
		leftOver('form/cut-off.mp4.1234.part', DAY_MS);
		const made = await backUp(db, where(directory), FILE_KINDS, Date.parse('2026-11-26T02:41:00Z'));
		const file = join(folder, 'backups', made.name);
		const back = mkdtempSync(join(folder, 'back-'));
		const { compared } = await restore(file, where(back), FILE_KINDS);
		expect(contentsOf(back, keeper)).toEqual(contentsOf(directory, keeper));
		expect(compared).toEqual({ whole: 3, missing: [], unspoken: ['pictures/of-nobody.jpg'] });
		expect(existsSync(join(back, 'form/cut-off.mp4.1234.part'))).toBe(false);

		// Of a backup whose clip is gone the row is still there, and is named.
		rmSync(join(directory, keeper.paths.clip));
		const less = await backUp(db, where(directory), FILE_KINDS, Date.parse('2026-11-27T02:41:00Z'));
		const again = mkdtempSync(join(folder, 'again-'));
		const second = await restore(join(folder, 'backups', less.name), where(again), FILE_KINDS);
		expect(second.compared.missing).toEqual([keeper.paths.clip]);
		writeFileSync(join(directory, keeper.paths.clip), CLIP);
	}, 120_000);
});

describe('the sweep', () => {
	it('removes what is of nobody after a day, and nothing that is being sent', async () => {
		const old = [
			leftOver('documents/old.pdf', 2 * DAY_MS),
			leftOver('form/old.mov', 2 * DAY_MS),
			leftOver('form/half.mp4.99.part', 2 * DAY_MS)
		];
		const fresh = leftOver('pictures/fresh.jpg', DAY_MS / 2);
		const swept = await sweepFiles({ db, config });
		expect(swept.unspoken.filter((path) => old.includes(path)).sort()).toEqual([...old].sort());
		expect(old.some((path) => existsSync(join(directory, path)))).toBe(false);
		expect(existsSync(join(directory, fresh))).toBe(true);
		expect(contentsOf(directory, keeper)).toHaveLength(3);
		expect(swept).toMatchObject({ whole: 3, missing: [] });
	});

	it('reports rows without their file, by name', async () => {
		rmSync(join(directory, keeper.paths.document));
		const said: unknown[] = [];
		const log = { info: () => undefined, error: (what: unknown) => said.push(what) };
		await sweepJob({ db, config, log }).run({});
		expect(said).toEqual([{ files: [keeper.paths.document] }]);
		writeFileSync(join(directory, keeper.paths.document), PAPER);
	});

	it('finds the clips of somebody whose rows are gone', async () => {
		const [, second] = keeper.world.people;
		if (!second) throw new Error('one person alone');
		await sent(CLIP, (file) => sendFormCheck(keeper.context, second, { exercise: 'Plank', note: '' }, file));
		const before = new Set(readdirSync(join(directory, 'form')));
		await db.query('delete from form_check where enrolment_id = $1', [second.enrolmentId]);
		const swept = await sweepFiles({ db, config }, Date.now() + 2 * DAY_MS);
		expect(swept.unspoken.some((path) => path.startsWith('form/'))).toBe(true);
		expect(readdirSync(join(directory, 'form')).length).toBe(before.size - 1);
	});
});

describe('an upload', () => {
	it('leaves no file when its row is refused', async () => {
		const [person] = keeper.world.people;
		const files = () => readdirSync(join(directory, 'form')).length;
		const before = files();
		const refusing: Database = {
			...db,
			query: (text, values) =>
				/insert into form_check/.test(text) ? Promise.reject(new Error('no row')) : db.query(text, values)
		};
		await expect(
			sent(CLIP, (file) =>
				sendFormCheck({ ...keeper.context, db: refusing }, person!, { exercise: 'Squat', note: '' }, file)
			)
		).rejects.toThrow('no row');
		expect(files()).toBe(before);
	});

	it('is refused before anything is written when it would use up what stays free', async () => {
		const [person] = keeper.world.people;
		const full = { ...keeper.context, config: { ...config, diskReserve: Number.MAX_SAFE_INTEGER } };
		const own = await ownPersonOf(full, keeper.world, person!.enrolmentId);
		const before = readdirSync(join(directory, 'documents')).length;
		for (const tried of [
			sent(CLIP, (file) => sendFormCheck(full, person!, { exercise: 'Squat', note: '' }, file)),
			sent(PAPER, (file) => addDocument(full, own, file))
		])
			await expect(tried).rejects.toMatchObject({ name: 'DiskFull', status: 503 });
		expect(readdirSync(join(directory, 'documents')).length).toBe(before);
	});
});

/** The process is killed while photographs and clips come in: whatever was acknowledged is there, and nothing of the rest stays. */
import { DAY_MS } from '$core/calendar';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { expect, it } from 'vitest';
import { seededRandom } from '$core/stats';
import { openPglite } from '$lib/server/platform/db/pglite';
import { SENT } from '$lib/server/platform/sent-file';
import { compareFiles } from '$lib/server/platform/row-files';
import { FILE_KINDS, sweepFiles } from '$lib/server/edge/upkeep/kept-files';
import { clip } from '../support/clips';
import { smallPicture } from '../support/kept-files';
import { cookieOf } from '../support/server';
import { serveWorld } from '../support/served';

const KILLS = 5;

it(`of uploads through ${KILLS} killed processes none that was acknowledged is lost, and no file stays without a row`, async () => {
	const served = await serveWorld('kill-uploads');
	const { secrets } = served.world;
	const picture = new Uint8Array(await smallPicture());
	const film = new Uint8Array(clip('isom', 300_000));
	const chance = seededRandom('kill-uploads');
	let acknowledged = 0;
	let cookies = await Promise.all(secrets.map((secret) => cookieOf(served.server.url, secret)));
	const send = async (cookie: string, what: 'photos' | 'form'): Promise<boolean> => {
		const form = new FormData();
		if (what === 'photos') {
			form.set('view', 'front');
			form.set('on', '2026-11-24');
			form.set('file', new File([picture], 'me.jpg'));
		} else {
			form.set('exercise', 'Squat');
			form.set('file', new File([film], 'squat.mp4'));
		}
		const answer = await served.post(`/me/${what}?/${what === 'photos' ? 'add' : 'send'}`, form, cookie, '');
		await answer.text();
		// Of clips no more than five wait for an answer: a refusal is an answer too, and keeps nothing.
		return answer.status === 200;
	};

	for (let kill = 0; kill < KILLS; kill++) {
		let dead = false;
		const senders = cookies.map(async (cookie, i) => {
			while (!dead)
				try {
					if (await send(cookie, (i + kill) % 2 === 0 ? 'photos' : 'form')) acknowledged++;
				} catch {
					return;
				}
		});
		// The first answers of a process take long: it is killed in the midst of the later ones.
		const before = acknowledged;
		while (acknowledged < before + 4) await wait(20);
		await wait(chance() * 300);
		await served.server.kill();
		dead = true;
		await Promise.all(senders);
		await served.restartAt('2026-11-25T12:00:00Z');
		cookies = await Promise.all(secrets.map((secret) => cookieOf(served.server.url, secret)));
		expect(existsSync(join(served.directory, SENT)), 'what was on its way is gone at the start').toBe(false);
	}
	await served.server.stop();
	expect(acknowledged).toBeGreaterThan(10);

	const db = await openPglite(served.directory);
	const config = { dataDirectory: served.directory };
	const before = await compareFiles(db, served.directory, FILE_KINDS);
	expect(before.missing).toEqual([]);
	expect(before.whole).toBeGreaterThanOrEqual(acknowledged);
	await sweepFiles({ db, config }, Date.now() + 2 * DAY_MS);
	const after = await compareFiles(db, served.directory, FILE_KINDS);
	expect(after).toEqual({ missing: [], unspoken: [], whole: before.whole });
	const rows = await db.query<{ bytes: number }>(
		'select bytes from picture union all select bytes from form_check'
	);
	expect(rows).toHaveLength(after.whole);
	expect(['pictures', 'form'].flatMap((name) => readdirSync(join(served.directory, name)))).toHaveLength(
		after.whole
	);
	await db.close();
}, 300_000);

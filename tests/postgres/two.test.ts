import { DAY_MS } from '$core/calendar';
import { mkdtempSync, readdirSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { afterAll, expect, it } from 'vitest';
import pg from 'pg';
import { migrate } from '$lib/server/platform/db/migrate';
import { openPostgres } from '$lib/server/platform/db/postgres';
import { SENT } from '$lib/server/platform/sent-file';
import { sweepFiles } from '$lib/server/edge/upkeep/kept-files';
import { contextOn, makeWorld } from '../support/context';
import { smallPicture } from '../support/kept-files';
import { cookieOf, startServer, type RunningServer } from '../support/server';

const running: RunningServer[] = [];
afterAll(() => Promise.all(running.map((one) => one.kill())));

/** Begins to send a photograph and stops half-way; the connection stays open. */
function half(url: string, cookie: string, picture: Buffer): void {
	const head =
		'--x\r\ncontent-disposition: form-data; name="view"\r\n\r\nfront\r\n--x\r\ncontent-disposition: form-data; name="on"\r\n\r\n2026-11-24\r\n' +
		'--x\r\ncontent-disposition: form-data; name="file"; filename="me.jpg"\r\ncontent-type: image/jpeg\r\n\r\n';
	const asked = request(`${url}/me/photos?/add`, {
		method: 'POST',
		headers: {
			cookie,
			origin: url,
			'content-type': 'multipart/form-data; boundary=x',
			'content-length': Buffer.byteLength(head) + picture.length + 7
		}
	});
	// It is killed on the way.
	asked.on('error', () => undefined);
	asked.write(head);
	asked.write(picture.subarray(0, picture.length >> 1));
}

it('of two processes on one database one is killed during an upload: the other goes on, and nothing stays of it', async () => {
	const server = new URL(process.env.TEST_DATABASE_URL ?? '');
	const admin = new pg.Client({ connectionString: server.href });
	await admin.connect();
	const name = `cadrex_two_${process.pid}`;
	await admin.query(`create database ${name}`);
	await admin.end();
	server.pathname = `/${name}`;
	const db = openPostgres(server.href);
	await migrate(db);
	const world = await makeWorld(contextOn(db));

	const directory = mkdtempSync(join(tmpdir(), 'cadrex-two-'));
	const env = {
		DATABASE_URL: server.href,
		CADREX_DATA: directory,
		CADREX_FIXED_NOW: '2026-11-25T12:00:00Z'
	};
	const [first, second] = [await startServer(env), await startServer(env)];
	running.push(first, second);
	const picture = await smallPicture();
	const cookie = await cookieOf(first.url, world.secrets[0]!);
	half(first.url, cookie, Buffer.concat([picture, Buffer.alloc(200_000)]));
	await expect.poll(() => readdirSync(join(directory, SENT)).length).toBe(1);
	await wait(100);
	await first.kill();

	const form = new FormData();
	form.set('view', 'front');
	form.set('on', '2026-11-24');
	form.set('file', new File([new Uint8Array(picture)], 'me.jpg'));
	const answer = await fetch(`${second.url}/me/photos?/add`, {
		method: 'POST',
		body: form,
		headers: { cookie, origin: second.url, accept: 'text/html' }
	});
	expect(answer.status).toBe(200);
	const kept = await db.query<{ id: string }>('select id from picture');
	expect(kept.map(({ id }) => `${id}.jpg`)).toEqual(readdirSync(join(directory, 'pictures')));
	expect(readdirSync(join(directory, SENT)), 'what the other had begun').toHaveLength(1);
	await sweepFiles({ db, config: { dataDirectory: directory } }, Date.now() + 2 * DAY_MS);
	expect(readdirSync(join(directory, SENT))).toEqual([]);
	expect(readdirSync(join(directory, 'pictures'))).toHaveLength(1);
	await db.close();
}, 300_000);

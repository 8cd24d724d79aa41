import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, expect, it } from 'vitest';
import pg from 'pg';
import { openPostgres } from '$lib/server/platform/db/postgres';
import { Relay } from '../support/relay';
import { startServer, type RunningServer } from '../support/server';

let app: RunningServer | null = null;
let relay: Relay;
afterAll(async () => {
	await app?.kill();
	await relay.cut();
});

it('the database goes and comes back: 503 with a message meanwhile, then all is as before', async () => {
	const server = new URL(process.env.TEST_DATABASE_URL ?? '');
	const admin = new pg.Client({ connectionString: server.href });
	await admin.connect();
	const name = `cadrex_gone_${process.pid}`;
	await admin.query(`create database ${name}`);
	await admin.end();
	relay = new Relay({ host: server.hostname, port: Number(server.port) });
	await relay.open();
	const url = new URL(server);
	url.port = String(relay.port);
	url.pathname = `/${name}`;

	app = await startServer({
		DATABASE_URL: url.href,
		CADREX_DATA: mkdtempSync(join(tmpdir(), 'cadrex-gone-'))
	});
	const health = async () => (await fetch(`${app!.url}/healthz`)).status;
	expect(await (await fetch(`${app.url}/healthz`)).json()).toMatchObject({ ok: true, database: 'postgres' });
	await relay.cut();
	expect(await health()).toBe(503);
	expect((await fetch(`${app.url}/sign-in`)).status).toBe(500);
	// A visitor with a cookie fails before any page of ours: still our words, and a reference that the log holds.
	const answer = await fetch(`${app.url}/challenges`, { headers: { cookie: 'cadrex_coach=anything' } });
	const reference = /Reference ([0-9a-f]{8})/.exec(await answer.text())?.[1];
	expect(answer.status).toBe(500);
	expect(reference).toBeTruthy();
	await expect.poll(() => app?.output()).toContain(`"request":"${reference}"`);
	await relay.open();
	expect(await health()).toBe(200);
	expect((await fetch(`${app.url}/sign-in`)).status).toBe(200);
}, 240_000);

it('a connection lost between two statements of a transaction fails that transaction alone', async () => {
	const server = new URL(process.env.TEST_DATABASE_URL ?? '');
	const own = new Relay({ host: server.hostname, port: Number(server.port) });
	await own.open();
	server.port = String(own.port);
	const database = openPostgres(server.href);
	const transaction = database.transaction(async (tx) => {
		await tx.query('select 1');
		await own.cut();
		await new Promise((resolve) => setImmediate(resolve));
		await tx.query('select 2');
	});
	await expect(transaction).rejects.toThrow(/connection/i);
	await own.open();
	expect(await database.query('select 3 as three')).toEqual([{ three: 3 }]);
	await database.close();
	await own.cut();
});

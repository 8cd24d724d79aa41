import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { admin } from '../support/admin';
import { ownFolder } from '../support/directories';
import { startServer } from '../support/server';

const directory = ownFolder('first');

const command = (args: string[], env?: Record<string, string>) => admin(directory, args, env);
const RUNA = ['create-coach', '--email', 'runa@example.org', '--name', 'Runa', '--zone', 'Europe/Oslo'];
const FORM = { 'content-type': 'application/x-www-form-urlencoded', accept: 'text/html' };

it('an empty database shows how to make the first coach and nothing else; she can then sign in', async () => {
	let server = await startServer({ CADREX_DATA: directory });
	const empty = await (await fetch(`${server.url}/sign-in`)).text();
	expect(empty).toContain('npm run admin -- create-coach');
	expect(empty).not.toContain('type="password"');
	const bad = await command(['create-coach', '--email', 'x', '--name', 'R', '--zone', 'Mars/Base'], {
		CADREX_PASSWORD: 'short'
	});
	expect(bad.status).toBe(1);
	for (const word of ['email', 'zone', 'Mars/Base', 'password']) expect(bad.stderr).toContain(word);
	const weak = await command(RUNA, { CADREX_PASSWORD: 'password1234' });
	expect([weak.status, weak.stderr]).toEqual([1, expect.stringContaining('would be guessed soon')]);
	// The application that runs has the database, and makes her for the command.
	const made = await command(RUNA, { CADREX_PASSWORD: 'long enough for her' });
	await server.stop();
	expect([made.status, made.stdout]).toEqual([
		0,
		expect.stringContaining('Runa can sign in with runa@example.org')
	]);
	expect((await command(['rebuild'])).stdout).toContain('0 enrolments');
	expect((await command(['dance'])).status).toBe(2);

	server = await startServer({ CADREX_DATA: directory });
	expect(await (await fetch(`${server.url}/sign-in`)).text()).toContain('type="password"');
	const body = new URLSearchParams({ email: 'runa@example.org', password: 'long enough for her' });
	const answer = await fetch(`${server.url}/sign-in`, {
		method: 'POST',
		body,
		headers: { ...FORM, origin: server.url },
		redirect: 'manual'
	});
	expect([answer.status, answer.headers.get('location')]).toEqual([303, '/challenges']);
	const cookie = (answer.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
	expect(await (await fetch(`${server.url}/challenges`, { headers: { cookie } })).text()).toContain(
		'Frame the first challenge'
	);
	await server.stop();
}, 300_000);

it('a first start says how far it has come, and a command waits until it is through', async () => {
	const fresh = join(directory, 'fresh');
	const starting = startServer({ CADREX_DATA: fresh });
	// As soon as the start has taken the directory nobody else gets it.
	await expect.poll(() => existsSync(join(fresh, 'holder.json')), { timeout: 60_000 }).toBe(true);
	expect(existsSync(join(fresh, 'control.json'))).toBe(false);
	const made = await admin(fresh, RUNA, { CADREX_PASSWORD: 'long enough for her' });
	const server = await starting;
	await server.stop();
	expect([made.status, made.stderr]).toEqual([0, 'Waiting for the application, which is starting …\n']);
	expect(made.stdout).toContain('Runa can sign in with runa@example.org');
	expect(server.output()).toMatch(
		/Creating the database, once\. This takes a few seconds …\nPreparing the database, 1 of \d+ …\n/
	);
}, 300_000);

it('a configuration that cannot be is named, and nothing starts', async () => {
	await expect(startServer({ CADREX_DATA: directory, CADREX_LOG: 'loud' })).rejects.toThrow(
		/Configuration: CADREX_LOG/
	);
}, 180_000);

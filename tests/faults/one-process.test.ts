import { Agent, request as httpRequest } from 'node:http';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { lockDirectory } from '$lib/server/platform/db/lock';
import { openPglite } from '$lib/server/platform/db/pglite';
import { filesIn } from '$lib/server/platform/files';
import { dataDirectory, ownFolder } from '../support/directories';
import { startServer } from '../support/server';
import { openDays } from '../support/shelf';

const directory = dataDirectory(join(ownFolder('lock'), 'data'));

describe('a data directory', () => {
	it('belongs to one process; a second is told who has it, and harms nothing', async () => {
		const first = await startServer({ CADREX_DATA: directory });
		await expect(startServer({ CADREX_DATA: directory })).rejects.toThrow(
			new RegExp(`ended with 1: The data directory .* is in use by process ${first.process.pid} on`)
		);
		await expect(openPglite(directory)).rejects.toMatchObject({ name: 'DirectoryInUse' });
		expect((await fetch(`${first.url}/healthz`)).status).toBe(200);
		await first.stop();
	}, 180_000);

	it('is free as soon as its process has ended in order', async () => {
		const began = Date.now();
		const db = await openPglite(directory);
		expect(Date.now() - began).toBeLessThan(5000);
		await db.close();
	}, 180_000);

	it('is a process’s own until another puts its name there, and not when it is gone', async () => {
		for (const take of [
			(own: string) => filesIn(own).write('holder.json', 'somebody else'),
			(own: string) => filesIn(own).remove('holder.json')
		]) {
			const own = mkdtempSync(join(directory, 'own-'));
			const lock = await lockDirectory(own, () => undefined);
			expect(lock.isOurs()).toBe(true);
			await take(own);
			expect(lock.isOurs()).toBe(false);
			await lock.release();
		}
	});

	it('that cannot be written is refused in words', async () => {
		const file = join(directory, 'a-file');
		writeFileSync(file, 'no directory');
		await expect(openPglite(join(file, 'below'))).rejects.toThrow(
			/can’t be written: a part of its path is a file/
		);
	});

	it('that holds something else is not taken for a database', async () => {
		const other = join(directory, 'other');
		mkdirSync(join(other, 'pg'), { recursive: true });
		writeFileSync(join(other, 'pg', 'PG_VERSION'), '3');
		await expect(openPglite(other)).rejects.toThrow();
	}, 180_000);
});

describe('a server that is stopped', () => {
	/** A request that the server has taken, and whose body comes in two halves. */
	async function slow(url: string) {
		const { hostname, port } = new URL(url);
		const request = httpRequest({
			hostname,
			port,
			path: '/sign-in',
			method: 'POST',
			agent: false,
			headers: {
				accept: 'text/html',
				origin: url,
				'content-type': 'application/x-www-form-urlencoded',
				'content-length': 27,
				// The answer to this says that the request has been taken.
				expect: '100-continue'
			}
		});
		const status = new Promise<number | string>((resolve) => {
			request.once('response', (response) => {
				response.resume();
				resolve(response.statusCode ?? 0);
			});
			request.once('error', (error) => resolve(error.message));
		});
		const taken = new Promise((resolve) => request.once('continue', resolve));
		request.flushHeaders();
		await taken;
		request.write('email=a%40b.c');
		return { status, end: () => request.end('&password=none') };
	}

	it('answers what it is answering, takes nothing new, and ends', async () => {
		const server = await startServer({ CADREX_DATA: dataDirectory(join(directory, 'stopped')) });
		const { hostname, port } = new URL(server.url);
		const kept = new Agent({ keepAlive: true, maxSockets: 1 });
		const ask = () =>
			new Promise<number | string>((resolve) => {
				httpRequest({ hostname, port, path: '/healthz', agent: kept }, (response) => {
					response.resume().once('end', () => resolve(response.statusCode ?? 0));
				})
					.once('error', (error) => resolve(error.message))
					.end();
			});
		expect(await ask()).toBe(200);
		const begun = await slow(server.url);
		expect(await ask()).toBe(200);

		const ended = new Promise<number | null>((resolve) => server.process.once('exit', resolve));
		server.process.kill('SIGTERM');
		await expect.poll(ask).toMatch(/ECONNREFUSED/);
		begun.end();
		expect(await begun.status).toBe(401);
		expect(await ended).toBe(0);
		kept.destroy();
	}, 180_000);

	it('does not wait for ever for a request that does not come to its end', async () => {
		const server = await startServer({ CADREX_DATA: join(directory, 'stopped') });
		const begun = await slow(server.url);
		expect((await fetch(`${server.url}/healthz`)).status).toBe(200);
		const began = Date.now();
		await server.stop();
		expect(Date.now() - began).toBeGreaterThan(9_500);
		expect(Date.now() - began).toBeLessThan(20_000);
		expect(await begun.status).toMatch(/socket hang up|ECONNRESET/);
	}, 180_000);
});

describe('a disk without room', () => {
	it('is said, people read, and nothing is saved', async () => {
		const full = dataDirectory(join(directory, 'full'));
		const db = await openPglite(full);
		const [invited] = await openDays(db);
		await db.close();
		const server = await startServer({
			CADREX_DATA: full,
			CADREX_DISK_RESERVE: '1000000000'
		});
		const health = await fetch(`${server.url}/healthz`);
		expect(health.status).toBe(200);
		expect(await health.json()).toMatchObject({
			ok: true,
			degraded: expect.stringContaining('full') as string
		});
		expect((await fetch(`${server.url}/sign-in`)).status).toBe(200);
		const answer = await fetch(`${server.url}/sign-in`, {
			method: 'POST',
			headers: { origin: server.url, accept: 'text/html' },
			body: new URLSearchParams({ email: 'runa@example.org', password: 'a long enough password' })
		});
		expect(answer.status).toBe(503);
		const page = await answer.text();
		expect(page).toContain('disk is full, so nothing can be saved right now');
		expect(page).toContain('runa@example.org');
		// Also where a page has no words of its own for it.
		const opened = await fetch(`${server.url}/join/${invited!.secret}`, {
			method: 'POST',
			headers: {
				origin: server.url,
				accept: 'text/html',
				'content-type': 'application/x-www-form-urlencoded'
			}
		});
		expect(opened.status).toBe(503);
		expect(await opened.text()).toContain('disk is full, so nothing can be saved right now');
		await server.stop();
	}, 180_000);
});

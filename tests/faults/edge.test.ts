/** What holds of every answer, and of how somebody gets in, as seen from outside. */
import { request as httpRequest, type IncomingHttpHeaders } from 'node:http';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeCoach, PASSWORD } from '../support/context';
import { dataDirectory, ownFolder } from '../support/directories';
import { startServer, type RunningServer } from '../support/server';
import { cookieIn, FORM, serveWorld, type Served } from '../support/served';

let served: Served;
beforeAll(async () => {
	served = await serveWorld('edge');
}, 180_000);
afterAll(() => served.server.stop());

interface Asked {
	status: number;
	headers: IncomingHttpHeaders;
	body: string;
}
/** A request with headers that fetch would not send. */
const ask = (
	server: RunningServer,
	path: string,
	headers: Record<string, string> = {},
	send?: string
): Promise<Asked> =>
	new Promise((resolve, reject) => {
		const { hostname, port } = new URL(server.url);
		const request = httpRequest(
			{ hostname, port, path, headers, method: send === undefined ? 'GET' : 'POST', agent: false },
			(response) => {
				let body = '';
				response.setEncoding('utf8');
				response.on('data', (chunk: string) => (body += chunk));
				response.on('end', () =>
					resolve({ status: response.statusCode ?? 0, headers: response.headers, body })
				);
			}
		);
		request.once('error', reject);
		request.end(send);
	});

describe('every answer', () => {
	it.each([
		['a page', '/sign-in', 200, 'GET'],
		['a redirect', '/challenges', 303, 'GET'],
		['an error', '/nowhere', 404, 'GET'],
		['data', '/healthz', 200, 'GET'],
		['a refusal in JSON', '/api/me/days/3', 401, 'GET'],
		['a file', '/favicon.svg', 200, 'GET'],
		['a script', 'script', 200, 'GET'],
		['what is too large', '/sign-in', 413, 'a=&'.repeat(5000)],
		['a form from elsewhere', '/sign-in', 403, 'email=a'],
		['an address that cannot be read', '/%E0%A4%A', 400, 'GET']
	])('%s has the headers that protect', async (what, path, status, send) => {
		const found =
			path === 'script'
				? /\/_app\/immutable\/[\w./-]+\.js/.exec(await (await served.get('/sign-in')).text())![0]
				: path;
		const origin = what === 'a form from elsewhere' ? 'https://elsewhere.example' : served.server.url;
		const { headers, status: got } = await ask(
			served.server,
			found,
			{ host: new URL(served.server.url).host, origin, accept: 'text/html', 'content-type': FORM },
			send === 'GET' ? undefined : send
		);
		expect(got).toBe(status);
		expect(headers['content-security-policy']).toMatch(/default-src 'self'/);
		expect(headers['content-security-policy']).toMatch(/frame-ancestors 'none'/);
		expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe/);
		expect(headers).toMatchObject({
			'x-content-type-options': 'nosniff',
			'x-frame-options': 'DENY',
			'referrer-policy': 'same-origin',
			'cross-origin-opener-policy': 'same-origin'
		});
		if (what === 'a script') expect(headers['cache-control']).toContain('immutable');
		else if (what !== 'a file') expect(headers['cache-control']).toContain('no-store');
		// Plain HTTP promises nothing about https.
		expect(headers['strict-transport-security']).toBeUndefined();
	});
});

describe('a personal link', () => {
	const link = (i: number) => `/join/${served.world.secrets[i]}`;
	const loginsOf = async (cookie: string) => (await served.get('/api/me/days/3', cookie)).status;

	it('that is only looked at changes nothing', async () => {
		for (const cookie of ['', served.me]) {
			const answer = await served.get(link(1), cookie);
			expect(answer.headers.get('set-cookie')).toBeNull();
			expect(answer.status).toBe(200);
		}
		const stranger = await (await served.get(link(1))).text();
		expect(stranger).toContain('Are you Person 2?');
		expect(stranger).not.toContain('is signed in as');
	});

	it('asks before it takes the place of somebody else on this device', async () => {
		const asked = await (await served.get(link(1), served.me)).text();
		expect(asked).toMatch(/This device is signed in as\s+<b>Person 1<\/b>/);
		expect(await loginsOf(served.me)).toBe(200);
	});

	it('leads its own straight in, and a device has one sign-in at a time', async () => {
		const first = cookieIn(await served.post(link(2), '', '', FORM));
		const again = await served.get(link(2), first);
		expect([again.status, again.headers.get('location')]).toEqual([303, '/me']);
		const other = cookieIn(await served.post(link(1), '', first, FORM));
		expect([await loginsOf(other), await loginsOf(first)]).toEqual([200, 401]);
	});

	it('is in no log, however it is spelt', async () => {
		const secret = 'A-secret-that-no-log-may-hold';
		for (const path of ['/join/', '/Join/', '/JOIN/', '/join%2F', '/%6Aoin/', '/calendar/', '/x/join/'])
			await ask(served.server, `${path}${secret}`, { host: 'localhost' });
		await ask(served.server, `/sign-in?then=/join/${secret}`, { host: 'localhost' });
		await expect.poll(() => served.server.output()).toContain('/join/[secret]');
		expect(served.server.output()).not.toContain(secret);
	});
});

describe('what is refused', () => {
	it('is logged as well, by route and status', async () => {
		await served.get('/challenges');
		await served.get('/me/day/4', served.me);
		await served.get('/api/me/days/3');
		await ask(
			served.server,
			'/sign-in',
			{ host: 'localhost', origin: served.server.url, accept: 'text/html', 'content-type': FORM },
			'a=&'.repeat(5000)
		);
		const lines = () =>
			served.server
				.output()
				.split('\n')
				.filter((line) => line.includes('"msg":"request"'))
				.map((line) => JSON.parse(line) as { route: string; status: number })
				.map(({ route, status }) => `${route} ${status}`);
		await expect
			.poll(lines)
			.toEqual(
				expect.arrayContaining([
					'/(coach)/challenges 303',
					'/(me)/me/day/[day] 404',
					'/api/me/days/[day] 401',
					'/sign-in 413'
				])
			);
	});
});

describe('a form that came with nothing in it', () => {
	it('is one without fields, or none that can be read: never a fault of the server', async () => {
		for (const path of ['/account/confirm', `/c/${served.world.challenge.id}/build/library/import?/accept`])
			for (const type of ['multipart/form-data', 'multipart/form-data; boundary=x', 'text/plain'])
				expect((await served.post(path, '', served.coach, type)).status, `${path} ${type}`).toBe(400);
		expect((await served.post('/account/confirm', '', served.coach, FORM)).status).toBe(401);
	});
});

describe('a server with an address of its own', () => {
	let server: RunningServer;
	const HERE = { host: 'hut.example', origin: 'https://hut.example', accept: 'text/html' };
	beforeAll(async () => {
		const directory = dataDirectory(join(ownFolder('origin'), 'data'));
		server = await startServer({ CADREX_DATA: directory, ORIGIN: 'https://hut.example' });
	}, 180_000);
	afterAll(() => server.stop());

	it('answers under that name alone (RFC 9110, 15.5.20)', async () => {
		expect((await ask(server, '/sign-in', HERE)).status).toBe(200);
		for (const host of [
			'elsewhere.example',
			'hut.example.elsewhere.example',
			'hut.example:81',
			'localhost',
			''
		])
			expect((await ask(server, '/sign-in', { ...HERE, host })).status, host).toBe(421);
		expect((await ask(server, '/healthz', { host: '10.0.0.7:3000' })).status).toBe(200);
	});

	it('asks browsers to come by https (RFC 6797)', async () => {
		const { headers } = await ask(server, '/sign-in', HERE);
		expect(headers['strict-transport-security']).toMatch(/^max-age=\d{8}/);
	});
});

describe('a sign-in by https', () => {
	it('is kept in a cookie that no other host can set (RFC 6265bis, 4.1.3.2), and led on to no other site', async () => {
		const secure = { 'x-forwarded-proto': 'https', host: new URL(served.server.url).host };
		const body = new URLSearchParams({ email: 'runa@example.org', password: PASSWORD }).toString();
		const signIn = (then: string, headers: Record<string, string>) =>
			ask(
				served.server,
				`/sign-in?then=${then}`,
				{ ...headers, accept: 'text/html', 'content-type': FORM },
				body
			);
		const answer = await signIn('/%09/elsewhere.example/', {
			...secure,
			origin: `https://${secure.host}`
		});
		expect([answer.status, answer.headers.location]).toEqual([303, '/challenges']);
		const [cookie = ''] = answer.headers['set-cookie'] ?? [];
		expect(cookie).toMatch(/^__Host-cadrex_coach=/);
		for (const part of [/; Path=\/(;|$)/i, /; Secure/i, /; HttpOnly/i, /; SameSite=Lax/i])
			expect(cookie).toMatch(part);
		expect(cookie).not.toMatch(/Domain/i);
		const name = cookie.split(';')[0] ?? '';
		const page = (headers: Record<string, string>) =>
			ask(served.server, '/challenges', { ...headers, accept: 'text/html', cookie: name });
		expect((await page(secure)).status).toBe(200);
		// The same name over plain HTTP is nobody’s.
		expect((await page({ host: secure.host })).status).toBe(303);
	});
});

describe('tries at the sign-in', () => {
	let guarded: Served;
	beforeAll(async () => {
		guarded = await serveWorld(
			'tries',
			{ CADREX_SIGN_IN_TRIES: '3', ADDRESS_HEADER: 'x-forwarded-for' },
			(context) => makeCoach(context, 'Nila')
		);
	}, 180_000);
	afterAll(() => guarded.server.stop());
	const signIn = async (from: string, name: string, password = 'not the password') => {
		const { url } = guarded.server;
		const body = new URLSearchParams({ email: `${name}@example.org`, password }).toString();
		const headers = { 'x-forwarded-for': from, host: new URL(url).host, origin: url };
		return (
			await ask(guarded.server, '/sign-in', { ...headers, accept: 'text/html', 'content-type': FORM }, body)
		).status;
	};

	it('are counted by address, an IPv6 network as one, and a good one clears nobody else’s', async () => {
		expect(await signIn('2001:db8:1:2::1', 'nobody')).toBe(401);
		expect(await signIn('2001:db8:1:2::2', 'nobody-else')).toBe(401);
		// Somebody with an account of their own goes on guessing behind it.
		expect(await signIn('2001:db8:1:2::3', 'nila', PASSWORD)).toBe(303);
		expect(await signIn('2001:db8:1:2::4', 'another')).toBe(401);
		expect(await signIn('2001:db8:1:2::5', 'yet-another')).toBe(429);
		expect(await signIn('2001:db8:1:3::1', 'nobody')).toBe(401);
	});

	it('are counted at an account, from whatever addresses they come', async () => {
		const answers = [];
		for (let i = 0; i < 8; i++) answers.push(await signIn(`198.51.100.${i}`, 'runa'));
		expect(answers).toEqual([401, 401, 401, 401, 401, 401, 429, 429]);
		// Others are not held up by it.
		expect(await signIn('198.51.100.9', 'nila', PASSWORD)).toBe(303);
	});
});

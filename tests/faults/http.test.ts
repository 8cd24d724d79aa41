import { randomUUID } from 'node:crypto';
import { connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checkIn } from '$lib/server/done/attendance/check-in';
import { NEWEST } from '$lib/server/platform/db/migrate';
import { makeCoach, PASSWORD, type World } from '../support/context';
import { cookieIn, FORM, serveWorld, type Served } from '../support/served';
import type { RunningServer } from '../support/server';

let server: RunningServer;
let world: World;
let me: string;
let coach: string;
let get: Served['get'];
let post: Served['post'];
let signIn: Served['signIn'];
const theirs = randomUUID();
const form = (fields: Record<string, string>) => new URLSearchParams(fields).toString();

beforeAll(async () => {
	const served = await serveWorld('http', { CADREX_SIGN_IN_TRIES: '5' }, async (context, { people }) => {
		await makeCoach(context, 'Nila');
		await checkIn(context, people[1]!, { id: theirs, day: 3, done: 'all' });
	});
	({ server, world, me, coach, get, post, signIn } = served);
	expect(coach).toContain('cadrex_coach=');
}, 180_000);
afterAll(() => server.stop());

it('who needs the coach stands on the desk, with the figures', async () => {
	// By Wednesday noon two people have missed Monday; the third has checked in.
	const desk = await (await get(`/c/${world.challenge.id}/desk`, coach)).text();
	expect(desk.match(/Hasn’t started/g)).toHaveLength(2);
	expect(desk).toContain('Nothing has come in, and 1 day was due.');
});

describe('what is somebody else’s', () => {
	it('is not there: check-ins, days ahead, a coach’s pages, another coach’s challenge', async () => {
		const nila = cookieIn(await signIn('nila@example.org', PASSWORD));
		const challenge = `/c/${world.challenge.id}`;
		const asked: [string, string][] = [
			[`/api/me/checkins/${theirs}`, me],
			['/api/me/checkins/nonsense', me],
			['/api/me/days/4', me],
			['/me/day/4', me],
			['/me/day/4/check-in', me],
			['/api/me/days/abc', me],
			[`${challenge}/roll`, me],
			[`${challenge}/people/${world.people[1]!.enrolmentId}`, me],
			['/challenges', me],
			['/me', coach],
			['/api/me/days/3', coach],
			[`${challenge}/roll`, nila],
			[`${challenge}/people/${world.people[0]!.enrolmentId}`, nila],
			[`${challenge}/build/${world.session.id}`, nila],
			[`${challenge}/people/${randomUUID()}`, coach],
			[`${challenge}/build/nonsense`, coach],
			[`/c/nonsense/desk`, coach],
			['/api/demo/sign-in', ''],
			['/join/no-such-secret', '']
		];
		const wrong = [];
		for (const [path, cookie] of asked) {
			const { status } = await get(path, cookie);
			if (status !== 404) wrong.push(`${path} ${status}`);
		}
		expect(wrong).toEqual([]);
	});

	it('is not there in SvelteKit’s data either', async () => {
		const answer = await get('/me/day/4/__data.json', me);
		const text = await answer.text();
		expect(text).toContain('404');
		expect(text).not.toMatch(/squat/i);
	});

	it('asks strangers to sign in', async () => {
		expect((await get('/api/me/days/3')).status).toBe(401);
		const answer = await get('/challenges');
		expect([answer.status, answer.headers.get('location')]).toEqual([303, '/sign-in?then=%2Fchallenges']);
	});

	it('is shown to its own', async () => {
		expect(
			((await (await get('/api/me/days/3', me)).json()) as { session: { name: string } }).session.name
		).toBe('Small');
		expect((await get(`/c/${world.challenge.id}/roll`, coach)).status).toBe(200);
	});
});

describe('check-ins over the wire', () => {
	it('five times at once: one is made, four are told it was', async () => {
		const body = JSON.stringify({ id: randomUUID(), day: 3, done: 'all' });
		const all = await Promise.all([1, 2, 3, 4, 5].map(() => post('/api/me/checkins', body, me)));
		expect(all.map((answer) => answer.status).sort()).toEqual([200, 200, 200, 200, 201]);
	});

	it.each([
		['no JSON', 'hello', 400],
		['an array', '[]', 400],
		['a field that names the ancestry', '{"__proto__":{"done":"all"}}', 400],
		['no fields', '{}', 400],
		['a day ahead', JSON.stringify({ id: randomUUID(), day: 9, done: 'all' }), 404],
		['a day that is done', JSON.stringify({ id: randomUUID(), day: 3, done: 'all' }), 409],
		['somebody else’s id', JSON.stringify({ id: theirs, day: 2, done: 'all' }), 404]
	])('%s', async (_, body, status) => {
		const answer = await post('/api/me/checkins', body, me);
		expect(answer.status).toBe(status);
		expect(typeof ((await answer.json()) as { message: string }).message).toBe('string');
	});

	it('lists every fault of a bad one', async () => {
		const answer = await post(
			'/api/me/checkins',
			JSON.stringify({ id: 'x', day: 99, done: 'most', effort: 12 }),
			me
		);
		const { faults } = (await answer.json()) as { faults: { field: string }[] };
		expect(faults.map((fault) => fault.field).sort()).toEqual(['day', 'done', 'effort', 'id']);
	});

	/** A check-in of so many bytes, with a note of one letter again and again. */
	const large = (bytes: number, letter: string) => {
		const room = bytes - JSON.stringify({ note: '' }).length;
		const wide = Buffer.byteLength(letter);
		return JSON.stringify({ note: letter.repeat(Math.floor(room / wide)) + 'x'.repeat(room % wide) });
	};
	const MOST = 512 * 1024;

	it.each(['x', 'ø', '語'])(
		'of 512 kB is read, and said to be no check-in; one byte more is too large (%s)',
		async (letter) => {
			expect(Buffer.byteLength(large(MOST, letter))).toBe(MOST);
			expect((await post('/api/me/checkins', large(MOST, letter), me)).status).toBe(400);
			const refused = await post('/api/me/checkins', large(MOST + 1, letter), me);
			expect(refused.status).toBe(413);
			expect(await refused.json()).toMatchObject({
				message: 'What was sent is larger than the 512 kB that are taken here.'
			});
		}
	);

	it('that does not say how long it is, is measured as it comes', async () => {
		const stream = (text: string) => new Blob([text]).stream();
		const send = (text: string) =>
			fetch(`${server.url}/api/me/checkins`, {
				method: 'POST',
				headers: { cookie: me, 'content-type': 'application/json' },
				body: stream(text),
				duplex: 'half'
			} as RequestInit);
		expect((await send(large(MOST, '語'))).status).toBe(400);
		expect((await send(large(MOST + 1, '語'))).status).toBe(413);
	});

	it('beyond what any page may send is too large as well', async () => {
		expect((await post('/api/me/checkins', large(8 * 1024 * 1024, 'x'), me)).status).toBe(413);
	});

	/** Sends the head of a request and little of its body. @returns the first line of the answer, and whether the connection ended */
	const begun = (head: string, body: string): Promise<{ status: string; ended: boolean }> =>
		new Promise((resolve, reject) => {
			const { hostname, port } = new URL(server.url);
			const socket = connect(Number(port), hostname, () => socket.write(`${head}\r\n\r\n${body}`));
			let said = '';
			socket.on('data', (bytes: Buffer) => (said += bytes.toString('latin1')));
			socket.on('close', () => resolve({ status: said.split('\r\n')[0] ?? '', ended: true }));
			socket.on('error', reject);
			socket.setTimeout(5000, () => {
				resolve({ status: said.split('\r\n')[0] ?? '', ended: false });
				socket.destroy();
			});
		});

	it.each([
		['says so', `content-length: ${30 * 1024 * 1024}`, 'email=a'],
		[
			'turns out to be',
			'transfer-encoding: chunked',
			`${(9 * 1024 * 1024).toString(16)}\r\n${'x'.repeat(9 * 1024 * 1024)}\r\n`
		]
	])('is not waited for where it %s, and its connection ends', async (_, length, body) => {
		const head = [
			'POST /sign-in HTTP/1.1',
			`host: ${new URL(server.url).host}`,
			`origin: ${server.url}`,
			`content-type: ${FORM}`,
			length
		].join('\r\n');
		expect(await begun(head, body)).toEqual({ status: 'HTTP/1.1 413 Payload Too Large', ended: true });
	});

	it('with a character that the database cannot store is refused, wherever it is', async () => {
		expect((await post('/sign-in', 'email=a%00b&password=x', '', FORM)).status).toBe(400);
		expect((await post('/api/me/checkins', '{"note":"a\\u0000b"}', me)).status).toBe(400);
		expect((await get('/join/a%00b')).status).toBe(404);
		expect((await get('/sign-in?then=%00')).status).toBe(404);
	});
});

describe('answers', () => {
	it('have a number that the log holds too', async () => {
		const id = (await get('/sign-in')).headers.get('x-request-id');
		expect(id).toMatch(/^[0-9a-f]{8}$/);
		await expect.poll(() => server.output()).toContain(`"request":"${id}"`);
	});

	it('refuse a form from another place', async () => {
		const answer = await fetch(`${server.url}/sign-in`, {
			method: 'POST',
			body: form({ email: 'a', password: 'b' }),
			headers: { 'content-type': FORM, origin: 'https://elsewhere.example' }
		});
		expect(answer.status).toBe(403);
	});

	it('never show a stack, a query or a path', async () => {
		for (const path of ['/nowhere', '/me/day/9', '/c/x/desk']) {
			const text = await (await get(path, me)).text();
			expect(text).not.toMatch(/node_modules|at \w+ \(|select .* from|\/src\/lib/);
		}
	});

	it('say how things are', async () => {
		expect(await (await get('/healthz')).json()).toMatchObject({
			ok: true,
			database: 'pglite',
			schema: NEWEST
		});
	});

	it('give what leaves a plan to its coach alone', async () => {
		const base = `/c/${world.challenge.id}/plan`;
		for (const path of ['/bundle.json', '/sheet.pdf', '/packet.pdf', '/calendar.ics', '/export', '/sheet']) {
			expect((await get(base + path, coach)).status, path).toBe(200);
			expect((await get(base + path, me)).status, path).toBe(404);
			expect((await get(base + path)).status, path).toBe(303);
		}
		expect((await get(`${base}/packet.pdf?person=${randomUUID()}`, coach)).status).toBe(404);
		expect((await get(`${base}/packet.pdf?person=nobody`, coach)).status).toBe(404);
		for (const path of ['/me/calendar.ics', '/me/packet.pdf']) {
			expect((await get(path, me)).status, path).toBe(200);
			expect((await get(path, coach)).status, path).toBe(404);
		}
		expect((await get(`/challenges/import?from=${randomUUID()}`, coach)).status).toBe(404);
		expect((await get('/calendar/guess.ics')).status).toBe(404);
		await expect.poll(() => server.output()).toContain('/calendar/[secret].ics');
		expect(server.output()).not.toContain('guess.ics');
	});

	it('take a file that is no challenge with what is wrong and where', async () => {
		const data = new FormData();
		data.set('file', new Blob([new Uint8Array([0x50, 0x4b, 3, 4, 0, 0, 0, 0])]), 'plan.json');
		const send = (body: FormData) =>
			fetch(`${server.url}/challenges/import?/look`, {
				method: 'POST',
				body,
				headers: { cookie: coach, origin: server.url, accept: 'application/json' }
			});
		expect(await (await send(data)).text()).toContain('This is no text');
		data.set('file', new Blob(['{"kind":"cadrex challenge","version":9}']), 'plan.json');
		expect(await (await send(data)).text()).toContain('needs a Cadrex that reads version 9');
	});

	it('after too many tries, say when to come back', async () => {
		const answers = [];
		for (let i = 0; i < 8; i++) answers.push(await signIn('runa@example.org', 'not the password'));
		const last = answers.at(-1)!;
		expect(answers[0]?.status).toBe(401);
		expect(last.status).toBe(429);
		expect(Number(last.headers.get('retry-after'))).toBeGreaterThan(60);
	});

	it('count the tries at links as well', async () => {
		const answers = [];
		for (let i = 0; i < 27; i++) answers.push(await get(`/join/guess-${i}`));
		expect([answers[0]?.status, answers.at(-1)?.status]).toEqual([404, 429]);
		expect((await get('/calendar/guess.ics')).status).toBe(429);
		// Who has a good one is let in all the same.
		expect((await get(`/join/${world.secrets[1]}`)).status).toBe(200);
		expect((await post(`/join/${world.secrets[1]}`, '', '', FORM)).status).toBe(303);
		expect(Number(answers.at(-1)?.headers.get('retry-after'))).toBeGreaterThan(60);
	});

	it('leave a line in the log with the request’s id, and no secret in it', async () => {
		const answer = await get('/me', me);
		await new Promise((resolve) => setImmediate(resolve));
		const id = answer.headers.get('x-request-id') ?? '';
		await expect.poll(() => server.output()).toContain(`"request":"${id}"`);
		for (const secret of world.secrets) expect(server.output()).not.toContain(secret);
	});
});

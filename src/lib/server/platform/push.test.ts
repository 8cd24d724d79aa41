import { createECDH } from 'node:crypto';
import { createServer } from 'node:https';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Queries } from './db/database';
import { openPush, overTls, type Push, type PushTarget } from './push';
import { decrypt, PushStandIn } from './push-stand-in';

const NOW = Date.parse('2026-11-25T06:00:00Z');

/** Settings of an installation, without a database. */
function settings(): Queries {
	const stored = new Map<string, unknown>();
	return {
		query: (text: string, [key, value]: unknown[] = []) => {
			if (text.startsWith('insert') && !stored.has(String(key)))
				stored.set(String(key), JSON.parse(String(value)));
			return Promise.resolve(stored.has(String(key)) ? [{ value: stored.get(String(key)) }] : []);
		}
	} as unknown as Queries;
}

const NOTICE = { payload: '{"title":"Day 24 is open"}', ttl: 3600, topic: 'session-24' };

describe('decrypt', () => {
	it('reads the example of RFC 8291, section 5', () => {
		const keys = createECDH('prime256v1');
		keys.setPrivateKey(Buffer.from('q1dXpw3UpT5VOmu_cf_v6ih07Aems3njxI-JWgLcM94', 'base64url'));
		const body =
			'DGv6ra1nlYgDCS1FRnbzlwAAEABBBP4z9KsN6nGRTbVYI_c7VJSPQTBtkgcy27mlmlMoZIIgDll6e3vCYLocInmYWAmS6TlzAC8wEqKK6PBru3jl7A_yl95bQpu6cVPTpK4Mqgkf1CXztLVBSt2Ks3oZwbuwXPXLWyouBWLVWGNWQexSgSxsj_Qulcy4a-fN';
		const auth = Buffer.from('BTBZMqHH6r4Tts7J_aSIgg', 'base64url');
		expect(decrypt(Buffer.from(body, 'base64url'), keys, auth)).toBe(
			'When I grow up, I want to be a watermelon'
		);
	});
});

describe('a notification', () => {
	let service: PushStandIn;
	let db: Queries;
	let push: Push;
	let phone: PushTarget;
	beforeEach(async () => {
		service = new PushStandIn({ now: () => NOW });
		db = settings();
		push = await openPush(db, 'mailto:coach@hut.example', service.transport);
		phone = service.subscribe(push.publicKey);
	});

	it('arrives as it was written, signed, with its topic and its time to live', async () => {
		expect(await push.send(phone, NOTICE)).toEqual({ kind: 'sent' });
		expect(service.arrivedAt(phone.endpoint)).toEqual([
			{ at: NOW, ...NOTICE, contact: 'mailto:coach@hut.example' }
		]);
	});
	it('travels encrypted', async () => {
		let seen = '';
		const listening = await openPush(db, 'mailto:coach@hut.example', (details) => {
			seen = String(details.body);
			return service.transport(details);
		});
		await listening.send(phone, NOTICE);
		expect(seen).not.toBe('');
		expect(seen).not.toContain('Day 24');
	});
	it('keeps its keys: a sender that starts again reaches the same phones', async () => {
		const again = await openPush(db, 'mailto:coach@hut.example', service.transport);
		expect(again.publicKey).toBe(push.publicKey);
		expect(await again.send(phone, NOTICE)).toEqual({ kind: 'sent' });
	});
	it('is not taken from anybody else', async () => {
		const other = await openPush(settings(), 'mailto:other@hut.example', service.transport);
		expect(await other.send(phone, NOTICE)).toEqual({ kind: 'gone' });
		expect(service.arrivedAt(phone.endpoint)).toEqual([]);
	});
	it('is not taken when it was changed on the way', async () => {
		const meddled = await openPush(db, 'mailto:coach@hut.example', (details) => {
			details.body!.writeUInt8(details.body!.readUInt8(100) ^ 1, 100);
			return service.transport(details);
		});
		expect(await meddled.send(phone, NOTICE)).toEqual({ kind: 'gone' });
	});
	it.each([
		[404, { kind: 'gone' }],
		[410, { kind: 'gone' }],
		[400, { kind: 'refused', error: 'the push service answered 400' }],
		[413, { kind: 'refused', error: 'the push service answered 413' }],
		[429, { kind: 'later', error: 'the push service answered 429', seconds: 60 }],
		[503, { kind: 'later', error: 'the push service answered 503', seconds: null }]
	])('answered with %i is %o', async (status, answer) => {
		service.answer(phone.endpoint, status);
		expect(await push.send(phone, NOTICE)).toEqual(answer);
	});
	it('for keys that are none is refused for good', async () => {
		const answer = await push.send({ ...phone, p256dh: `B${'A'.repeat(86)}` }, NOTICE);
		expect(answer.kind).toBe('refused');
	});
});

describe('overTls', () => {
	it('goes to no address of the server’s own network', async () => {
		let asked = 0;
		const server = createServer(() => asked++).listen(0, '127.0.0.1');
		await new Promise((done) => server.once('listening', done));
		const { port } = server.address() as { port: number };
		const details = { method: 'POST' as const, headers: {}, body: Buffer.from('x') };
		const send = (host: string) => overTls()({ ...details, endpoint: `https://${host}:${port}/` });
		await expect(send('127.0.0.1')).rejects.toThrow(/not allowed|private/i);
		await expect(send('localhost')).rejects.toThrow(/not allowed|private/i);
		expect(asked).toBe(0);
		await new Promise((done) => server.close(done));
	});
});

/**
 * A push service with phones of its own, for the demo and for tests: it takes what is sent as RFC 8030 has it, checks who
 * sends (RFC 8292), decrypts the message as the phone would (RFC 8291, RFC 8188) and keeps it.
 */
import { DAY_MS } from '$core/calendar';
import {
	createDecipheriv,
	createECDH,
	createPublicKey,
	hkdfSync,
	randomBytes,
	verify,
	type ECDH
} from 'node:crypto';
import { LRUCache } from 'lru-cache';
import type { RequestDetails } from 'web-push';
import type { Clock } from './clock';
import type { PushTarget, PushTransport } from './push';

/** RFC 2606: a name that no server has. */
const SERVICE = 'https://push.cadrex.invalid';
/** Phones, and messages kept of each. */
const MOST_PHONES = 1000;
const MOST_KEPT = 20;

/** A message as it arrived at a phone. */
export interface Arrived {
	/** Epoch milliseconds. */
	at: number;
	payload: string;
	/** Seconds. */
	ttl: number;
	topic: string | null;
	/** Contact address of the sender. */
	contact: string;
}

interface Phone {
	keys: ECDH;
	auth: Buffer;
	/** The key that the phone subscribed with: nobody else may send (RFC 8292, 4). */
	sender: string;
	/** The newest first. */
	arrived: Arrived[];
	/** Status that it answers with instead of accepting messages, or null. */
	answers: number | null;
}

/** Decrypts an aes128gcm body of one record (RFC 8188, 2; RFC 8291, 3.4). @throws Error where it was made for other keys or changed on the way */
export function decrypt(body: Buffer, keys: ECDH, auth: Buffer): string {
	const salt = body.subarray(0, 16);
	const idLength = body.readUInt8(20);
	const sender = body.subarray(21, 21 + idLength);
	const record = body.subarray(21 + idLength);
	const info = Buffer.concat([Buffer.from('WebPush: info\0'), keys.getPublicKey(), sender]);
	const ikm = Buffer.from(hkdfSync('sha256', keys.computeSecret(sender), auth, info, 32));
	const derive = (label: string, length: number) =>
		Buffer.from(hkdfSync('sha256', ikm, salt, Buffer.from(`Content-Encoding: ${label}\0`), length));
	const decipher = createDecipheriv('aes-128-gcm', derive('aes128gcm', 16), derive('nonce', 12));
	decipher.setAuthTag(record.subarray(-16));
	const padded = Buffer.concat([decipher.update(record.subarray(0, -16)), decipher.final()]);
	// The last record ends with a 2 and any number of zeros.
	let end = padded.length - 1;
	while (end >= 0 && padded[end] === 0) end--;
	if (end < 0 || padded[end] !== 2) throw new Error('the record does not end as the last one does');
	return padded.subarray(0, end).toString('utf8');
}

/** @returns the contact of the token @throws Error where it is not signed by the key, for this service, or good now (RFC 8292, 2 and 3) */
function contactOf(authorization: string, sender: string, now: number): string {
	const [, token = '', key = ''] = /^vapid t=([\w.-]+), ?k=([\w-]+)$/.exec(authorization) ?? [];
	if (key !== sender) throw new Error('signed with another key than the phone subscribed with');
	const [header = '', claims = '', signature = ''] = token.split('.');
	const point = Buffer.from(key, 'base64url');
	const publicKey = createPublicKey({
		format: 'jwk',
		key: {
			kty: 'EC',
			crv: 'P-256',
			x: point.subarray(1, 33).toString('base64url'),
			y: point.subarray(33).toString('base64url')
		}
	});
	const signed = Buffer.from(`${header}.${claims}`);
	if (
		!verify(
			'sha256',
			signed,
			{ key: publicKey, dsaEncoding: 'ieee-p1363' },
			Buffer.from(signature, 'base64url')
		)
	)
		throw new Error('the signature does not match');
	const { aud, exp, sub } = JSON.parse(Buffer.from(claims, 'base64url').toString()) as Record<
		'aud' | 'sub',
		string
	> & { exp: number };
	if (aud !== SERVICE) throw new Error('signed for another service');
	if (exp * 1000 <= now || exp * 1000 > now + DAY_MS)
		throw new Error('the token is over, or good for more than a day');
	return sub;
}

export class PushStandIn {
	private readonly phones = new LRUCache<string, Phone>({ max: MOST_PHONES });

	/** @param clock of arrivals; tokens are checked by the real time, by which they are signed */
	constructor(private readonly clock: Clock) {}

	/** Subscribes a new phone. @param sender the public key of who may send to it */
	subscribe(sender: string): PushTarget {
		const keys = createECDH('prime256v1');
		keys.generateKeys();
		const auth = randomBytes(16);
		const endpoint = `${SERVICE}/${randomBytes(24).toString('base64url')}`;
		this.phones.set(endpoint, { keys, auth, sender, arrived: [], answers: null });
		return {
			endpoint,
			p256dh: keys.getPublicKey().toString('base64url'),
			auth: auth.toString('base64url')
		};
	}

	/** Messages that a phone has received, the newest first; empty for an unknown phone. */
	arrivedAt(endpoint: string): readonly Arrived[] {
		return this.phones.get(endpoint)?.arrived ?? [];
	}

	/** Has a phone answer with a status in place of taking messages in; null: it takes them again. */
	answer(endpoint: string, status: number | null): void {
		const phone = this.phones.get(endpoint);
		if (phone) phone.answers = status;
	}

	/** Takes requests as the push service would. */
	readonly transport: PushTransport = ({ endpoint, headers, body }: RequestDetails) => {
		const phone = this.phones.get(endpoint);
		const status = phone ? (phone.answers ?? this.take(phone, headers, body)) : 410;
		return Promise.resolve({ status, retryAfter: status === 429 ? 60 : null });
	};

	private take(phone: Phone, headers: RequestDetails['headers'], body: Buffer | null): number {
		if (headers['Content-Encoding'] !== 'aes128gcm' || !body) return 400;
		if (body.length > 4096) return 413;
		try {
			const contact = contactOf(String(headers.Authorization), phone.sender, Date.now());
			const payload = decrypt(body, phone.keys, phone.auth);
			const topic = headers.Topic === undefined ? null : String(headers.Topic);
			phone.arrived.unshift({
				at: this.clock.now(),
				payload,
				ttl: Number(headers.TTL),
				topic,
				contact
			});
			phone.arrived.splice(MOST_KEPT);
			return 201;
		} catch {
			return 403;
		}
	}
}

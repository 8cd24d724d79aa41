/** Notifications through Web Push (RFC 8030), encrypted for the device (RFC 8291) and signed by this installation (RFC 8292). */
import { request } from 'node:https';
import { RequestFilteringHttpsAgent } from 'request-filtering-agent';
import webPush, { type RequestDetails, type VapidKeys } from 'web-push';
import type { Queries } from './db/database';
import { readSetting } from './settings';

/** Push subscription of a device. */
export interface PushTarget {
	endpoint: string;
	/** base64url, as the browser gives them. */
	p256dh: string;
	auth: string;
}

export interface PushNotice {
	/** JSON for the service worker of the device, under 4 KB (RFC 8030, 7.2). */
	payload: string;
	/** Seconds for which the push service keeps it for a device that is off. */
	ttl: number;
	/** At most 32 letters of base64url: a newer notification replaces one of the same topic that waits. */
	topic: string;
}

/**
 * Result of a try: `gone` if the subscription has ended, `refused` if a retry is pointless, `later` with the seconds that the
 * service asks for, if it does.
 */
export type PushAnswer =
	| { kind: 'sent' | 'gone' }
	| { kind: 'refused'; error: string }
	| { kind: 'later'; error: string; seconds: number | null };

/** Carries a request to a push service. @returns the status and Retry-After in seconds, or null without one */
export type PushTransport = (
	details: RequestDetails
) => Promise<{ status: number; retryAfter: number | null }>;

export interface Push {
	/** With which devices subscribe: a point of P-256, base64url. */
	publicKey: string;
	send(target: PushTarget, notice: PushNotice): Promise<PushAnswer>;
}

/** Milliseconds that a push service may take. */
const PATIENCE = 10_000;
const KEYS = 'push keys';

/** The keys of this installation: generated when they are first needed, and the same for all its processes. */
async function keysOf(db: Queries): Promise<VapidKeys> {
	const known = await readSetting<VapidKeys>(db, KEYS);
	if (known) return known;
	await db.query('insert into setting (key, value) values ($1, $2) on conflict (key) do nothing', [
		KEYS,
		JSON.stringify(webPush.generateVAPIDKeys())
	]);
	return (await readSetting<VapidKeys>(db, KEYS))!;
}

const secondsOf = (header: string | undefined): number | null =>
	header !== undefined && /^\d{1,6}$/.test(header) ? Number(header) : null;

/** Sends over TLS; addresses that a device gave never lead into the network of the server. */
export function overTls(): PushTransport {
	const agent = new RequestFilteringHttpsAgent({ keepAlive: true, maxSockets: 25 });
	return ({ endpoint, method, headers, body }) =>
		new Promise((resolve, reject) => {
			const sending = request(endpoint, { method, headers, agent, signal: AbortSignal.timeout(PATIENCE) });
			sending.on('error', reject);
			sending.on('response', (response) => {
				// The status says everything; what else is in the answer is not read.
				response.destroy();
				resolve({
					status: response.statusCode ?? 0,
					retryAfter: secondsOf(response.headers['retry-after'])
				});
			});
			sending.end(body);
		});
}

/** RFC 8030, 5, 7.2 and 7.3: 201 for taken in; 404 and 410 for a subscription that ended. Keys that do not match end it as well (RFC 8292, 4.2). */
function answerOf(status: number, retryAfter: number | null): PushAnswer {
	if (status >= 200 && status < 300) return { kind: 'sent' };
	if (status === 404 || status === 410 || status === 401 || status === 403) return { kind: 'gone' };
	const error = `the push service answered ${status}`;
	if (status === 429 || status >= 500) return { kind: 'later', error, seconds: retryAfter };
	return { kind: 'refused', error };
}

/** An error in a line that fits beside a reminder. */
const saidBy = (error: unknown): string =>
	(error instanceof Error ? error.message : String(error)).replace(/\s+/g, ' ').slice(0, 300);

/**
 * Opens the sender with the keys of the installation.
 * @param contact where a push service reaches the operator: a `mailto:` or `https:` address (RFC 8292, 2.1)
 */
export async function openPush(db: Queries, contact: string, transport: PushTransport): Promise<Push> {
	const keys = await keysOf(db);
	return {
		publicKey: keys.publicKey,
		async send({ endpoint, p256dh, auth }, { payload, ttl, topic }) {
			let details: RequestDetails;
			try {
				details = webPush.generateRequestDetails({ endpoint, keys: { p256dh, auth } }, payload, {
					vapidDetails: { subject: contact, ...keys },
					TTL: ttl,
					topic
				});
			} catch (error) {
				return { kind: 'refused', error: saidBy(error) };
			}
			try {
				const { status, retryAfter } = await transport(details);
				return answerOf(status, retryAfter);
			} catch (error) {
				return { kind: 'later', error: saidBy(error), seconds: null };
			}
		}
	};
}

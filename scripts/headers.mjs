// Headers of every answer, whoever makes it: pages, redirects, errors, files, refusals before any route is reached.

/**
 * What holds unless an answer says otherwise itself. The policy of a page (svelte.config.js) takes the place of the
 * one here, which lets files be used by our own pages and nothing be framed.
 */
export const HEADERS = {
	'content-security-policy':
		"default-src 'self'; object-src 'none'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'",
	'x-content-type-options': 'nosniff',
	'x-frame-options': 'DENY',
	// The address of a personal link holds its secret: it must not travel on.
	'referrer-policy': 'same-origin',
	'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=(), usb=()',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin',
	'cache-control': 'private, no-store'
};
/** A year, for the browser to come back by https alone (RFC 6797). */
const STRICT = 'max-age=31536000';

/** @typedef {import('node:http').IncomingMessage} Request */
/** @typedef {import('node:http').ServerResponse} Response */

/** Whether a request came by https, as far as whoever stands before this server says. @param {Request} request */
export const isSecure = (request) =>
	process.env.ORIGIN
		? process.env.ORIGIN.startsWith('https:')
		: request.headers['x-forwarded-proto'] === 'https';

/** @param {Request} request @param {Response} response */
export function protect(request, response) {
	for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
	if (isSecure(request)) response.setHeader('strict-transport-security', STRICT);
}

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
/** @param {string} host */
const nameOf = (host) => host.toLowerCase().replace(/:\d+$/, '');

/**
 * Whether a request is meant for this server, by the name it was asked under: the one of ORIGIN, or of this machine
 * where it listens to nobody else. Asked under any other, another site’s page could read what is shown here.
 * @param {Request} request
 * @param {string} listens the address at which the server listens
 */
export function isMeant(request, listens) {
	const host = request.headers.host ?? '';
	// Whoever watches over the server, and commands on its machine, ask it by its own address.
	if (request.url === '/healthz' || request.url?.startsWith('/api/operator/')) return true;
	if (process.env.ORIGIN) return host.toLowerCase() === new URL(process.env.ORIGIN).host;
	return LOOPBACK.includes(listens === '::1' ? '[::1]' : listens) ? LOOPBACK.includes(nameOf(host)) : true;
}

// Serves the built application. Used by start, demo, the browser tests and the screenshots.
import { createServer } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { setFlagsFromString } from 'node:v8';
import { ENGINE_SETTING } from './engine.mjs';
import { isMeant, protect } from './headers.mjs';
import { ROOT } from './setup.mjs';

/** What comes in is read to its end up to here; what each route takes of it is said in src/lib/server/edge/web/body.ts. */
const BODY_LIMIT = '32M';
/** Milliseconds that requests have to come to their end when the server is stopped. */
const PATIENCE = 10_000;

/**
 * Starts the server in this process.
 * @param {{ host: string, port: number }} at
 * @returns {Promise<{ url: string, close: () => Promise<void> }>}
 */
export async function serve({ host, port }) {
	setFlagsFromString(ENGINE_SETTING);
	process.on(/** @type {any} */ ('cadrex:starting'), (text) => console.log(text));
	process.env.BODY_SIZE_LIMIT ??= BODY_LIMIT;
	process.env.CADREX_WORKERS ??= join(ROOT, 'build-cli');
	// Without ORIGIN the address is taken from each request; what comes in directly comes over plain HTTP.
	if (!process.env.ORIGIN) process.env.PROTOCOL_HEADER ??= 'x-forwarded-proto';
	const { handler } = await import(pathToFileURL(join(ROOT, 'build', 'handler.js')).href);
	// Only now: before it is asked to serve, this machine may have no packages yet.
	const { default: compression } = await import('compression');
	const compress = compression();
	// Once begun, the end is not cut short: a second signal (a shell and its child both get one) changes nothing.
	/** @type {Promise<void> | null} */
	let ending = null;
	const server = createServer((request, response) => {
		protect(request, response);
		if (!isMeant(request, host)) {
			// RFC 9110, 15.5.20
			response.writeHead(421, { 'content-type': 'text/plain' });
			response.end('This server is not at that address.');
			return;
		}
		if (ending) {
			response.writeHead(503, { connection: 'close', 'retry-after': '10', 'content-type': 'text/plain' });
			response.end('The server is being stopped. Try again in a moment; nothing of this was saved.');
			return;
		}
		request.headers['x-forwarded-proto'] ??= 'http';
		// The typings are those of a web framework; it takes what Node gives.
		compress(/** @type {any} */ (request), /** @type {any} */ (response), () => handler(request, response));
	});
	// Longer than browsers and proxies (60 s) keep an idle connection: with Node's 5 s one that is just being closed
	// meets the next request, and a part of a page does not arrive.
	server.keepAliveTimeout = 65_000;
	server.headersTimeout = 66_000;
	await new Promise((resolve, reject) => {
		server.once('error', reject);
		server.listen(port, host, () => resolve(undefined));
	});
	const address = server.address();
	const actual = typeof address === 'object' && address ? address.port : port;
	const own = `http://${host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host.includes(':') ? `[${host}]` : host}:${actual}`;
	process.emit(/** @type {any} */ ('cadrex:listening'), /** @type {any} */ (own));
	const close = async () => {
		const closed = new Promise((resolve) => server.close(resolve));
		// What is held open for as long as a page looks does not come to its end by itself.
		process.emit(/** @type {any} */ ('cadrex:ending'));
		// What is being answered is answered to its end; a connection that then waits for more is closed.
		const idle = setInterval(() => server.closeIdleConnections(), 50);
		const late = setTimeout(() => server.closeAllConnections(), PATIENCE);
		await closed;
		clearInterval(idle);
		clearTimeout(late);
		const done = new Promise((resolve) => process.once('cadrex:closed', resolve));
		process.emit(/** @type {any} */ ('sveltekit:shutdown'));
		await Promise.race([done, new Promise((resolve) => setTimeout(resolve, 5000))]);
	};
	const end = () => void (ending ??= close().then(() => process.exit(0)));
	process.on('SIGINT', end);
	process.on('SIGTERM', end);
	return { url: `http://${host === '0.0.0.0' ? 'localhost' : host}:${actual}`, close };
}

// Serves the built application. Used by start, demo, the browser tests and the screenshots.
import { createServer } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ROOT } from './setup.mjs';

/** A roster of 6 MB and a little around it; SvelteKit's own default is 512 kB. */
const BODY_LIMIT = '7M';

/**
 * Starts the server in this process.
 * @param {{ host: string, port: number }} at
 * @returns {Promise<{ url: string, close: () => Promise<void> }>}
 */
export async function serve({ host, port }) {
	process.env.BODY_SIZE_LIMIT ??= BODY_LIMIT;
	process.env.CADREX_WORKERS ??= join(ROOT, 'build-cli');
	// Without ORIGIN the address is taken from each request; what comes in directly comes over plain HTTP.
	if (!process.env.ORIGIN) process.env.PROTOCOL_HEADER ??= 'x-forwarded-proto';
	const { handler } = await import(pathToFileURL(join(ROOT, 'build', 'handler.js')).href);
	// Only now: before it is asked to serve, this machine may have no packages yet.
	const { default: compression } = await import('compression');
	const compress = compression();
	const server = createServer((request, response) => {
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
	const close = async () => {
		server.closeAllConnections();
		await new Promise((resolve) => server.close(resolve));
		const done = new Promise((resolve) => process.once('cadrex:closed', resolve));
		process.emit(/** @type {any} */ ('sveltekit:shutdown'));
		await Promise.race([done, new Promise((resolve) => setTimeout(resolve, 5000))]);
	};
	// Once begun, the end is not cut short: a second signal (a shell and its child both get one) changes nothing.
	/** @type {Promise<void> | null} */
	let ending = null;
	const end = () => (ending ??= close().then(() => process.exit(0)));
	process.on('SIGINT', end);
	process.on('SIGTERM', end);
	return { url: `http://${host === '0.0.0.0' ? 'localhost' : host}:${actual}`, close };
}

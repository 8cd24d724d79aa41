/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
/**
 * Keeps a participant's pages on their device: what the application is made of, and the last state of each page that they need
 * without a connection. Whatever can be fetched is fetched; what is kept is for when it cannot.
 */
import { build, files, version } from '$service-worker';
import { isKept, isRefreshed, isWhole, keptAs, linkedIn } from '$lib/offline/pages';

const worker = globalThis as unknown as ServiceWorkerGlobalScope;

/** Of this version, and of this person. */
const ASSETS = `assets ${version}`;
const PAGES = 'pages';
/** Milliseconds after which what is kept is shown in place of an answer that does not come. */
const PATIENCE = 4000;

const BUILT = new Set([...build, ...files]);
/** Without these no page looks as it should; scripts come with the pages that use them. */
const FIRST = [...BUILT].filter((path) => /\.(?:woff2|css|svg|png|webmanifest)$/.test(path));

worker.addEventListener('install', (event) => {
	event.waitUntil(
		caches
			.open(ASSETS)
			.then((cache) => cache.addAll(FIRST))
			.then(() => worker.skipWaiting())
	);
});

worker.addEventListener('activate', (event) => {
	const tidy = async () => {
		for (const name of await caches.keys()) if (name !== ASSETS && name !== PAGES) await caches.delete(name);
		await worker.clients.claim();
	};
	event.waitUntil(tidy());
});

async function asset(request: Request): Promise<Response> {
	const cache = await caches.open(ASSETS);
	const known = await cache.match(request);
	if (known) return known;
	const response = await fetch(request);
	if (response.ok) await cache.put(request, response.clone());
	return response;
}

async function page(request: Request): Promise<Response> {
	const cache = await caches.open(PAGES);
	const url = new URL(request.url);
	const fresh = fetch(request).then(async (response) => {
		if (response.ok && !response.redirected && isRefreshed(url.pathname) && isWhole(url))
			await cache.put(keptAs(url), response.clone());
		return response;
	});
	// What is shown in its place may be there first; that it failed is no matter then.
	fresh.catch(() => undefined);
	const patience = new Promise<null>((done) => setTimeout(() => done(null), PATIENCE));
	try {
		const first = await Promise.race([fresh, patience]);
		if (first) return first;
		return (await cache.match(keptAs(url))) ?? (await fresh);
	} catch (cause) {
		const known = await cache.match(keptAs(url));
		if (known) return known;
		throw cause;
	}
}

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	if (url.origin !== worker.location.origin) return;
	if (request.method === 'POST' && url.pathname === '/me' && url.search.startsWith('?/leave'))
		event.waitUntil(caches.delete(PAGES));
	if (request.method !== 'GET') return;
	if (BUILT.has(url.pathname)) event.respondWith(asset(request));
	else if (isKept(url.pathname)) event.respondWith(page(request));
});

/** Fetches pages with all that they are made of, before anybody opens them. */
async function keep(owner: string, paths: readonly string[]): Promise<void> {
	const pages = await caches.open(PAGES);
	const mark = new URL('/me/owner', worker.location.origin).href;
	const before = await (await pages.match(mark))?.text();
	if (before !== undefined && before !== owner) await caches.delete(PAGES);
	const own = await caches.open(PAGES);
	await own.put(mark, new Response(owner));
	for (const { url } of await own.keys())
		if (!isRefreshed(new URL(url).pathname) && url !== mark) await own.delete(url);
	const assets = await caches.open(ASSETS);
	for (const path of paths) {
		const [html, data] = await Promise.all([fetch(path), fetch(`${path}/__data.json`)]);
		if (!html.ok || html.redirected) continue;
		const at = new URL(path, worker.location.origin).href;
		const linked = linkedIn(await html.clone().text(), html.headers.get('link'), at);
		await own.put(at, html);
		if (data.ok) await own.put(`${at}/__data.json`, data);
		for (const href of linked) if (BUILT.has(href) && !(await assets.match(href))) await assets.add(href);
	}
}

worker.addEventListener('message', (event) => {
	const { keep: wanted } = event.data as { keep?: { owner: string; paths: string[] } };
	// Without a connection there is nothing to fetch; what is kept stays.
	if (wanted) event.waitUntil(keep(wanted.owner, wanted.paths).catch(() => undefined));
});

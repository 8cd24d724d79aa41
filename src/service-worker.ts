/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
/**
 * Keeps a participant's pages on their device: what the application is made of, and the last state of each page that they need
 * without a connection. Whatever can be fetched is fetched; what is kept is for when it cannot.
 */
import { build, files, version } from '$service-worker';
import { forgetPerson, PAGES } from '$lib/offline/forget';
import { notificationOf, readNotice, STOP, stopReminders } from '$lib/offline/reminders';
import { isKept, isRefreshed, isWhole, keptAs, linkedIn } from '$lib/offline/pages';

const worker = globalThis as unknown as ServiceWorkerGlobalScope;

/** Of this version; pages are of the person. */
const ASSETS = `assets ${version}`;
/** What is shown in place of a page that is not kept. */
const OFFLINE = '/offline';
/** Milliseconds after which what is kept is shown in place of an answer that does not come. */
const PATIENCE = 4000;

const BUILT = new Set([...build, ...files]);
/** Without these no page looks as it should; scripts come with the pages that use them. */
const FIRST = [...BUILT].filter((path) => /\.(?:woff2|css|svg|png|webmanifest)$/.test(path));

worker.addEventListener('install', (event) => {
	event.waitUntil(
		caches
			.open(ASSETS)
			.then(async (cache) => {
				await cache.addAll(FIRST);
				await keepOffline(cache);
			})
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

/** Keeps the page that says what can be opened without a connection, with what it is made of. */
async function keepOffline(cache: Cache): Promise<void> {
	const html = await fetch(OFFLINE);
	if (!html.ok) return;
	const at = new URL(OFFLINE, worker.location.origin).href;
	const linked = linkedIn(await html.clone().text(), html.headers.get('link'), at);
	await cache.put(at, html);
	await cache.addAll(linked.filter((path) => BUILT.has(path) && !FIRST.includes(path)));
}

/** A page that is not kept: without a connection the reader is told what is. */
async function other(request: Request): Promise<Response> {
	try {
		const response = await fetch(request);
		await forgetUnknown(request, response);
		return response;
	} catch (cause) {
		return sayOffline(request, cause);
	}
}

/** Leads a reader without a connection to what is kept; anything else than a page fails as it would. */
function sayOffline({ mode, url }: Request, cause: unknown): Response {
	const { pathname, search, origin } = new URL(url);
	if (mode !== 'navigate') throw cause;
	// Its own address: what it is made of is named in relation to it.
	return Response.redirect(`${origin}${OFFLINE}?to=${encodeURIComponent(pathname + search)}`);
}

async function offlinePage(request: Request): Promise<Response> {
	const kept = await (await caches.open(ASSETS)).match(request, { ignoreSearch: true });
	return kept ?? fetch(request);
}

/** Whether an answer says that the server does not know the person on this device any more. */
const isUnknown = (request: Request, { status, redirected, url }: Response): boolean =>
	status === 401 ||
	(redirected && new URL(url).pathname === '/sign-in' && new URL(request.url).pathname !== '/');

async function forgetUnknown(request: Request, response: Response): Promise<void> {
	if (/^\/(?:me|api\/me)(?:\/|$)/.test(new URL(request.url).pathname) && isUnknown(request, response))
		await forgetPerson();
}

/** Notifies a window that the stored page it shows is out of date, because the server's response has arrived. */
async function tellFresher(id: string): Promise<void> {
	(await worker.clients.get(id))?.postMessage({ fresher: true });
}

/** @param window client id of the requesting window, or of the window being navigated */
async function page(request: Request, window: string): Promise<Response> {
	const cache = await caches.open(PAGES);
	const url = new URL(request.url);
	const fresh = fetch(request).then(async (response) => {
		await forgetUnknown(request, response);
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
		const known = await cache.match(keptAs(url));
		if (!known) return await fresh;
		void fresh.then(
			() => tellFresher(window),
			() => undefined
		);
		return known;
	} catch (cause) {
		const known = await cache.match(keptAs(url));
		if (known) return known;
		return sayOffline(request, cause);
	}
}

worker.addEventListener('fetch', (event) => {
	const { request } = event;
	const url = new URL(request.url);
	if (url.origin !== worker.location.origin) return;
	if (request.method !== 'GET') return;
	if (BUILT.has(url.pathname)) event.respondWith(asset(request));
	else if (url.pathname === OFFLINE) event.respondWith(offlinePage(request));
	else if (isKept(url.pathname)) event.respondWith(page(request, event.resultingClientId || event.clientId));
	else if (request.mode === 'navigate' || /^\/(?:me|api\/me)\//.test(url.pathname))
		event.respondWith(other(request));
});

interface Wanted {
	owner: string;
	paths: string[];
	/** Whether what is there already is fetched once more. */
	anew: boolean;
}

/** Whether a page is there whole: as it is opened by its address and by a link. */
const isThere = async (pages: Cache, at: string): Promise<boolean> =>
	(await pages.match(at)) !== undefined && (await pages.match(`${at}/__data.json`)) !== undefined;

/** Fetches pages with all that they are made of, before anybody opens them. */
async function keep({ owner, paths, anew }: Wanted): Promise<void> {
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
		const at = new URL(path, worker.location.origin).href;
		if (!anew && (await isThere(own, at))) continue;
		const [html, data] = await Promise.all([fetch(path), fetch(`${path}/__data.json`)]);
		if (!html.ok || html.redirected) continue;
		const linked = linkedIn(await html.clone().text(), html.headers.get('link'), at);
		// Scripts and styles before the page: a stored page is complete even if the connection drops here.
		for (const href of linked) if (BUILT.has(href) && !(await assets.match(href))) await assets.add(href);
		await own.put(at, html);
		if (data.ok) await own.put(`${at}/__data.json`, data);
	}
}

worker.addEventListener('message', (event) => {
	const { keep: wanted } = event.data as { keep?: Wanted };
	// Without a connection there is nothing to fetch; what is kept stays.
	if (wanted) event.waitUntil(keep(wanted).catch(() => undefined));
});

worker.addEventListener('push', (event) => {
	const notice = readNotice(event.data?.text() ?? '');
	if (!notice) return;
	const { title, options } = notificationOf(notice);
	event.waitUntil(worker.registration.showNotification(title, options));
});

/** Milliseconds in which a window says that it shows a participant's pages. */
const ANSWER = 300;

/** Asks a window to open a page. @returns whether it does: a window of a coach, or one that is still loading, doesn't answer */
const asked = (window: Client, path: string): Promise<boolean> =>
	new Promise((resolve) => {
		const { port1, port2 } = new MessageChannel();
		port1.onmessage = () => resolve(true);
		setTimeout(() => resolve(false), ANSWER);
		window.postMessage({ open: path }, [port2]);
	});

/** Opens a page in a window that shows participant's pages, if there is one, or in a new one. */
async function openPage(path: string): Promise<void> {
	for (const window of await worker.clients.matchAll({ type: 'window' }))
		if (await asked(window, path)) {
			await window.focus();
			return;
		}
	await worker.clients.openWindow(path);
}

worker.addEventListener('notificationclick', (event) => {
	const { url, stop } = event.notification.data as { url: string; stop: string };
	event.notification.close();
	event.waitUntil(event.action === STOP ? stopReminders(stop) : openPage(url));
});

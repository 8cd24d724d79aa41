import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { DeviceQueue } from './queue.svelte';
import { passingStore } from './store';

// A browser without locks.
beforeEach(() => vi.stubGlobal('navigator', {}));
afterEach(() => {
	vi.unstubAllGlobals();
	vi.restoreAllMocks();
});
const answering = (status: number, body: object = {}) =>
	vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify(body), { status })));
const offline = () => vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
const send = (queue: DeviceQueue) =>
	queue.send('mine', { id: 'a', kind: 'check-in', day: 3, body: { done: 'all' } });
const store = passingStore();
const queue = () => new DeviceQueue(() => Promise.resolve(store));

it('hands a refusal to the page that sends, and shows it nowhere else', async () => {
	answering(400, { message: 'Sleep is 0 to 24 hours.' });
	const one = queue();
	const shown: number[] = [];
	// Another look at the queue goes on meanwhile, as it does when the connection comes back.
	const look = one.flush('mine').then(() => shown.push(one.left.refused.length));
	const sent = send(one);
	const more = one.flush('mine').then(() => shown.push(one.left.refused.length));
	expect(await sent).toEqual({ refused: 'Sleep is 0 to 24 hours.', kept: false });
	await Promise.all([look, more]);
	expect(shown).toEqual([0, 0]);
	expect(await store.queued()).toEqual([]);
});

it('keeps what finds no connection, and says so', async () => {
	offline();
	const one = queue();
	expect(await send(one)).toEqual({ refused: null, kept: true });
	expect(one.left.waiting).toHaveLength(1);
	answering(201);
	await one.flush('mine');
	expect(one.left.waiting).toEqual([]);
});

it('says that nothing is kept where there is neither room nor a connection', async () => {
	const full = { ...passingStore(), keepQueued: () => Promise.reject(new Error('QuotaExceededError')) };
	const one = new DeviceQueue(() => Promise.resolve(full));
	offline();
	expect(await send(one)).toMatchObject({
		kept: false,
		refused: expect.stringMatching(/no room.*Leave this page open/) as string
	});
	answering(201);
	expect(await send(one), 'with a connection it is sent all the same').toEqual({
		refused: null,
		kept: false
	});
	answering(409, { message: 'This day closed.' });
	expect(await send(one)).toEqual({ refused: 'This day closed.', kept: false });
});

it('reloads a page that was requested before the previous page sent its queue', async () => {
	const local = new Map<string, string>();
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => local.get(key) ?? null,
		setItem: (key: string, value: string) => local.set(key, value)
	});
	vi.stubGlobal('window', new EventTarget());
	answering(201);
	await send(queue());
	const told = async (asked: number) => {
		vi.spyOn(performance, 'timeOrigin', 'get').mockReturnValue(asked);
		const sent = vi.fn();
		const stop = queue().watch('mine', sent);
		await new Promise((resolve) => setTimeout(resolve, 20));
		stop();
		return sent.mock.calls.length;
	};
	expect(await told(Date.now() - 1000)).toBe(1);
	expect(await told(Date.now() + 1000)).toBe(0);
});

import { describe, expect, it, vi } from 'vitest';
import { seededRandom } from '$core/stats';
import { SendQueue, sendTo, type Answer, type Send } from './queue';
import { passingStore } from './store';

const URLS = { 'check-in': '/api', stop: '/api/stop' };
const result = (id: string, day: number, body: Record<string, unknown>) => ({
	id,
	kind: 'check-in' as const,
	day,
	body
});
const alone = (work: () => Promise<void>) => work();

function queueWith(send: Send, store = passingStore(), enrolment = 'mine') {
	let clock = 1000;
	return { queue: new SendQueue(store, enrolment, send, alone, () => clock++), store };
}
const answers = (...list: Answer[]): { send: Send; sent: Record<string, unknown>[] } => {
	const sent: Record<string, unknown>[] = [];
	return {
		sent,
		send: (_kind, body) => {
			sent.push(body);
			return Promise.resolve(list.shift() ?? null);
		}
	};
};

describe('the queue of a device', () => {
	it('sends in order, with the time of sending, and is empty then', async () => {
		const { send, sent } = answers({ taken: true }, { taken: true });
		const { queue } = queueWith(send);
		await queue.add(result('b', 1, { done: 'all' }));
		await queue.add(result('a', 2, { done: 'part' }));
		expect(await queue.flush()).toEqual({ waiting: [], refused: [] });
		expect(sent).toEqual([
			{ id: 'b', done: 'all', enrolment: 'mine', sentAt: 1002 },
			{ id: 'a', done: 'part', enrolment: 'mine', sentAt: 1003 }
		]);
	});
	it('sends a warning sign before everything else, whatever the server says of a result', async () => {
		const kinds: string[] = [];
		const { queue } = queueWith((kind) => {
			kinds.push(kind);
			return Promise.resolve(kind === 'stop' ? { taken: true } : null);
		});
		await queue.add(result('a', 1, {}));
		await queue.add({ id: 'b', kind: 'stop', day: null, body: { sign: 'chest' } });
		expect((await queue.flush()).waiting.map(({ id }) => id)).toEqual(['a']);
		expect(kinds).toEqual(['stop', 'check-in']);
	});
	it('keeps everything that has had no answer, and what comes after it', async () => {
		const { send, sent } = answers({ taken: true }, null);
		const { queue } = queueWith(send);
		for (const id of ['a', 'b', 'c']) await queue.add(result(id, 1, {}));
		expect((await queue.flush()).waiting.map(({ id }) => id)).toEqual(['b', 'c']);
		expect(sent).toHaveLength(2);
	});
	it('keeps what was refused with the words for it, and goes on with the next', async () => {
		const { send } = answers({ taken: false, message: 'This day closed.' }, { taken: true }, { taken: true });
		const { queue } = queueWith(send);
		await queue.add(result('a', 1, {}));
		await queue.add(result('b', 2, {}));
		const left = await queue.flush();
		expect(left.waiting).toEqual([]);
		expect(left.refused).toMatchObject([{ id: 'a', refused: 'This day closed.' }]);
		expect(await queue.flush()).toMatchObject({ refused: [{ id: 'a' }] });
		expect(await queue.again('a')).toEqual({ waiting: [], refused: [] });
	});
	it('sends one that was refused in place of what stands, if the person says so', async () => {
		const { send, sent } = answers(
			{ taken: false, message: 'You have checked in already.' },
			{ taken: true }
		);
		const { queue } = queueWith(send);
		await queue.add(result('a', 1, { done: 'part', replaces: null, adds: true }));
		await queue.flush();
		expect(await queue.replace('a', 'there')).toEqual({ waiting: [], refused: [] });
		expect(sent[1]).toMatchObject({ id: 'a', replaces: 'there', adds: false });
	});
	it('is not stopped for good by one on which the server fails', async () => {
		const failed: Answer = { taken: false, failed: true, message: 'It failed.' };
		const { send, sent } = answers(
			...Array.from({ length: 5 }, () => failed),
			{ taken: true },
			{ taken: true }
		);
		const { queue } = queueWith(send);
		await queue.add(result('a', 1, {}));
		await queue.add(result('b', 2, {}));
		// It may add to what comes before it: the one behind waits its turn.
		for (let i = 1; i < 5; i++) expect((await queue.flush()).waiting.map(({ id }) => id)).toEqual(['a', 'b']);
		expect(await queue.flush()).toMatchObject({ waiting: [], refused: [{ id: 'a', refused: 'It failed.' }] });
		expect(sent.map(({ id }) => id)).toEqual(['a', 'a', 'a', 'a', 'a', 'b']);
		expect(await queue.again('a')).toEqual({ waiting: [], refused: [] });
	});
	it('is one’s own, also where somebody else uses the device', async () => {
		const { send, sent } = answers({ taken: true });
		const { queue, store } = queueWith(send);
		await queue.add(result('a', 1, {}));
		const other = queueWith(send, store, 'theirs').queue;
		expect(await other.flush()).toEqual({ waiting: [], refused: [] });
		expect(sent).toEqual([]);
	});
	it('tries once more when it is asked to while a try goes on: the connection may be back since', async () => {
		let heard: (answer: Answer) => void = () => undefined;
		const sent: unknown[] = [];
		const { queue } = queueWith((_kind, body) => {
			sent.push(body.id);
			return sent.length === 1
				? new Promise((resolve) => (heard = resolve))
				: Promise.resolve({ taken: true });
		});
		await queue.add(result('a', 1, {}));
		const first = queue.flush();
		await vi.waitUntil(() => sent.length === 1);
		const second = queue.flush();
		heard(null);
		expect(await Promise.all([first, second])).toEqual([
			{ waiting: [], refused: [] },
			{ waiting: [], refused: [] }
		]);
		expect(sent).toEqual(['a', 'a']);
	});
	it('sends what is kept while a try goes on', async () => {
		const { queue } = queueWith(async (_kind, body) => {
			if (body.id === 'a') await queue.add(result('b', 1, {})).then(() => void queue.flush());
			return { taken: true };
		});
		await queue.add(result('a', 1, {}));
		expect(await queue.flush()).toEqual({ waiting: [], refused: [] });
	});
	it('sends each once though it is asked to from several sides at once', async () => {
		const { send, sent } = answers(...Array.from({ length: 9 }, (): Answer => ({ taken: true })));
		const { queue } = queueWith(send);
		for (const id of ['a', 'b', 'c']) await queue.add(result(id, 1, {}));
		await Promise.all([queue.flush(), queue.flush(), queue.flush()]);
		expect(sent.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
	});
	it('loses and doubles none of two thousand where three of ten requests are dropped, on the way there or back', async () => {
		const chance = seededRandom('a shed without signal');
		const taken: string[] = [];
		const known = new Set<string>();
		const send: Send = (_kind, body) => {
			const drop = chance();
			if (drop < 0.15) return Promise.resolve(null);
			const id = String(body.id);
			if (!known.has(id)) taken.push(id);
			known.add(id);
			return Promise.resolve(drop < 0.3 ? null : { taken: true });
		};
		const { queue } = queueWith(send);
		const ids = Array.from({ length: 2000 }, (_, i) => `r${i}`);
		for (const id of ids) await queue.add(result(id, 1, {}));
		let rounds = 0;
		while ((await queue.flush()).waiting.length > 0) expect(++rounds).toBeLessThan(2000);
		expect(taken).toEqual(ids);
	});
});

describe('sending', () => {
	const answered = async (status: number, body: unknown = {}): Promise<Answer> => {
		vi.stubGlobal('fetch', () => Promise.resolve(Response.json(body, { status })));
		try {
			return await sendTo(URLS)('check-in', {});
		} finally {
			vi.unstubAllGlobals();
		}
	};
	it('takes an answer for what it is, and too often, no time and not signed in for none', async () => {
		expect([await answered(200), await answered(201)]).toEqual([{ taken: true }, { taken: true }]);
		for (const status of [401, 408, 429, 502, 503, 504])
			expect(await answered(status), String(status)).toBeNull();
		expect(await answered(409, { message: 'Closed.' })).toEqual({ taken: false, message: 'Closed.' });
		expect(await answered(400, {})).toEqual({ taken: false, message: 'Refused (400).' });
		expect(await answered(500)).toMatchObject({ taken: false, failed: true });
	});
	it('has no answer without a connection', async () => {
		vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
		expect(await sendTo(URLS)('check-in', {})).toBeNull();
		vi.unstubAllGlobals();
	});
});

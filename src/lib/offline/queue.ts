/** Sends what a device keeps, in order, each once: the server knows each by its id and takes it a second time as the first. */
import { forgetPerson } from './forget';
import type { DeviceStore, Queued, QueuedKind } from './store';

/** What came of sending one; `failed`: it is not known why; null: there was no connection, or the server had no time. */
export type Answer = { taken: true } | { taken: false; message: string; failed?: true } | null;

export type Send = (kind: QueuedKind, body: Record<string, unknown>) => Promise<Answer>;

/** Runs work while no other page of this device does the same. */
export type Alone = (work: () => Promise<void>) => Promise<void>;

/** What a page hands over to be sent. */
export type ToSend = Pick<Queued, 'id' | 'kind' | 'day' | 'body'>;

/** What a flush left behind. */
export interface Left {
	waiting: Queued[];
	refused: Queued[];
}

/** How often one is sent on which the server fails, before what waits behind it has its turn. */
const TRIES = 5;

export class SendQueue {
	private flushing: Promise<Left> | null = null;
	/** Whether it was asked for while it went on: with what was kept since, or with a connection that was not there before. */
	private asked = false;

	/** @param now the time of this device, epoch milliseconds */
	constructor(
		private readonly store: DeviceStore,
		private readonly enrolment: string,
		private readonly send: Send,
		private readonly alone: Alone,
		private readonly now: () => number
	) {}

	/** Keeps something to be sent; it is not lost from then on. @throws where the device has no room for it */
	add({ id, kind, day, body }: ToSend): Promise<void> {
		return this.store.keepQueued({
			id,
			kind,
			enrolment: this.enrolment,
			day,
			body,
			madeAt: this.now(),
			refused: null,
			tries: 0
		});
	}

	async left(): Promise<Left> {
		const own = (await this.store.queued()).filter(({ enrolment }) => enrolment === this.enrolment);
		return {
			waiting: own.filter(({ refused }) => refused === null),
			refused: own.filter(({ refused }) => refused !== null)
		};
	}

	/**
	 * Sends what waits. What the server will not have is kept with its words, and the next is sent.
	 * Whoever asks while it goes on gets what is left after one more round.
	 */
	flush(): Promise<Left> {
		this.asked = true;
		this.flushing ??= this.rounds().finally(() => (this.flushing = null));
		return this.flushing;
	}

	private async rounds(): Promise<Left> {
		let left: Left;
		do {
			this.asked = false;
			left = await this.sendAll();
		} while (this.asked);
		return left;
	}

	private async sendAll(): Promise<Left> {
		await this.alone(async () => {
			for (const one of (await this.left()).waiting) {
				const answer = await this.send(one.kind, {
					...one.body,
					id: one.id,
					enrolment: this.enrolment,
					sentAt: this.now()
				});
				// What comes after it may add to it: it waits as well.
				if (answer === null) return;
				if (answer.taken) await this.store.dropQueued(one.id);
				else if (answer.failed && one.tries + 1 < TRIES) {
					await this.store.keepQueued({ ...one, tries: one.tries + 1 });
					return;
				} else await this.store.keepQueued({ ...one, refused: answer.message });
			}
		});
		return this.left();
	}

	/** Tries one again that was refused. */
	async again(id: string): Promise<Left> {
		const one = (await this.store.queued()).find((queued) => queued.id === id);
		if (one) await this.store.keepQueued({ ...one, refused: null, tries: 0 });
		return this.flush();
	}

	/** Sends one that was refused in place of what stands for its day. @param replaces the id of that */
	async replace(id: string, replaces: string): Promise<Left> {
		const one = (await this.store.queued()).find((queued) => queued.id === id);
		if (one) {
			const body = { ...one.body, replaces, adds: false };
			await this.store.keepQueued({ ...one, body, refused: null, tries: 0 });
		}
		return this.flush();
	}

	async drop(id: string): Promise<Left> {
		await this.store.dropQueued(id);
		return this.left();
	}
}

/** JSON has no word for what is no number: it would go as nothing at all, and be taken for nothing. */
const asTyped = (_: string, value: unknown): unknown =>
	typeof value === 'number' && !Number.isFinite(value) ? String(value) : value;

/** Sends as JSON, each kind to its address; too often, no time, not signed in and another person’s are no answers. */
export const sendTo =
	(urls: Record<QueuedKind, string>): Send =>
	async (kind, body) => {
		try {
			const response = await fetch(urls[kind], {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify(body, asTyped)
			});
			if (response.ok) return { taken: true };
			if (response.status === 500)
				return {
					taken: false,
					failed: true,
					message: 'The server failed on it. It is kept here: send it again later, or tell your coach.'
				};
			// Signed out elsewhere, or deleted: nothing of the person stays on this device.
			if (response.status === 401) await forgetPerson();
			if (response.status > 500 || [401, 403, 408, 429].includes(response.status)) return null;
			const { message } = (await response.json()) as { message?: unknown };
			return {
				taken: false,
				message: typeof message === 'string' ? message : `Refused (${response.status}).`
			};
		} catch {
			return null;
		}
	};

/** One page of this device at a time, where the browser can tell; otherwise the server's own order holds. */
export const oneAtATime: Alone = (work) =>
	'locks' in navigator ? navigator.locks.request('cadrex-queue', work) : work();

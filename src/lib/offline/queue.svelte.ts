/** The queue of this device as pages see it: what waits, and what was refused. */
import { deviceStore, passingStore, type DeviceStore } from './store';
import { oneAtATime, SendQueue, sendTo, type Left, type Send, type ToSend } from './queue';

const URLS = { 'check-in': '/api/me/checkins', stop: '/api/me/stops' };
/** Milliseconds until the second try while something waits; each wait after it is twice as long, up to the longest. */
const SOON = 2000;
const LONGEST = 20_000;

/** Key in local storage: time at which the server last accepted something from this device, epoch milliseconds. */
const LAST_SENT = 'cadrex.sent';

/** Sends to the server and records the time if it was accepted: pages requested before that show the earlier state. */
const sendAndNote: Send = async (kind, body) => {
	const answer = await sendTo(URLS)(kind, body);
	try {
		if (answer?.taken) localStorage.setItem(LAST_SENT, String(Date.now()));
	} catch {
		// Without local storage the new state appears with the next page.
	}
	return answer;
};

/** Whether the server accepted something after an instant, from this page or another. @param instant epoch milliseconds */
function wasSentSince(instant: number): boolean {
	try {
		return Number(localStorage.getItem(LAST_SENT) ?? -Infinity) >= instant;
	} catch {
		return false;
	}
}

const queueOn = (store: DeviceStore, enrolment: string): SendQueue =>
	new SendQueue(store, enrolment, sendAndNote, oneAtATime, () => Date.now());

/** What came of a result that a page sends. */
export interface Sent {
	/** What was said against it; null: nothing. It is with whoever typed it, and not kept. */
	refused: string | null;
	/** It is kept on this device, and waits for a connection. */
	kept: boolean;
}

const NO_ROOM =
	'There is no connection, and this device has no room to keep it. Leave this page open and send it again when you are online.';

export class DeviceQueue {
	left = $state.raw<Left>({ waiting: [], refused: [] });
	/** Whether the device keeps what waits when the page is closed. */
	lasting = $state(true);
	private store: Promise<DeviceStore> | null = null;
	private readonly queues: Record<string, SendQueue> = {};
	/** What a page is just sending: it says itself what becomes of it. */
	private inHand: string[] = [];

	constructor(private readonly openStore: () => Promise<DeviceStore> = deviceStore) {}

	private show({ waiting, refused }: Left): void {
		this.left = { waiting, refused: refused.filter(({ id }) => !this.inHand.includes(id)) };
	}

	/** The queue of somebody; one for each who uses this device. */
	async open(enrolment: string): Promise<{ store: DeviceStore; queue: SendQueue }> {
		this.store ??= this.openStore();
		const store = await this.store;
		this.lasting = store.lasting;
		const known = this.queues[enrolment];
		if (known) return { store, queue: known };
		const queue = (this.queues[enrolment] = queueOn(store, enrolment));
		this.show(await queue.left());
		return { store, queue };
	}

	/** Keeps something and tries to send it. */
	async send(enrolment: string, what: ToSend): Promise<Sent> {
		const { queue } = await this.open(enrolment);
		const { id } = what;
		try {
			await queue.add(what);
		} catch {
			return this.sendAtOnce(enrolment, what);
		}
		this.inHand.push(id);
		try {
			const { waiting, refused } = await queue.flush();
			const mine = refused.find((one) => one.id === id);
			// What was typed is still before whoever typed it: it need not be kept twice.
			this.show(mine ? await queue.drop(id) : { waiting, refused });
			return { refused: mine?.refused ?? null, kept: waiting.some((one) => one.id === id) };
		} finally {
			this.inHand = this.inHand.filter((one) => one !== id);
		}
	}

	/** Without room to keep it: it is sent now, or stays with whoever typed it. */
	private async sendAtOnce(enrolment: string, what: ToSend): Promise<Sent> {
		const passing = queueOn(passingStore(), enrolment);
		await passing.add(what);
		const { waiting, refused } = await passing.flush();
		return { refused: refused[0]?.refused ?? (waiting.length > 0 ? NO_ROOM : null), kept: false };
	}

	async flush(enrolment: string): Promise<void> {
		const { queue } = await this.open(enrolment);
		this.show(await queue.flush());
	}
	async again(enrolment: string, id: string): Promise<void> {
		const { queue } = await this.open(enrolment);
		this.show(await queue.again(id));
	}
	async replace(enrolment: string, id: string, replaces: string): Promise<void> {
		const { queue } = await this.open(enrolment);
		this.show(await queue.replace(id, replaces));
	}
	async drop(enrolment: string, id: string): Promise<void> {
		const { queue } = await this.open(enrolment);
		this.show(await queue.drop(id));
	}

	/** Sends as soon as there is a connection, for as long as a page is open. @param sent is called when something got through */
	watch(enrolment: string, sent: () => void): () => void {
		// The previous page may send its queue while this page is being fetched.
		let shownFrom = performance.timeOrigin;
		const look = async () => {
			// What was kept before the page was opened is known only once the queue is.
			await this.open(enrolment);
			const before = this.left.waiting.length;
			await this.flush(enrolment);
			if (this.left.waiting.length < before || wasSentSince(shownFrom)) {
				shownFrom = Date.now();
				sent();
			}
		};
		let timer: ReturnType<typeof setTimeout>;
		const tryIn = (wait: number) => {
			timer = setTimeout(() => {
				if (this.left.waiting.length > 0) void look();
				tryIn(Math.min(2 * wait, LONGEST));
			}, wait);
		};
		const online = () => {
			clearTimeout(timer);
			void look();
			tryIn(SOON);
		};
		window.addEventListener('online', online);
		online();
		return () => {
			clearTimeout(timer);
			window.removeEventListener('online', online);
		};
	}
}

export const deviceQueue = new DeviceQueue();

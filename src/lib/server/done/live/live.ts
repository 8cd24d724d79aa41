/**
 * The one place through which pages hear that something came about, as it does. The database says in which challenge
 * (`LISTEN`/`NOTIFY`), so that every process hears what any of them did; pages then ask for what they show.
 */
import type { Database } from '../../platform/db/database';

const CHANNEL = 'cadrex_live';

/** Streams that one process holds open, and those of one coach among them: a page without one asks from time to time. */
const MOST = { all: 500, ofCoach: 10 };
/** Milliseconds between two words at most: those in between are one. */
const PAUSE = 250;
/** Milliseconds after which a stream says that it is still there: what lies between drops a silent one. */
const STILL_HERE = 20_000;

interface Stream {
	coach: string;
	challenge: string;
	/** Says something; nothing in development or once it is over. */
	say(text: string): void;
	end(): void;
}

export class Live {
	private readonly streams = new Set<Stream>();
	private readonly due = new Map<string, ReturnType<typeof setTimeout>>();
	private ended = false;
	private readonly still: ReturnType<typeof setInterval>;

	private constructor(private readonly unlisten: () => Promise<void>) {
		this.still = setInterval(() => {
			for (const stream of this.streams) stream.say(': still here\n\n');
		}, STILL_HERE);
		this.still.unref();
	}

	/** Listens from now on. */
	static async start(db: Pick<Database, 'listen'>): Promise<Live> {
		let live: Live | null = null;
		const unlisten = await db.listen(CHANNEL, (word) => live?.heard(word));
		return (live = new Live(unlisten));
	}

	/** How many streams are open. */
	get open(): number {
		return this.streams.size;
	}

	/** A word of the database: the id of a challenge in which something came about, or `left`, a challenge and a coach. */
	private heard(word: string): void {
		const [, challenge, coach] = /^left (\S+) (\S+)$/.exec(word) ?? [];
		if (challenge && coach) this.endOf(coach, challenge);
		else this.changed(word);
	}

	/** Ends the streams of a coach about a challenge that they have no part in any more. */
	private endOf(coach: string, challenge: string): void {
		for (const stream of this.streams)
			if (stream.coach === coach && stream.challenge === challenge) {
				stream.end();
				this.streams.delete(stream);
			}
	}

	/** Something came about in a challenge: whoever looks at it is told, and what follows soon is told together. */
	private changed(challenge: string): void {
		if (this.due.has(challenge) || ![...this.streams].some((stream) => stream.challenge === challenge))
			return;
		this.due.set(
			challenge,
			setTimeout(() => {
				this.due.delete(challenge);
				for (const stream of this.streams)
					if (stream.challenge === challenge) stream.say('event: changed\ndata: \n\n');
			}, PAUSE)
		);
	}

	/** A stream of server-sent events (WHATWG HTML) for one page; null where too many are open, or this process is stopping. */
	stream(coach: string, challenge: string): ReadableStream<Uint8Array> | null {
		const own = [...this.streams].filter((one) => one.coach === coach);
		if (this.ended || this.streams.size >= MOST.all || own.length >= MOST.ofCoach) return null;
		const bytes = new TextEncoder();
		const { streams } = this;
		let here: Stream;
		return new ReadableStream<Uint8Array>({
			start(controller) {
				here = {
					coach,
					challenge,
					say: (text) => controller.enqueue(bytes.encode(text)),
					end: () => controller.close()
				};
				streams.add(here);
				// What came about before it was open is asked for at once; a stream that breaks is opened again after five seconds.
				here.say('retry: 5000\nevent: changed\ndata: \n\n');
			},
			cancel: () => void streams.delete(here)
		});
	}

	/** Ends all streams; none is opened any more. */
	end(): void {
		this.ended = true;
		clearInterval(this.still);
		for (const timer of this.due.values()) clearTimeout(timer);
		this.due.clear();
		for (const stream of this.streams) stream.end();
		this.streams.clear();
	}

	/** The same, and listens no longer. */
	async close(): Promise<void> {
		this.end();
		await this.unlisten();
	}
}

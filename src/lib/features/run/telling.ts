/** Tells the server where a session is while there is a connection: of use to a coach who looks, and to nothing else. */
import type { LivePhase } from '$contracts/live';
import { stepWords, type Course, type Moment, type RunLog } from '$core/run';

/** What is told, but for the day. */
export interface Told {
	phase: LivePhase;
	what: string | null;
	share: number;
	hurts: { exercise: string; area: RunLog['hurts'][number]['area'] }[];
}

/** Milliseconds between two words at least: what comes between is told with the next. */
const PAUSE = 4000;
/** Milliseconds after which it is told once more, though nothing has changed. */
const STILL = 120_000;

export function toldOf(course: Course, moment: Moment, log: RunLog): Told {
	const step = course.steps[moment.step];
	const work = step?.kind === 'work';
	const going = moment.phase === 'going' || moment.phase === 'paused';
	return {
		phase: moment.phase,
		what: going && step ? (work ? stepWords(course, step).slice(0, 120) : 'resting') : null,
		share: Math.min(1, moment.elapsed / Math.max(1, moment.elapsed + moment.remaining)),
		hurts: log.hurts.slice(-20).map(({ exercise, area }) => ({ exercise, area }))
	};
}

export class Telling {
	private last = '';
	private lastAt = -Infinity;
	private timer: ReturnType<typeof setTimeout> | null = null;
	private next: Told | null = null;
	private sent: Told = { phase: 'ready', what: null, share: 0, hurts: [] };

	/** @param send never throws: what does not get through is told with the next */
	constructor(private readonly send: (told: Told, leaving: boolean) => void) {}

	/** Takes what is to be told; pain is told at once. */
	tell(told: Told): void {
		// The share alone moves all the time.
		const key = JSON.stringify([told.phase, told.what, told.hurts]);
		const now = Date.now();
		if (key === this.last && now - this.lastAt < STILL) return;
		const pain = told.hurts.length > this.sent.hurts.length;
		this.next = told;
		if (pain || now - this.lastAt >= PAUSE) this.flush();
		else this.timer ??= setTimeout(() => this.flush(), PAUSE - (now - this.lastAt));
	}

	private flush(leaving = false): void {
		if (this.timer) clearTimeout(this.timer);
		this.timer = null;
		const told = this.next;
		if (!told) return;
		this.next = null;
		this.sent = told;
		this.last = JSON.stringify([told.phase, told.what, told.hurts]);
		this.lastAt = Date.now();
		this.send(told, leaving);
	}

	/** The page is left: whoever was at it has stopped, as far as anybody knows. */
	leave(): void {
		const { phase } = this.next ?? this.sent;
		if (phase === 'going' || phase === 'paused') this.next = { ...(this.next ?? this.sent), phase: 'left' };
		this.flush(true);
	}
}

/** Sends to this server, whatever becomes of it. */
export const sendTold =
	(day: number) =>
	(told: Told, leaving: boolean): void =>
		void fetch('/api/me/live', {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ day, ...told }),
			keepalive: leaving
		}).catch(() => undefined);

/** A session that is under way on this device: what was done, where that leads, and what is called out. */
import {
	callsBetween,
	callWords,
	momentOf,
	nextChange,
	rebased,
	runLogOf,
	withFirstSide,
	type Act,
	type Course,
	type Heard
} from '$core/run';
import type { CueKind } from '$core/session';
import type { DeviceStore, KeptRun } from '$lib/offline/store';

/** What calls are made with. */
export interface Caller {
	say(words: string): void;
	hush(): void;
	tone(kind: 'short' | 'long', wait?: number): void;
	buzz(pattern: number | number[]): void;
	/** Whether repetitions are ticked at their tempo. */
	readonly paces: boolean;
}

/** Milliseconds after which a call has lost its sense: the page was asleep. */
const STALE = 1500;
/** Milliseconds out of sight from which somebody is asked where they were. */
const AWAY = 90_000;
/** Milliseconds between two times at which the device notes that the page is open. */
const NOTE_EVERY = 5000;
/** A second tap within this time was meant for the step before: milliseconds. */
const SLIP = 350;

/** Seconds ahead for which a tick is handed to the sound system. */
const AHEAD = 0.25;
/** Less than any clock tells apart: milliseconds. */
const INSTANT = 0.001;

/** What is done, without the time at which it is. */
export type Deed = Act extends infer One ? (One extends Act ? Omit<One, 'at'> : never) : never;

export class Runner {
	readonly course: Course;
	acts = $state.raw<Act[]>([]);
	/** The instant that is shown. */
	now = $state(0);
	/** The last call in words, for who reads or listens with other means. */
	called = $state('');
	/** Since when somebody was away, where the clock went on without them. */
	away = $state<{ from: number; for: number } | null>(null);
	/** The device has no room, or keeps nothing. */
	unkept = $state(false);
	readonly moment = $derived.by(() => momentOf(this.course, this.acts, this.now));
	readonly step = $derived.by(() => this.course.steps[this.moment.step] ?? null);
	readonly log = $derived.by(() => runLogOf(this.course, this.acts, this.now));

	private heardTo: number;
	/** When the next call or change comes about by itself: until then there is nothing to look for. Null: not by itself. */
	private next: number | null = null;
	private timer: ReturnType<typeof setTimeout> | null = null;
	private ticking: ReturnType<typeof setInterval> | null = null;
	private noted = 0;
	private lastMove = 0;
	/** Repetitions of a step that have been ticked. */
	private paced = { step: -1, reps: 0 };

	constructor(
		private readonly kept: KeptRun,
		private readonly store: Pick<DeviceStore, 'keepRun'>,
		private readonly clock: { now(): number; woken(): void },
		private readonly caller: Caller
	) {
		const now = clock.now();
		this.course = withFirstSide(kept.course, kept.first);
		this.acts = rebased(kept.acts, kept.seen, now);
		this.now = now;
		this.heardTo = now;
		if (this.acts.length > 0) this.ask(kept.seen, now);
	}

	/** Goes on with the clock until `stop`. */
	run(): void {
		this.ticking = setInterval(() => this.wake(), 100);
		this.wait();
	}

	stop(): void {
		// What came about by itself since it was last noted is part of it.
		if (this.acts.length > 0) {
			this.wake();
			void this.note();
		}
		this.leave();
	}

	/** Ends without noting anything: another window leads the session. */
	leave(): void {
		if (this.timer) clearTimeout(this.timer);
		if (this.ticking) clearInterval(this.ticking);
		this.timer = this.ticking = null;
		this.caller.hush();
	}

	/** The page is seen again. */
	woken(): void {
		const before = this.now;
		this.clock.woken();
		const now = this.clock.now();
		this.ask(before, now);
		this.wake(true);
	}

	/** Asks where somebody was, if the session went on without them. */
	private ask(from: number, now: number): void {
		const then = momentOf(this.course, this.acts, from);
		if (now - from < AWAY || then.phase !== 'going') return;
		if (momentOf(this.course, this.acts, now).step === then.step) return;
		this.away = { from, for: now - from };
	}

	/** Goes back to where somebody was when they left, as if they had paused there. */
	backToWhereILeft(): void {
		if (!this.away) return;
		const { from } = this.away;
		this.away = null;
		this.acts = [...this.acts, { do: 'pause', at: from }, { do: 'resume', at: this.clock.now() }];
		this.changed();
	}

	do(deed: Deed): void {
		const at = this.clock.now();
		const moves = deed.do === 'done' || deed.do === 'skip';
		// Two taps on the way from one step to the next are one: the second would end what has only just begun.
		if (moves && at - this.lastMove < SLIP) return;
		if (moves) this.lastMove = at;
		this.wake();
		this.away = null;
		this.acts = [...this.acts, { ...deed, at }];
		// What a step calls as it begins comes about at this very instant.
		this.heardTo = at - INSTANT;
		if (deed.do === 'pause' || moves || deed.do === 'finish') this.caller.hush();
		this.changed();
	}

	private changed(): void {
		this.wake(true);
		void this.note();
	}

	/** Looks at the clock, and calls out what has come about since it was last looked at. */
	private wake(look = false): void {
		const now = this.clock.now();
		this.now = now;
		if (look || (this.next !== null && now >= this.next)) {
			const calls = callsBetween(this.course, this.acts, this.heardTo, now);
			this.heardTo = now;
			for (const one of calls) if (now - one.at < STALE) this.call(one, now);
			this.wait();
		}
		if (this.caller.paces) this.pace();
		if (now - this.noted > NOTE_EVERY) void this.note();
	}

	/** Ticks at the end of each repetition, so far ahead that the sound system keeps the time. */
	private pace(): void {
		const { step, moment } = this;
		const task = step?.tasks[0];
		const exercise = task && this.course.exercises[task.exercise];
		if (moment.phase !== 'going' || !exercise || step.ends !== 'person' || exercise.unit !== 'reps') return;
		if (this.paced.step !== moment.step || this.paced.reps * exercise.repSeconds > moment.gone + AHEAD)
			this.paced = { step: moment.step, reps: Math.floor(moment.gone / exercise.repSeconds) };
		const next = this.paced.reps + 1;
		const wait = next * exercise.repSeconds - moment.gone;
		if (wait > AHEAD || next > task.amount) return;
		this.paced = { step: moment.step, reps: next };
		this.caller.tone(next === task.amount ? 'long' : 'short', wait);
	}

	/** Wakes at the very time of the next call. */
	private wait(): void {
		if (this.timer) clearTimeout(this.timer);
		this.timer = null;
		const next = this.ticking === null ? null : nextChange(this.course, this.acts, this.now);
		this.next = next;
		if (next === null) return;
		this.timer = setTimeout(() => this.wake(true), Math.max(0, Math.min(next - this.clock.now(), 2 ** 30)));
	}

	private call({ step, cue, at }: Heard, now: number): void {
		const found = this.course.steps[step]?.cues[cue];
		if (!found) return;
		const words = callWords(this.course, step, found, this.moment.leftOut);
		this.called = words;
		this.caller.buzz(BUZZ[found.kind]);
		if (found.kind === 'three-two-one') {
			const speed = this.acts.find((act) => act.do === 'start')?.speed ?? 1;
			for (const second of [0, 1, 2, 3])
				this.caller.tone(second === 3 ? 'long' : 'short', (at - now) / 1000 + second / speed);
			return;
		}
		if (found.kind === 'ten-left' || found.kind === 'halfway') this.caller.tone('short');
		this.caller.say(words);
	}

	/** Keeps what was done on the device. */
	private async note(): Promise<void> {
		this.noted = this.now;
		try {
			await this.store.keepRun({ ...this.kept, acts: [...this.acts], seen: this.now });
			this.unkept = false;
		} catch {
			this.unkept = true;
		}
	}
}

const BUZZ: Record<CueKind, number | number[]> = {
	start: 300,
	halfway: 80,
	'ten-left': [80, 80, 80],
	'three-two-one': [60, 940, 60, 940, 60, 940, 400],
	'change-side': [150, 100, 150],
	'next-up': 200,
	round: [100, 100, 100],
	'last-round': [100, 100, 100, 100, 300],
	water: 100
};

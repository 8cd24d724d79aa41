/** A session that is under way on this device: what was done, where that leads, and what is called out. */
import {
	answerAbsence,
	AWAY,
	callsBetween,
	callWords,
	clockShift,
	momentOf,
	nextChange,
	openAbsence,
	rebased,
	runLogOf,
	withAbsence,
	withFirstSide,
	type Act,
	type Course,
	type Heard
} from '$core/run';
import type { CueKind } from '$core/session';
import type { DeviceStore, KeptRun } from '$lib/offline/store';

/** What calls are made with. */
export interface Caller {
	/** @param wait seconds from now */
	say(words: string, wait?: number): void;
	/** Ends what is being said, and takes back what has not begun. */
	hush(): void;
	/** Takes back tones and words that have not begun. */
	retract(): void;
	/** @param wait seconds from now */
	tone(kind: ToneKind, wait?: number): void;
	buzz(pattern: number | number[]): void;
	/** Whether repetitions are ticked at their tempo. */
	readonly paces: boolean;
	/** Whether tones sound; without them the countdown is spoken. */
	readonly sounds: boolean;
}
export type ToneKind = 'short' | 'long' | 'low';

/** The clock that a session goes by. */
interface Clock {
	now(): number;
	ahead(): number;
	woken(shift?: number): void;
}

/** Milliseconds after which a call has lost its sense: the page was asleep. */
const STALE = 1500;
/** Milliseconds between two times at which the device notes that the page is open. */
const NOTE_EVERY = 5000;
/** A second tap within this time was meant for the step before: milliseconds. */
const SLIP = 350;
/** Seconds ahead for which tones are handed to the sound system, which keeps the time also where the page is busy. */
const AHEAD = 1.5;
/** Less than any clock tells apart: milliseconds. */
const INSTANT = 0.001;

/** What is told beside the clock, which goes on as it did. */
const BESIDE: ReadonlySet<Act['do']> = new Set(['log', 'swap', 'hurts', 'away']);

/** What is done, without the time at which it is. */
export type Deed = Act extends infer One ? (One extends Act ? Omit<One, 'at'> : never) : never;

export class Runner {
	readonly course: Course;
	acts = $state.raw<Act[]>([]);
	/** The instant that is shown. */
	now = $state(0);
	/** The last call in words, for who reads or listens with other means. */
	called = $state('');
	/** The device has no room, or keeps nothing. */
	unkept = $state(false);
	readonly moment = $derived.by(() => momentOf(this.course, this.acts, this.now));
	readonly step = $derived.by(() => this.course.steps[this.moment.step] ?? null);
	readonly log = $derived.by(() => runLogOf(this.course, this.acts, this.now));
	/** What the clock passed while nobody was seen, until the person has said whether they did it. */
	readonly absence = $derived.by(() => openAbsence(this.course, this.acts, this.now));

	private heardTo: number;
	/** Up to when tones have been handed to the sound system. */
	private tonedTo: number;
	/** Since when the page is out of sight, or null if it is in sight. */
	private hiddenSince: number | null = null;
	/** When the next call or change comes about by itself: until then there is nothing to look for. Null: not by itself. */
	private next: number | null = null;
	private timer: ReturnType<typeof setTimeout> | null = null;
	private ticking: ReturnType<typeof setInterval> | null = null;
	private noted = 0;
	private lastMove = 0;
	/** Repetitions of a step that have been ticked. */
	private paced = { step: -1, reps: 0 };

	/** @param offset milliseconds by which the server's clock is ahead of the device's now, or null if it was not reached */
	constructor(
		private readonly kept: KeptRun,
		private readonly store: Pick<DeviceStore, 'keepRun'>,
		private readonly clock: Clock,
		private readonly caller: Caller,
		private offset: number | null = null
	) {
		const now = clock.now();
		this.course = withFirstSide(kept.course, kept.first);
		const { acts, seen } = rebased(kept, now, offset);
		this.offset ??= kept.offset ?? null;
		this.now = now;
		this.heardTo = this.tonedTo = now;
		this.acts = withAbsence(this.course, acts, seen, now);
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

	/** The page is out of sight: what the clock passes from here on is asked about. */
	hidden(): void {
		if (this.hiddenSince !== null) return;
		this.wake();
		this.hiddenSince = this.now;
		if (this.acts.length > 0) void this.note();
	}

	/**
	 * The page is seen again.
	 * @param ask asks for the offset of the server's clock: where the device's own has jumped, it tells a sleep from a changed clock
	 */
	async woken(ask: () => Promise<number | null>): Promise<void> {
		const from = this.hiddenSince ?? this.now;
		let shift = 0;
		if (this.clock.ahead() > AWAY) {
			const told = await ask();
			shift = clockShift(this.offset, told);
			this.offset ??= told;
		}
		this.clock.woken(shift);
		this.hiddenSince = null;
		this.missed(from);
		this.wake(true);
	}

	/** Notes a stretch without anybody, if the clock passed something in it. */
	private missed(from: number): void {
		const acts = withAbsence(this.course, this.acts, from, this.clock.now());
		if (acts.length > this.acts.length) this.acts = acts;
	}

	/** Takes the answer to what was asked about an absence. */
	answer(answer: 'did' | 'did-not' | 'back'): void {
		this.acts = answerAbsence(this.acts, answer, this.clock.now());
		if (answer === 'back') this.caller.hush();
		this.changed();
	}

	do(deed: Deed): void {
		const at = this.clock.now();
		const moves = deed.do === 'done' || deed.do === 'skip';
		// Two taps on the way from one step to the next are one: the second would end what has only just begun.
		if (moves && at - this.lastMove < SLIP) return;
		if (moves) this.lastMove = at;
		this.wake();
		const { step } = this.moment;
		this.acts = [...this.acts, { ...deed, at }];
		// What a step calls as it begins comes about at this very instant; what was planned for later may not.
		if (deed.do === 'count' ? this.moment.step !== step : !BESIDE.has(deed.do)) {
			this.heardTo = this.tonedTo = at - INSTANT;
			if (deed.do === 'start' || deed.do === 'resume' || deed.do === 'longer') this.caller.retract();
			else this.caller.hush();
			this.paced = { step: -1, reps: 0 };
		}
		this.changed();
	}

	private changed(): void {
		this.wake(true);
		void this.note();
	}

	/** Looks at the clock, and calls out what has come about since it was last looked at. */
	private wake(look = false): void {
		const now = this.clock.now();
		// A page in sight that stood still: the device slept.
		if (this.hiddenSince === null && this.ticking !== null && now - this.now >= AWAY) this.missed(this.now);
		this.now = now;
		if (look || (this.next !== null && now >= this.next - AHEAD * 1000)) this.sound(now);
		if (look || (this.next !== null && now >= this.next)) {
			const calls = callsBetween(this.course, this.acts, this.heardTo, now);
			this.heardTo = now;
			for (const one of calls) if (now - one.at < STALE) this.call(one);
			this.wait();
		}
		if (this.caller.paces) this.pace();
		if (now - this.noted > NOTE_EVERY && this.acts.length > 0) void this.note();
	}

	/** Hands the tones of the next calls to the sound system. */
	private sound(now: number): void {
		const to = now + AHEAD * 1000;
		if (to - this.tonedTo < INSTANT) return;
		const speed = this.acts.find((act) => act.do === 'start')?.speed ?? 1;
		for (const { step, cue, at } of callsBetween(this.course, this.acts, this.tonedTo, to)) {
			const kind = this.course.steps[step]?.cues[cue]?.kind;
			const wait = (at - now) / 1000;
			if (!kind || wait < -STALE / 1000) continue;
			if (kind !== 'three-two-one')
				TONES[kind].forEach((tone, i) => this.caller.tone(tone, wait + i * BETWEEN_TONES));
			else
				COUNT.forEach((word, i) => {
					const then = wait + i / speed;
					if (this.caller.sounds) this.caller.tone('short', then);
					else this.caller.say(word, then);
				});
		}
		this.tonedTo = to;
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

	private call({ step, cue }: Heard): void {
		const found = this.course.steps[step]?.cues[cue];
		if (!found) return;
		const words = callWords(this.course, step, found, this.moment.leftOut);
		this.called = words;
		this.caller.buzz(BUZZ[found.kind]);
		if (found.kind !== 'three-two-one') this.caller.say(words);
	}

	/** Keeps what was done on the device. */
	private async note(): Promise<void> {
		this.noted = this.now;
		try {
			await this.store.keepRun({
				...this.kept,
				acts: [...this.acts],
				seen: this.hiddenSince ?? this.now,
				offset: this.offset
			});
			this.unkept = false;
		} catch {
			this.unkept = true;
		}
	}
}

const COUNT = ['Three', 'Two', 'One'];
/** Seconds between the beginnings of two tones of a call. */
const BETWEEN_TONES = 0.2;

/** Tones of a call; those of the countdown are a second apart. */
const TONES: Record<Exclude<CueKind, 'three-two-one'>, ToneKind[]> = {
	start: ['long'],
	halfway: ['short'],
	'ten-left': ['short', 'short'],
	'change-side': ['low', 'short'],
	'next-up': ['low'],
	round: ['long', 'short'],
	'last-round': ['long', 'long'],
	water: ['low', 'low']
};

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

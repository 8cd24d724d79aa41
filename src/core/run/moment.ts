/**
 * Where somebody is in a session at an instant. Nothing runs on by itself: everything follows from when it was begun, from what
 * was done since, and from the clock. A page that was closed, or a phone that slept, is where it would have been.
 */
import { isLeftOut, type BodyArea, type Course, type Step } from './course';
import type { Counted } from './count-reps';

/** What somebody did, and when: epoch milliseconds, the earlier first. */
export type Act = { at: number } & (Move | Told);

/** What moves somebody on. `speed`: how many times as fast, to rehearse. */
type Move =
	| { do: 'start'; speed?: number }
	| { do: 'pause' }
	| { do: 'resume' }
	/** The step is over; what it asks for was done, as far as its time went where it is one of time. */
	| { do: 'done' }
	/** The step is over; what it asks for was not done. */
	| { do: 'skip' }
	/** To the work before, or to the beginning of this one. */
	| { do: 'back' }
	/** So many seconds more of this step. */
	| { do: 'longer'; seconds: number }
	/** A task of a step that counts them is done; or was not, after all. */
	| { do: 'count'; by: 1 | -1 }
	/** An exercise is left out from here on. */
	| { do: 'leave'; exercise: number }
	/** The session ends here. */
	| { do: 'finish' };

/** What somebody tells beside the clock; it changes nothing of where they are. */
type Told =
	/**
	 * The page was closed, hidden or asleep from `at` until `to`. What the clock passed meanwhile counts only if the person says
	 * that they did it; `did` is null until they have answered.
	 */
	| { do: 'away'; to: number; did: boolean | null }
	/** How a set went, where it was not as asked. */
	| ({ do: 'log'; exercise: number; set: number; kg: number | null; effort: number | null } & Counted)
	/** Another form of an exercise from here on; null: the one asked for again. */
	| { do: 'swap'; exercise: number; to: string | null }
	| { do: 'hurts'; exercise: number; area: BodyArea };

/** How a step went. */
export interface Outcome {
	how: 'done' | 'skipped';
	/** Seconds spent in it, pauses left out. */
	seconds: number;
	/** Of a step that counts its tasks: when each was done, in seconds from its beginning. */
	counted: number[];
	/** Epoch milliseconds. */
	endedAt: number;
}

export interface Moment {
	phase: 'ready' | 'going' | 'paused' | 'over';
	/** As many as there are steps when it is over. */
	step: number;
	/** Seconds into the step. */
	gone: number;
	/** Seconds to its end; null where the person says when. */
	left: number | null;
	/** Of a step that counts its tasks: when each was done, in seconds from its beginning. */
	counted: number[];
	/** Seconds since the start, pauses left out. */
	elapsed: number;
	/** Seconds that are expected until the end. */
	remaining: number;
	/** Of each step that is over. */
	outcomes: ReadonlyMap<number, Outcome>;
	/** Exercises that are left out. */
	leftOut: ReadonlySet<number>;
}

/** Something that comes about while the clock goes on, for whoever wants to hear of it. */
export interface Heard {
	/** Epoch milliseconds. */
	at: number;
	step: number;
	/** Place among the calls of the step. */
	cue: number;
}

/** Tells where a step stands, pauses left out. */
class Player {
	phase: Moment['phase'] = 'ready';
	step = 0;
	/** Epoch milliseconds at which the step began, moved on by pauses. */
	private began = 0;
	private pausedAt = 0;
	private more = 0;
	private counted: number[] = [];
	private started = 0;
	private endedAt = 0;
	private pauses = 0;
	private speed = 1;
	/** Seconds of the step up to which its calls have been heard. */
	private heard = -1;
	/** Stretches in which nobody was seen and that are not vouched for, in epoch milliseconds. */
	private readonly unseen: { from: number; to: number }[] = [];
	readonly outcomes = new Map<number, Outcome>();
	readonly leftOut = new Set<number>();

	constructor(
		private readonly course: Course,
		private readonly hear: ((one: Heard) => void) | null
	) {}

	private get now(): Step | undefined {
		return this.course.steps[this.step];
	}

	private goneAt(at: number): number {
		return ((at - this.began) / 1000) * this.speed;
	}

	/** Lets the clock go on until an instant. */
	advance(to: number): void {
		while (this.phase === 'going') {
			const step = this.now;
			if (!step) return;
			const end = step.ends === 'person' ? Infinity : step.seconds + this.more;
			const gone = this.goneAt(to);
			this.call(step, Math.min(gone, end), end);
			if (gone < end) return;
			const endedAt = this.began + (end / this.speed) * 1000;
			this.leaveStep(this.wasSeen(this.began, endedAt) ? 'done' : 'skipped', endedAt);
		}
	}

	/** Whether a step that ended by the clock counts: it ended before eyes, and no more than half of it passed unseen. */
	private wasSeen(from: number, to: number): boolean {
		return (
			!this.unseen.some((gap) => to > gap.from && to <= gap.to) &&
			this.unseenWithin(from, to) * 2 <= to - from
		);
	}

	/** Milliseconds of a stretch in which nobody was seen. */
	private unseenWithin(from: number, to: number): number {
		return this.unseen.reduce(
			(sum, gap) => sum + Math.max(0, Math.min(gap.to, to) - Math.max(gap.from, from)),
			0
		);
	}

	/** Tells the calls of a step that lie between those told before and a time within it. */
	private call(step: Step, upTo: number, end: number): void {
		if (this.hear)
			step.cues.forEach((cue, i) => {
				const time = cue.from === 'end' ? end - cue.at : cue.at;
				if (time > this.heard && time <= upTo && Number.isFinite(time))
					this.hear?.({ at: this.began + (time / this.speed) * 1000, step: this.step, cue: i });
			});
		this.heard = Math.max(this.heard, upTo);
	}

	private leaveStep(how: Outcome['how'], at: number): void {
		this.outcomes.set(this.step, this.outcomeAt(how, at));
		this.enter(this.nextStep(this.step + 1), at);
	}

	private outcomeAt(how: Outcome['how'], at: number): Outcome {
		return { how, seconds: this.goneAt(at), counted: this.counted, endedAt: at };
	}

	/** The first step from one on that is not left out; the way to one that is left out falls away with it. */
	private nextStep(from: number): number {
		const { steps } = this.course;
		const falls = (at: number): boolean =>
			this.isLeftOut(at) || (steps[at]?.kind === 'side-change' && this.isLeftOut(at + 1));
		let next = from;
		while (falls(next)) next++;
		return next;
	}

	private enter(step: number, at: number): void {
		this.step = step;
		this.began = at;
		this.more = 0;
		this.counted = [];
		this.heard = -1;
		if (step >= this.course.steps.length) {
			this.phase = 'over';
			this.endedAt = at;
		}
	}

	/** Takes over something that was done; what makes no sense at that moment changes nothing. */
	take(act: Act): void {
		if (act.do === 'away') {
			if (act.did !== true && this.phase === 'going') this.unseen.push({ from: act.at, to: act.to });
			return;
		}
		if (act.do === 'start') {
			if (this.phase !== 'ready') return;
			this.phase = 'going';
			this.speed = act.speed ?? 1;
			this.started = act.at;
			this.enter(this.nextStep(0), act.at);
			return;
		}
		if (act.do === 'resume') {
			if (this.phase !== 'paused') return;
			this.phase = 'going';
			this.began += act.at - this.pausedAt;
			this.pauses += act.at - this.pausedAt;
			return;
		}
		if (this.phase === 'over' && act.do === 'back') {
			this.phase = 'going';
			this.pauses += act.at - this.endedAt;
			this.back(act.at);
			return;
		}
		if (this.phase === 'ready' || this.phase === 'over') return;
		// Whoever goes on to another step while the clock stands finds it standing there.
		const at = this.phase === 'paused' ? this.pausedAt : act.at;
		this.takeWithin(act, at);
	}

	private takeWithin(act: Act, at: number): void {
		if (act.do === 'pause') {
			if (this.phase !== 'going') return;
			this.phase = 'paused';
			this.pausedAt = at;
		} else if (act.do === 'done') this.leaveStep('done', at);
		else if (act.do === 'skip') this.leaveStep('skipped', at);
		else if (act.do === 'longer') this.more += act.seconds;
		else if (act.do === 'count') this.count(act.by, at);
		else if (act.do === 'back') this.back(at);
		else if (act.do === 'leave') this.leaveOut(act.exercise, at);
		else if (act.do === 'finish') {
			this.outcomes.set(this.step, this.outcomeAt('skipped', at));
			this.enter(this.course.steps.length, at);
		}
	}

	private count(by: 1 | -1, at: number): void {
		const step = this.now;
		if (!step?.counting) return;
		if (by < 0) this.counted = this.counted.slice(0, -1);
		else if (step.counting !== 'once' || this.counted.length === 0)
			this.counted = [...this.counted, this.goneAt(at)];
		if (step.counting === 'all' && this.counted.length >= step.tasks.length) this.leaveStep('done', at);
	}

	/** Within the first seconds of a step, or in a rest, to the work before; otherwise to the beginning of the step. */
	private back(at: number): void {
		const begun = this.now?.kind === 'work' && this.goneAt(at) > 3;
		let to = this.step;
		if (!begun)
			for (let i = this.step - 1; i >= 0; i--)
				if (this.course.steps[i]?.kind === 'work' && !this.isLeftOut(i)) {
					to = i;
					break;
				}
		for (let i = to; i <= this.step; i++) this.outcomes.delete(i);
		this.enter(to, at);
	}

	private isLeftOut(at: number): boolean {
		const step = this.course.steps[at];
		return step !== undefined && isLeftOut(step, this.leftOut);
	}

	private leaveOut(exercise: number, at: number): void {
		this.leftOut.add(exercise);
		if (this.isLeftOut(this.step)) this.leaveStep('skipped', at);
	}

	moment(at: number): Moment {
		const step = this.now;
		const now = this.phase === 'paused' ? this.pausedAt : at;
		const gone = this.phase === 'ready' || !step ? 0 : Math.max(0, this.goneAt(now));
		const end = step ? step.seconds + this.more : 0;
		const left = !step || step.ends === 'person' ? null : Math.max(0, end - gone);
		const later = this.course.steps
			.slice(this.step + 1)
			.filter((_, i) => !this.isLeftOut(this.step + 1 + i))
			.reduce((sum, { seconds }) => sum + seconds, 0);
		const until = this.phase === 'over' ? this.endedAt : now;
		return {
			phase: this.phase,
			step: this.step,
			gone,
			left: this.phase === 'over' ? null : left,
			counted: this.counted,
			elapsed:
				this.phase === 'ready'
					? 0
					: ((until - this.started - this.pauses - this.unseenWithin(this.started, until)) / 1000) *
						this.speed,
			remaining: this.phase === 'over' ? 0 : later + (left ?? Math.max(0, end - gone)),
			outcomes: this.outcomes,
			leftOut: this.leftOut
		};
	}
}

function play(
	course: Course,
	acts: readonly Act[],
	now: number,
	hear: ((one: Heard) => void) | null
): Player {
	const player = new Player(course, hear);
	for (const act of acts) {
		// A clock that was set back meanwhile does not undo what was done.
		if (act.at > now) break;
		player.advance(act.at);
		player.take(act);
	}
	player.advance(now);
	return player;
}

/**
 * Where somebody is.
 *
 * @param acts in the order in which they were done
 * @param now epoch milliseconds; what was done later is left out
 */
export const momentOf = (course: Course, acts: readonly Act[], now: number): Moment =>
	play(course, acts, now, null).moment(now);

/**
 * The calls that come about after one instant and up to another, in order.
 * @param from @param to epoch milliseconds
 */
export function callsBetween(course: Course, acts: readonly Act[], from: number, to: number): Heard[] {
	const heard: Heard[] = [];
	play(course, acts, to, (one) => {
		if (one.at > from && one.at <= to) heard.push(one);
	});
	return heard.sort((a, b) => a.at - b.at);
}

/** How far ahead a call is looked for: no step is longer than two hours. */
const AHEAD = 3 * 3_600_000;

/** When the next call or change comes about by itself; null: only when somebody does something. Epoch milliseconds. */
export function nextChange(course: Course, acts: readonly Act[], now: number): number | null {
	const moment = momentOf(course, acts, now);
	if (moment.phase !== 'going') return null;
	const speed = acts.find((act) => act.do === 'start')?.speed ?? 1;
	const [call] = callsBetween(course, acts, now, now + AHEAD);
	const end = moment.left === null ? null : now + (moment.left / speed) * 1000;
	const found = [call?.at ?? null, end].filter((at): at is number => at !== null);
	return found.length > 0 ? Math.min(...found) : null;
}

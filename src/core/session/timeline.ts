import type { Practice } from '../practice';
import { targetOfSet } from './amount';
import type { Part } from './parts';
import { workOnOneSide } from './rep-time';

export type SegmentKind =
	| 'work'
	| 'rest'
	| 'side-change'
	| 'round-rest'
	| 'station-change'
	/** Something is moved, loaded or swapped. */
	| 'setup'
	| 'transition';
export type Side = 'both' | 'left' | 'right';

/** A stretch of a session. Times in seconds from the start; indexes from 0, rounds, sets and passes from 1. */
export interface Segment {
	start: number;
	seconds: number;
	kind: SegmentKind;
	block: number;
	part: number | null;
	round: number;
	/** Which time through, for blocks that are repeated. */
	pass: number;
	side: Side;
	/** Repetitions done within it; 0 for timed work and for rest. */
	reps: number;
	/** The person sets the pace, so the seconds are an expectation. */
	paced: boolean;
	/** Its length follows from its part and not from the block: another choice of the person makes it another one. */
	free: boolean;
	/** A hard interval. */
	hard: boolean;
}

type More = { [K in 'part' | 'round' | 'side' | 'reps' | 'paced' | 'free' | 'hard']?: Segment[K] };

/**
 * Takes a session's segments in order and keeps the time. Formats write through it, so that no format
 * can leave a gap or an overlap.
 */
export class TimelineWriter {
	readonly segments: Segment[] = [];
	now = 0;
	private blockIndex = 0;
	private pass = 1;

	constructor(readonly practice: Practice) {}

	/** Whether the rest after the last round of a block is kept, in every format that has one. */
	get keepsLastRest(): boolean {
		return this.practice.house.lastRest === 'kept';
	}

	startBlock(index: number, pass: number): void {
		this.blockIndex = index;
		this.pass = pass;
	}

	/** Writes one segment of the current block; one without length leaves no trace. */
	put(kind: SegmentKind, seconds: number, more: More = {}) {
		if (seconds <= 0) return;
		this.segments.push({
			start: this.now,
			seconds,
			kind,
			block: this.blockIndex,
			part: more.part ?? null,
			round: more.round ?? 1,
			pass: this.pass,
			side: more.side ?? 'both',
			reps: more.reps ?? 0,
			paced: more.paced ?? false,
			free: more.free ?? false,
			hard: more.hard ?? false
		});
		this.now += seconds;
	}

	/** Writes the work of one part as its target asks, on both sides with the change between when it is per side. */
	work(part: Part, index: number, round: number): void {
		const { seconds, reps, paced } = workOnOneSide(part, this.practice, targetOfSet(part, round));
		const at = { part: index, round, reps, paced, free: true };
		if (!part.perSide) return this.put('work', seconds, { ...at, side: 'both' });
		this.put('work', seconds, { ...at, side: 'left' });
		this.put('side-change', this.practice.timing.sideChange, { part: index, round });
		this.put('work', seconds, { ...at, side: 'right' });
	}

	/** As `work`, but never past `end`: for blocks of a fixed length, in which nobody's pace stretches the session. */
	workUntil(end: number, part: Part, index: number, round: number): void {
		const { seconds, reps } = workOnOneSide(part, this.practice, targetOfSet(part, round));
		const sides = part.perSide ? (['left', 'right'] as const) : (['both'] as const);
		sides.forEach((side, s) => {
			if (s > 0)
				this.put('side-change', Math.min(this.practice.timing.sideChange, end - this.now), {
					part: index,
					round
				});
			const fits = Math.min(seconds, end - this.now);
			const done = seconds > 0 && fits < seconds ? Math.floor((reps * fits) / seconds) : reps;
			this.put('work', fits, { part: index, round, side, reps: done });
		});
	}
}

/** Seconds of one set of a part as its target asks; sides and their change together. */
export function wholeSeconds(part: Part, practice: Practice): number {
	const { seconds } = workOnOneSide(part, practice);
	return part.perSide ? 2 * seconds + practice.timing.sideChange : seconds;
}

/** Seconds of a part's work in a round, counted from 1; sides and their change together. */
export function secondsOfPart(part: Part, practice: Practice, round: number): number {
	const { seconds } = workOnOneSide(part, practice, targetOfSet(part, round));
	return part.perSide ? 2 * seconds + practice.timing.sideChange : seconds;
}

/** Seconds of a round, counted from 1, of a block whose parts are done one after the other without rest. */
export const lapSeconds = (parts: readonly Part[], practice: Practice, round: number): number =>
	parts.reduce((sum, part) => sum + secondsOfPart(part, practice, round), 0);

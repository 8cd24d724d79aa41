import { cuesOf, type Cue } from './cues';
import type { Practice } from '../practice';
import { formatOf, type Block } from './formats';
import type { Session } from './model';
import { LIMITS } from './parts';
import { beginsApart } from './pieces';
import { workOnOneSide } from './rep-time';
import { visitsOf } from './repeats';
import { TimelineWriter, type Segment } from './timeline';

export interface Totals {
	/** Seconds, as expected at the tempo given. */
	duration: number;
	/**
	 * The same when everyone paces repetitions a quarter faster or slower, and takes the shorter or the longer
	 * where the choice is theirs.
	 */
	lower: number;
	upper: number;
	work: number;
	/** Everything that is not work: rests, changes of side and station, set-up, ways from block to block. */
	rest: number;
	/** Rest per unit of work: 0.66 stands for 1 : 0.66. Null without work. */
	restPerWork: number | null;
	/** Both sides counted. */
	repetitions: number;
	/** Seconds under load in counted repetitions. */
	timeUnderTension: number;
	/** Seconds of hard intervals. */
	hard: number;
}

/** When a block is gone through; a repeated one has several of these. */
export interface BlockSpan {
	block: number;
	pass: number;
	of: number;
	start: number;
	seconds: number;
}

export interface Timeline {
	segments: Segment[];
	totals: Totals;
	cues: Cue[];
	/** Start of each block and its length over all its passes, in the order of the session. Seconds. */
	blocks: { start: number; seconds: number }[];
	/** Every going through of a block, in order of time. */
	spans: BlockSpan[];
}

/** How far a person's own pace may lie from the tempo given (common practice, no source). */
const PACE_SPREAD = 0.25;

function totalsOf(segments: Segment[], session: Session, practice: Practice): Totals {
	let work = 0;
	let rest = 0;
	let slower = 0;
	let faster = 0;
	let repetitions = 0;
	let timeUnderTension = 0;
	let hard = 0;
	for (const segment of segments) {
		if (segment.kind === 'work') work += segment.seconds;
		else rest += segment.seconds;
		repetitions += segment.reps;
		if (segment.reps > 0) timeUnderTension += segment.seconds;
		if (segment.hard) hard += segment.seconds;
		if (!segment.free) continue;
		const part = segment.part === null ? undefined : session.blocks[segment.block]?.parts[segment.part];
		const other = part?.or ? workOnOneSide(part, practice, part.or) : null;
		const spread = segment.paced ? PACE_SPREAD * segment.seconds : 0;
		const otherSpread = other?.paced ? PACE_SPREAD * other.seconds : 0;
		faster +=
			Math.min(segment.seconds - spread, other ? other.seconds - otherSpread : Infinity) - segment.seconds;
		slower +=
			Math.max(segment.seconds + spread, other ? other.seconds + otherSpread : -Infinity) - segment.seconds;
	}
	const duration = work + rest;
	return {
		duration,
		lower: duration + faster,
		upper: duration + slower,
		work,
		rest,
		restPerWork: work > 0 ? rest / work : null,
		repetitions,
		timeUnderTension,
		hard
	};
}

/**
 * Works out when everything in a session happens, to the second.
 *
 * @param session blocks in order; faults are not looked for here, see `sessionFaults`
 * @param practice whose tempo, library and times between it goes by
 * @returns segments without gap or overlap, up to the end of the block with which they are more than `LIMITS.segments`, their totals, and what to call out when
 * @example
 * // 30/15, six exercises, four rounds, 45 between rounds
 * compileSession({ blocks: [circuit] }, practice).totals.duration // 1155
 */
export function compileSession(session: Session, practice: Practice): Timeline {
	const out = new TimelineWriter(practice);
	const visits = visitsOf(session);
	const spans: BlockSpan[] = [];
	for (const [i, visit] of visits.entries()) {
		// Whoever asks of a session with too many steps is told so by `sessionFaults`; writing all of them could take minutes.
		if (out.segments.length > LIMITS.segments) break;
		const block = session.blocks[visit.block];
		if (!block) continue;
		// The way to a block belongs to the one before; what has to be set up takes its place.
		const before = visits[i - 1];
		if (before?.restAfter !== null && before?.restAfter !== undefined)
			out.put('round-rest', before.restAfter);
		if (block.setup && (visit.pass === 1 || visit.repeat?.from !== visit.repeat?.to)) {
			out.startBlock(visit.block, visit.pass);
			out.put('setup', block.setup.seconds);
		} else if (before?.restAfter === null && !beginsApart(session, block, visit.block))
			out.put('transition', practice.house.betweenBlocks);
		out.startBlock(visit.block, visit.pass);
		const start = out.now;
		formatOf(block).write(block, out);
		spans.push({ block: visit.block, pass: visit.pass, of: visit.of, start, seconds: out.now - start });
	}
	const blocks = session.blocks.map((_, b) => {
		const own = spans.filter((span) => span.block === b);
		return { start: own[0]?.start ?? 0, seconds: own.reduce((sum, span) => sum + span.seconds, 0) };
	});
	return {
		segments: out.segments,
		totals: totalsOf(out.segments, session, practice),
		cues: cuesOf(out.segments, spans),
		blocks,
		spans
	};
}

/** Seconds of one going through of a block by itself, without what is set up before it. */
export function blockSeconds(block: Block, practice: Practice): number {
	const out = new TimelineWriter(practice);
	out.startBlock(0, 1);
	formatOf(block).write(block, out);
	return out.now;
}

import { cuesOf, type Cue } from './cues';
import type { Practice } from '../practice';
import { formatOf, type Block } from './formats';
import type { Session } from './model';
import { LIMITS } from './parts';
import { beginsApart } from './pieces';
import { workOnOneSide } from './rep-time';
import { visitsOf, type Visit } from './repeats';
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
	const spans: BlockSpan[] = [];
	for (const { visit, block, rest, way, setup } of wayThrough(session, practice)) {
		// Whoever asks of a session with too many steps is told so by `sessionFaults`; writing all of them could take minutes.
		if (out.segments.length > LIMITS.segments) break;
		if (rest !== null) out.put('round-rest', rest);
		if (setup !== null) {
			out.startBlock(visit.block, visit.pass);
			out.put('setup', setup);
		} else if (way !== null) out.put('transition', way);
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

/** One going through of a block, with the seconds of what comes before it; null: nothing does. */
interface Step {
	visit: Visit;
	block: Block;
	rest: number | null;
	way: number | null;
	setup: number | null;
}

/** Everything that a session goes through in order. The way to a block belongs to the one before; what has to be set up takes its place. */
function wayThrough(session: Session, { house }: Pick<Practice, 'house'>): Step[] {
	const visits = visitsOf(session);
	return visits.flatMap((visit, i): Step[] => {
		const block = session.blocks[visit.block];
		if (!block) return [];
		const before = visits[i - 1];
		const sets = visit.pass === 1 || visit.repeat?.from !== visit.repeat?.to;
		const setup = sets ? (block.setup?.seconds ?? null) : null;
		const walks = before?.restAfter === null && !beginsApart(session, block, visit.block);
		return [
			{
				visit,
				block,
				rest: before?.restAfter ?? null,
				way: setup === null && walks ? house.betweenBlocks : null,
				setup
			}
		];
	});
}

/** Blocks are not changed once they are made, and most are the same for everybody. */
const known = new WeakMap<Practice, WeakMap<Block, number>>();

/** Expected length of a session in seconds: `compileSession(…).totals.duration` without working out when everything happens. */
export function sessionSeconds(session: Session, practice: Practice): number {
	const lengths = known.get(practice) ?? new WeakMap<Block, number>();
	known.set(practice, lengths);
	return wayThrough(session, practice).reduce((sum, { block, rest, way, setup }) => {
		const seconds = lengths.get(block) ?? blockSeconds(block, practice);
		lengths.set(block, seconds);
		return sum + (rest ?? 0) + (way ?? 0) + (setup ?? 0) + seconds;
	}, 0);
}

/** Seconds of one going through of a block by itself, without what is set up before it. */
export function blockSeconds(block: Block, practice: Practice): number {
	const out = new TimelineWriter(practice);
	out.startBlock(0, 1);
	formatOf(block).write(block, out);
	return out.now;
}

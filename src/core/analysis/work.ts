import type { Exercise, Library } from '../exercise';
import type { Block, Part, Segment, Session, Timeline } from '../session';

/** A segment of work with what is done in it; the exercise null where the library does not know it. */
export interface Worked {
	segment: Segment;
	block: Block;
	partIndex: number;
	part: Part;
	exercise: Exercise | null;
}

/** All the work of a session in order of time. */
export const workOf = (session: Session, timeline: Timeline, library: Library): Worked[] =>
	timeline.segments.flatMap((segment) => {
		const partIndex = segment.part;
		const block = session.blocks[segment.block];
		if (segment.kind !== 'work' || partIndex === null || !block) return [];
		const part = block.parts[partIndex];
		return part ? [{ segment, block, partIndex, part, exercise: library.find(part.exercise) }] : [];
	});

/** One go at an exercise, with the seconds of rest before it. */
export interface Go {
	block: number;
	partIndex: number;
	part: Part;
	exercise: Exercise | null;
	segment: Segment;
	/** Seconds since the end of the work before, null at the first. */
	rested: number | null;
	/** Work of the main part before it, in seconds. */
	worked: number;
}

/** The goes of a session in order of time; two sides are one go. */
export function goesOf(session: Session, timeline: Timeline, library: Library): Go[] {
	const goes: Go[] = [];
	let end: number | null = null;
	let worked = 0;
	for (const { segment, block, partIndex, part, exercise } of workOf(session, timeline, library)) {
		const before = goes.at(-1);
		const sameGo = segment.side === 'right' && before?.segment.side === 'left' && before.part === part;
		if (!sameGo)
			goes.push({
				block: segment.block,
				partIndex,
				part,
				exercise,
				segment,
				rested: end === null ? null : segment.start - end,
				worked
			});
		end = segment.start + segment.seconds;
		if (block.role === 'main') worked += segment.seconds;
	}
	return goes;
}

import type { Exercise, Library } from '../exercise';
import { type Part, type Segment, type Session, type Timeline } from '../session';

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
	for (const segment of timeline.segments) {
		if (segment.kind !== 'work' || segment.part === null) continue;
		const block = session.blocks[segment.block];
		const part = block?.parts[segment.part];
		if (!part) continue;
		const before = goes.at(-1);
		const sameGo =
			segment.side === 'right' &&
			before?.segment.side === 'left' &&
			before.block === segment.block &&
			before.partIndex === segment.part;
		if (!sameGo)
			goes.push({
				block: segment.block,
				partIndex: segment.part,
				part,
				exercise: library.find(part.exercise),
				segment,
				rested: end === null ? null : segment.start - end,
				worked
			});
		end = segment.start + segment.seconds;
		if (block?.role === 'main') worked += segment.seconds;
	}
	return goes;
}

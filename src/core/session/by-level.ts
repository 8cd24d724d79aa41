/** Loads that differ by level. */
import { LEVELS, type Level } from '../people';
import type { Session } from './model';
import type { Part } from './parts';

/** A part as somebody of a level does it: with their load alone. */
export function partFor(part: Part, level: Level): Part {
	const { kgByLevel, ...plain } = part;
	return kgByLevel ? { ...plain, kg: kgByLevel[LEVELS.indexOf(level)] ?? part.kg } : part;
}

/** A session with the loads of one level; the same session where no load differs by level. */
export function sessionFor(session: Session, level: Level): Session {
	if (!session.blocks.some(({ parts }) => parts.some(({ kgByLevel }) => kgByLevel))) return session;
	return {
		...session,
		blocks: session.blocks.map((block) => ({
			...block,
			parts: block.parts.map((part) => partFor(part, level))
		}))
	};
}

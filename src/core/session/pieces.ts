/** Sessions that are done in pieces over the day. */
import type { Block } from './formats';
import type { Session } from './model';

/** Blocks `from` to `to` (indexes, inclusive) that are done at one time. */
export interface Piece {
	/** When that is, where it is said. */
	dayPart: string | null;
	from: number;
	to: number;
}

/** Whether a block begins at a time of its own, and not right after the one before. */
export const beginsApart = ({ pieces }: Session, block: Block, at: number): boolean =>
	at > 0 && (pieces === true || block.dayPart !== undefined);

/** The pieces of a session, in order; none where it is done in one go. */
export function piecesOf(session: Session): Piece[] {
	const pieces: Piece[] = [];
	session.blocks.forEach((block, b) => {
		const last = pieces.at(-1);
		if (last && !beginsApart(session, block, b)) last.to = b;
		else pieces.push({ dayPart: block.dayPart ?? null, from: b, to: b });
	});
	return pieces.length > 1 ? pieces : [];
}

/** The blocks of a session done at a part of the day; what it says of parts of its own goes behind that. */
function doneAt({ blocks, pieces }: Session, dayPart: string): Block[] {
	return blocks.map((block, b) => {
		const own = block.dayPart ?? (pieces && b > 0 ? `${b + 1} of ${blocks.length}` : null);
		if (b > 0 && own === null) return block;
		return { ...block, dayPart: own === null ? dayPart : `${dayPart}, ${own}` };
	});
}

/** Two sessions of one day as one, the second from its part of the day on. */
export function joinSessions(
	first: { dayPart: string; session: Session },
	second: { dayPart: string; session: Session }
): Session {
	const at = first.session.blocks.length;
	const both = [first.session, second.session];
	const repeats = both.flatMap(({ repeats: own = [] }, i) =>
		own.map((repeat) => ({ ...repeat, from: repeat.from + i * at, to: repeat.to + i * at }))
	);
	const note = both.flatMap((session) => session.note ?? []).join('\n');
	const links = both.flatMap((session) => session.links ?? []);
	const recovery = both.flatMap((session) => session.recovery ?? []);
	return {
		blocks: [...doneAt(first.session, first.dayPart), ...doneAt(second.session, second.dayPart)],
		...(repeats.length > 0 && { repeats }),
		...(note && { note }),
		...(links.length > 0 && { links }),
		...(recovery.length > 0 && { recovery })
	};
}

/** A day that is done in pieces: ticked off one by one, each adding its share. */
import { piecesOf, type PrescribedExercise, type Session } from '../session';
import { creditOf, fullLog, type LoggedSet } from './credit';
import type { PersonalSession } from './personal';

/** A piece of somebody's day. */
export interface OwnPiece {
	/** When in the day it is done, where that is said. */
	dayPart: string | null;
	/** Blocks of the session as planned, inclusive; `from` names the piece. */
	from: number;
	to: number;
	/** Blocks of the session as they get it. */
	blocks: number[];
	/** Share of it that is done, 0…1. */
	credit: number;
}

const inPiece =
	({ from, to }: Pick<OwnPiece, 'from' | 'to'>) =>
	({ block }: { block: number }): boolean =>
		block >= from && block <= to;

/** The pieces of a day of somebody's in order, with what is done of each; none where it is done in one go. */
export function ownPieces(
	planned: Session,
	{ places, asked }: Pick<PersonalSession, 'places' | 'asked'>,
	log: readonly LoggedSet[]
): OwnPiece[] {
	return piecesOf(planned).flatMap((piece): OwnPiece[] => {
		const within = inPiece(piece);
		const blocks = places.flatMap((block, i) => (within({ block }) ? [i] : []));
		// What was left out for them is no piece.
		if (blocks.length === 0) return [];
		return [{ ...piece, blocks, credit: creditOf(asked.filter(within), log.filter(within)) }];
	});
}

/** A log with a piece ticked off, all that was asked in it done; or with nothing done of it. The rest of the log stays. */
export function logWith(
	log: readonly LoggedSet[],
	asked: readonly PrescribedExercise[],
	piece: Pick<OwnPiece, 'from' | 'to'>,
	done: boolean
): LoggedSet[] {
	const within = inPiece(piece);
	return [...log.filter((set) => !within(set)), ...(done ? fullLog(asked.filter(within)) : [])];
}

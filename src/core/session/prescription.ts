import type { Practice } from '../practice';
import { formatOf } from './formats';
import { passesOf } from './repeats';
import type { Session } from './model';
import type { Target } from './parts';

/** One line of a person's log before it is done: this exercise, this often, this much each time. */
export interface PrescribedExercise {
	/** Place in the session: index of the block and of the part within it. */
	block: number;
	part: number;
	exercise: string;
	target: Target;
	/** What may be done instead. */
	or?: Target;
	perSide: boolean;
	kg: number | null;
	sets: number;
}

/** What a session asks for, in the order in which it is done. */
export function prescriptionOf(session: Session, practice: Practice): PrescribedExercise[] {
	return session.blocks.flatMap((block, b) =>
		block.parts.map((part, p) => {
			const format = formatOf(block);
			const sets = format.timesOwed?.(block, p) ?? format.timesDone(block, p, practice);
			return {
				block: b,
				part: p,
				exercise: part.exercise,
				target: format.target?.(block, part) ?? part.target,
				...(part.or && { or: part.or }),
				perSide: part.perSide,
				kg: part.kg,
				sets: sets * passesOf(session, b)
			};
		})
	);
}

import type { Practice } from '../practice';
import { formatOf } from './formats';
import { passesOf } from './repeats';
import type { Session } from './model';
import { amountOf } from './amount';
import type { Resistance, Target } from './parts';

/** One line of a person's log before it is done: this exercise, this often, this much each time. */
export interface PrescribedExercise {
	/** Place in the session: index of the block and of the part within it. */
	block: number;
	part: number;
	/** It prepares for the work, or follows it. */
	around?: true;
	exercise: string;
	target: Target;
	/** Amounts of the sets of one going through, where they differ. */
	each?: number[];
	/** What may be done instead. */
	or?: Target;
	perSide: boolean;
	kg: number | null;
	weights?: number;
	resistance?: Resistance;
	effort?: { low: number; high: number };
	sets: number;
	/** As much as possible in a time: what was done is compared with the same alone. */
	free?: true;
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
				...((block.role === 'warm-up' || block.role === 'cool-down') && { around: true as const }),
				exercise: part.exercise,
				target: format.target?.(block, part) ?? part.target,
				...(part.each && { each: part.each }),
				...(part.or && { or: part.or }),
				perSide: part.perSide,
				kg: part.kg,
				...(part.weights && { weights: part.weights }),
				...(part.resistance && { resistance: part.resistance }),
				...(part.effort && { effort: part.effort }),
				sets: sets * passesOf(session, b),
				...(format.clock?.(block).kind === 'time' && { free: true as const })
			};
		})
	);
}

/** What a set, counted from 1 over all passes, asks for at least: of a range the lower end counts as done. */
export function askedOf({ target, each }: Pick<PrescribedExercise, 'target' | 'each'>, set: number): number {
	return each?.[(set - 1) % each.length] ?? amountOf(target);
}

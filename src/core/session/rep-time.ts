import type { Library, Tempo } from '../library';
import { PARTIALS, type Part, type Target } from './model';

/** Two seconds down, one up: the pace assumed when neither part nor exercise says (common practice, no source). */
export const DEFAULT_TEMPO: Tempo = [2, 0, 1, 0];

/** Loaded walking pace in metres a second, for carries (common practice, no source). */
const CARRY_PACE = 1;

/** What the time of a repetition hangs on besides the part itself. */
export interface Pace {
	library: Library;
	/** For exercises without a tempo of their own. */
	tempo: Tempo;
}

/** Seconds of one repetition: the sum of the four phases of its tempo, times what its partial rule adds. */
export function secondsPerRep(part: Part, pace: Pace): number {
	const [down, bottom, up, top] = part.tempo ?? pace.library.find(part.exercise)?.tempo ?? pace.tempo;
	return (down + bottom + up + top) * (part.partial ? PARTIALS[part.partial] : 1);
}

/**
 * Seconds of work on one side (or on both at once), without the change of side.
 * `paced` says that the person sets the pace, so that the time is an expectation and not a promise.
 */
export function workOnOneSide(
	part: Part,
	pace: Pace,
	target: Target = part.target
): { seconds: number; reps: number; paced: boolean } {
	if (target.kind === 'seconds') return { seconds: target.seconds, reps: 0, paced: false };
	if (target.kind === 'metres') return { seconds: target.metres / CARRY_PACE, reps: 0, paced: true };
	return { seconds: target.reps * secondsPerRep(part, pace), reps: target.reps, paced: true };
}

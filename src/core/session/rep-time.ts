import type { Exercise } from '../exercise';
import { expectedOf } from './amount';
import type { Practice } from '../practice';
import { isLocomotion } from './formats/locomotion';
import { PARTIALS, type Part, type Target } from './parts';

/** Metres a second: under a load, walking and running, each at an easy pace (common practice, no source). */
const PACE = { carry: 1, walk: 1.4, run: 2.5 } as const;

/** The pace at which an exercise covers its metres. */
function paceOf(exercise: Exercise | null): number {
	if (!exercise || !isLocomotion(exercise)) return PACE.carry;
	return exercise.demands.impact === 'high' ? PACE.run : PACE.walk;
}

/** Seconds of one repetition: the sum of the four phases of its tempo, times what its partial rule adds. */
export function secondsPerRep(part: Part, practice: Practice): number {
	const [down, bottom, up, top] =
		part.tempo ?? practice.library.find(part.exercise)?.tempo ?? practice.house.tempo;
	return (down + bottom + up + top) * (part.partial ? PARTIALS[part.partial] : 1);
}

/**
 * Seconds of work on one side (or on both at once), without the change of side.
 * `paced` says that the person sets the pace, so that the time is an expectation and not a promise.
 */
export function workOnOneSide(
	part: Part,
	practice: Practice,
	target: Target = part.target
): { seconds: number; reps: number; paced: boolean } {
	const amount = expectedOf(target);
	if (target.kind === 'seconds') return { seconds: amount, reps: 0, paced: false };
	if (target.kind === 'metres') {
		const metres = amount * (part.eachWay ? 2 : 1);
		const aSecond = part.pace ? 1000 / part.pace : paceOf(practice.library.find(part.exercise));
		return { seconds: metres / aSecond, reps: 0, paced: true };
	}
	return { seconds: amount * secondsPerRep(part, practice), reps: amount, paced: true };
}

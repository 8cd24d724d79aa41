/** Repetitions beyond which the formula says nothing. */
const MOST_REPS = 12;

/**
 * What somebody could lift once, by what they lifted several times: w · (1 + r / 30), w itself at one repetition (Epley 1985).
 *
 * @param kg load, above 0
 * @param reps whole repetitions, from 1
 * @returns kilograms; null beyond 12 repetitions, and where nothing was lifted
 */
export function oneRepMax(kg: number, reps: number): number | null {
	if (!(kg > 0) || !(reps >= 1) || reps > MOST_REPS) return null;
	return reps === 1 ? kg : kg * (1 + reps / 30);
}

import type { PrescribedExercise } from '../session';
import { fullLog, type LoggedSet } from './credit';

/**
 * The log of a session of which about a share was done: its first sets in full, the rest not at all.
 *
 * @param share 0…1
 */
export function partlyDone(asked: readonly PrescribedExercise[], share: number): LoggedSet[] {
	const all = fullLog(asked);
	const done = Math.round(all.length * Math.min(1, Math.max(0, share)));
	return all.map((set, i) => (i < done ? set : { ...set, amount: 0 }));
}

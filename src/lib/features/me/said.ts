/** What came of a day, as participants read it. */
import type { Standing } from '$core/day';
import { clockText } from '$core/session/clock-text';
import { counted, percent } from '$lib/format';

/** `all done`, `92 % of the work, late`. */
export function doneWords({
	done,
	credit,
	standing
}: {
	done: string;
	credit: number;
	standing: Standing;
}): string {
	const much =
		done === 'all' ? 'all done' : done === 'none' ? 'nothing done' : `${percent(credit)} of the work`;
	return standing === 'on time' ? much : `${much}, ${standing}`;
}

/** A result against the clock: `14:20` for all of it, otherwise `4 rounds and 12 reps`. */
export function scoreWords({
	seconds,
	rounds,
	reps
}: {
	seconds: number | null;
	rounds: number;
	reps: number;
}): string {
	if (seconds !== null) return clockText(seconds);
	return reps > 0 ? `${counted(rounds, 'round')} and ${counted(reps, 'rep')}` : counted(rounds, 'round');
}

import type { DayResult } from '../day';

/**
 * Due days in a row on which something was done, counted back from the last. A rest day, an excuse, a cancelled day and
 * one that is still open neither break a streak nor make it longer; part of a session does.
 */
export function streakOf(days: readonly Pick<DayResult, 'state' | 'credit'>[]): number {
	let streak = 0;
	for (const { state, credit } of [...days].reverse()) {
		if (state === 'missed') break;
		if (credit > 0 && state !== 'excused') streak++;
	}
	return streak;
}

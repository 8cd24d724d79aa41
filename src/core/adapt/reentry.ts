/** A part of the way back: what share of a session on how many training days. */
export interface ReentryStep {
	/** 0…1 */
	share: number;
	/** Days of the challenge, from 1, both included. */
	fromDay: number;
	toDay: number;
}

/**
 * How much less after so many days without training, and for how many sessions each. Common practice, no source; that
 * strength falls little within three weeks and endurance sooner: Mujika and Padilla 2000, Sports Med 30:79, from memory.
 */
const SHARES: readonly { daysOff: number; shares: readonly number[] }[] = [
	{ daysOff: 21, shares: [0.5, 0.5, 0.7, 0.7, 0.85] },
	{ daysOff: 14, shares: [0.6, 0.6, 0.8, 0.8] },
	{ daysOff: 7, shares: [0.7, 0.85] }
];

/**
 * The way back for somebody who has not trained for a week or more: the next sessions smaller, and from then on as planned.
 *
 * @param daysOff days of the calendar without training
 * @param next training days that are still to come for them, the first first
 * @returns steps that do not overlap; none below seven days, or where nothing is to come
 */
export function reentryOf(daysOff: number, next: readonly number[]): ReentryStep[] {
	const shares = SHARES.find((one) => daysOff >= one.daysOff)?.shares ?? [];
	const steps: ReentryStep[] = [];
	for (const [i, share] of shares.entries()) {
		const day = next[i];
		if (day === undefined) break;
		const last = steps.at(-1);
		if (last?.share === share) last.toDay = day;
		else steps.push({ share, fromDay: day, toDay: day });
	}
	return steps;
}

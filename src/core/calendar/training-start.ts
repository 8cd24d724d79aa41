import { addDays } from './dates';
import type { DueWindow } from './window';
import { dateIn, instantOf } from './zone';

/**
 * When somebody is expected to begin a day: at the hour at which they train, on the first clock face within its window
 * that shows it; as soon as the day opens where they gave none or it does not come before the day is due.
 *
 * @param trainsAt minutes after midnight on their own clock
 * @returns epoch milliseconds within the window
 */
export function trainingStart({ opens, due }: DueWindow, zone: string, trainsAt: number | null): number {
	if (trainsAt === null) return opens;
	const date = dateIn(zone, opens);
	const first = instantOf(date, trainsAt, zone);
	const start = first >= opens ? first : instantOf(addDays(date, 1), trainsAt, zone);
	return start < due ? start : opens;
}

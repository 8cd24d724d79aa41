import { addDays, dateIn, weekdayOf } from '$core/calendar';

/**
 * A day on which a new challenge may start: in the week after next, so that there is time to enrol people.
 * @param weekday 1 Monday … 7 Sunday
 */
export function defaultStart(zone: string, now: number, weekday = 1): string {
	const today = dateIn(zone, now);
	return addDays(today, 14 + weekday - weekdayOf(today));
}

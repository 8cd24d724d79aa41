import { daysBetween } from './dates';
import { dateIn } from './zone';

/** Where every date begins first: UTC+14 (Kiritimati). The sign of Etc names runs the other way. */
export const FIRST_ZONE = 'Etc/GMT-14';
/** Where every date ends last: UTC−12 (Baker Island). */
export const LAST_ZONE = 'Etc/GMT+12';

/**
 * The day of a challenge that it is in a zone; 0 and less before day 1, more than its length after the last.
 *
 * @param startsOn date of day 1
 */
export const dayInZone = (startsOn: string, zone: string, now: number): number =>
	daysBetween(startsOn, dateIn(zone, now)) + 1;

/** The last day that is released to somebody: local midnight comes first at UTC+14. 0 before day 1. */
export const releasedTo = (startsOn: string, now: number): number =>
	Math.max(0, dayInZone(startsOn, FIRST_ZONE, now));

/** How figures, dates and times are written, the same on the server and in the browser. */

const LOCALE = 'en-GB';

/** `Wed 25 Nov` of a calendar date. */
export function dayText(date: string): string {
	return new Date(`${date}T00:00:00Z`)
		.toLocaleDateString(LOCALE, {
			weekday: 'short',
			day: 'numeric',
			month: 'short',
			timeZone: 'UTC'
		})
		.replace(',', '');
}

/** `Wednesday 25 November 2026` of a calendar date. */
export function longDayText(date: string): string {
	return new Date(`${date}T00:00:00Z`)
		.toLocaleDateString(LOCALE, {
			weekday: 'long',
			day: 'numeric',
			month: 'long',
			year: 'numeric',
			timeZone: 'UTC'
		})
		.replace(',', '');
}

/** `07:40`, as the clocks of a zone show it. */
export function timeIn(zone: string, instant: number): string {
	return new Date(instant).toLocaleTimeString(LOCALE, { hour: '2-digit', minute: '2-digit', timeZone: zone });
}

/** `Wed 25 Nov 07:40`. */
export function dayAndTimeIn(zone: string, instant: number): string {
	const day = new Date(instant).toLocaleDateString(LOCALE, {
		weekday: 'short',
		day: 'numeric',
		month: 'short',
		timeZone: zone
	});
	return `${day.replace(',', '')} ${timeIn(zone, instant)}`;
}

/** The place that a zone is named after: `Oslo` of `Europe/Oslo`. */
export const placeOf = (zone: string): string => (zone.split('/').at(-1) ?? zone).replaceAll('_', ' ');

export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** A share as whole per cent. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** A difference with its sign, as `+3`, `−12` or `±0`. */
export function signed(value: number): string {
	const whole = Math.round(value);
	if (whole === 0) return '±0';
	return whole > 0 ? `+${whole}` : `−${-whole}`;
}

export { counted } from '$core/words';

/** `31 min` of seconds. */
export const minutesText = (seconds: number): string => `${Math.round(seconds / 60)} min`;

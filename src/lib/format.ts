/** How figures, dates and times are written, the same on the server and in the browser. */

const LOCALE = 'en-GB';

const formats = new Map<string, Intl.DateTimeFormat>();

/** A way to write dates, made once: making one takes far longer than using it. */
function formatOf(zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
	const key = `${zone} ${Object.values(options).join(' ')} ${Object.keys(options).join(' ')}`;
	let format = formats.get(key);
	if (!format) formats.set(key, (format = new Intl.DateTimeFormat(LOCALE, { ...options, timeZone: zone })));
	return format;
}

const SHORT = { weekday: 'short', day: 'numeric', month: 'short' } as const;
const LONG = { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' } as const;
const TIME = { hour: '2-digit', minute: '2-digit' } as const;
const written = (zone: string, options: Intl.DateTimeFormatOptions, instant: number): string =>
	formatOf(zone, options).format(instant).replace(',', '');

/** `Wed 25 Nov` of a calendar date. */
export const dayText = (date: string): string => written('UTC', SHORT, Date.parse(`${date}T00:00:00Z`));

/** `Wednesday 25 November 2026` of a calendar date. */
export const longDayText = (date: string): string => written('UTC', LONG, Date.parse(`${date}T00:00:00Z`));

/** `07:40`, as the clocks of a zone show it. */
export const timeIn = (zone: string, instant: number): string => written(zone, TIME, instant);

/** `Wed 25 Nov 07:40`. */
export const dayAndTimeIn = (zone: string, instant: number): string =>
	`${written(zone, SHORT, instant)} ${timeIn(zone, instant)}`;

const WEEKDAY_NAME: Intl.DateTimeFormatOptions = { weekday: 'long' };
const MINUTE_MS = 60_000;

/** The end of a stretch as one says it: `Friday night` for midnight, otherwise `Sat 16 May 14:30`. */
export const untilText = (zone: string, instant: number): string =>
	timeIn(zone, instant) === '00:00'
		? `${written(zone, WEEKDAY_NAME, instant - MINUTE_MS)} night`
		: dayAndTimeIn(zone, instant);

/** The place that a zone is named after: `Oslo` of `Europe/Oslo`. */
export const placeOf = (zone: string): string => (zone.split('/').at(-1) ?? zone).replaceAll('_', ' ');

export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** A difference with its sign, as `+3`, `−12` or `±0`. */
export function signed(value: number): string {
	const whole = Math.round(value);
	if (whole === 0) return '±0';
	return whole > 0 ? `+${whole}` : `−${-whole}`;
}

export { counted, percent } from '$core/text/words';

/** `18:15` of minutes after midnight. */
export const timeOfDay = (minutes: number): string =>
	`${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** `31 min` of seconds. */
export const minutesText = (seconds: number): string => `${Math.round(seconds / 60)} min`;

/** `45 min`, `3 h 20 min`, `2 days 4 h` of milliseconds. */
export function hoursText(ms: number): string {
	const minutes = Math.max(0, Math.floor(ms / 60_000));
	const [hours, days] = [Math.floor(minutes / 60), Math.floor(minutes / 1440)];
	if (days > 0) return `${days === 1 ? '1 day' : `${days} days`} ${hours % 24} h`;
	if (hours === 0) return `${minutes} min`;
	return minutes % 60 === 0 ? `${hours} h` : `${hours} h ${minutes % 60} min`;
}

const KB = 1024;
const MB = 1024 * KB;
const GB = 1024 * MB;
/** `12 kB`, `3.4 MB`, `1.2 GB`. */
export function sizeText(bytes: number): string {
	if (bytes >= GB) return `${(bytes / GB).toFixed(1)} GB`;
	if (bytes >= MB) return `${(bytes / MB).toFixed(bytes < 10 * MB ? 1 : 0)} MB`;
	return `${Math.ceil(bytes / KB)} kB`;
}

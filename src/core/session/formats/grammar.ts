/** Small pieces of the grammar that several formats share. */

/** A stretch of time after `word`, as in `rest 90`, `rest 1:30` or `limit 12 min`; in seconds, null without one. */
export function secondsAfter(text: string, word: RegExp): number | null {
	const found = new RegExp(`(?:${word.source})\\s*(-?\\d+(?::\\d\\d)?(?:\\.\\d+)?)\\s*(min)?`, 'i').exec(
		text
	);
	return found?.[1] === undefined ? null : toSeconds(found[1], found[2]);
}

function toSeconds(text: string, unit?: string): number {
	const [minutes, seconds] = text.split(':');
	if (seconds !== undefined) return Number(minutes) * 60 + Number(seconds);
	return Number(text) * (unit ? 60 : 1);
}

/** `12 min` where it is whole minutes, else `90 s`: both read back the same. */
export const timeWords = (seconds: number): string =>
	seconds % 60 === 0 ? `${seconds / 60} min` : `${seconds} s`;

/** A time as it is said aloud: `12 minutes`, `1 minute`, `90 seconds`. */
export function spokenTime(seconds: number): string {
	const [number, unit] = seconds % 60 === 0 ? [seconds / 60, 'minute'] : [seconds, 'second'];
	return `${number} ${unit}${number === 1 ? '' : 's'}`;
}

/** `1 round`, `3 rounds`. */
export const roundsWords = (rounds: number): string => `${rounds} ${rounds === 1 ? 'round' : 'rounds'}`;

/** Small pieces of the grammar that several formats share. */

/** The first number after which `unit` follows, as in `4 rounds`; null without one. */
export function numberBefore(text: string, unit: RegExp): number | null {
	const found = new RegExp(`(-?\\d+(?:\\.\\d+)?)\\s*(?:${unit.source})`, 'i').exec(text);
	return found?.[1] === undefined ? null : Number(found[1]);
}

/** A stretch of time after `word`, as in `rest 90`, `rest 1:30` or `limit 12 min`; in seconds, null without one. */
export function secondsAfter(text: string, word: RegExp): number | null {
	const found = new RegExp(`(?:${word.source})\\s*(-?\\d+(?::\\d\\d)?(?:\\.\\d+)?)\\s*(min)?`, 'i').exec(
		text
	);
	return found?.[1] === undefined ? null : toSeconds(found[1], found[2]);
}

/** The first stretch of time in a text: `12 min`, `12:00`, `720 s`; a bare number counts as `bare`. */
export function firstTime(text: string, bare: 'min' | 's'): number | null {
	const found = /(-?\d+(?::\d\d)?(?:\.\d+)?)\s*(min|'|s\b|sec)?/i.exec(text);
	if (found?.[1] === undefined) return null;
	return toSeconds(
		found[1],
		found[2] === undefined
			? bare === 'min'
				? 'min'
				: undefined
			: /^(min|')/i.test(found[2])
				? 'min'
				: undefined
	);
}

function toSeconds(text: string, unit?: string): number {
	const [minutes, seconds] = text.split(':');
	if (seconds !== undefined) return Number(minutes) * 60 + Number(seconds);
	return Number(text) * (unit ? 60 : 1);
}

/** `12 min` where it is whole minutes, else `90 s`: both read back the same. */
export const timeWords = (seconds: number): string =>
	seconds % 60 === 0 ? `${seconds / 60} min` : `${seconds} s`;

/** `1 round`, `3 rounds`. */
export const roundsWords = (rounds: number): string => `${rounds} ${rounds === 1 ? 'round' : 'rounds'}`;

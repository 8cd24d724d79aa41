import type { FaultList } from '../faults';
import type { Block, Part, Target } from '../model';
import type { TimelineOptions, TimelineWriter } from '../timeline';

/** A number of a block that can be set in a field and turned by `fitToMinutes`. */
export interface Field<B extends Block> {
	key: keyof B & string;
	label: string;
	/** `clock` is entered as minutes and seconds, `12:00`. */
	unit: '' | 's' | 'min' | 'clock' | '%';
	/** Null stands for “none of its own”. */
	nullable?: boolean;
	/** What turning it changes: how often, how long the work, how long the rest. Left out: not turned. */
	knob?: 'often' | 'work' | 'rest';
}

/** Intensity of a format in the Compendium of Physical Activities. */
export interface Met {
	met: number;
	/** Code in the 2011 edition. */
	code: string;
}

/**
 * What a format has to answer. A new format is one file with one of these, entered in `index.ts`:
 * timeline, log, typing, fields, checks and files then know it.
 */
export interface Format<B extends Block> {
	readonly name: B['format'];
	/** As the field calls it. */
	readonly label: string;
	/** Words that begin a typed line of this format. */
	readonly keywords: readonly string[];
	/** The numbers before the exercises as one types them, for a block that is picked. */
	readonly starter: string;
	readonly fields: readonly Field<B>[];
	readonly met: Met;
	/** How many exercises it takes, inclusive. */
	readonly takes: readonly [min: number, max: number];
	/** Names the faults of the format's own numbers. */
	check(block: B, faults: FaultList): void;
	/** Writes the block's segments in order. */
	write(block: B, out: TimelineWriter): void;
	/** How often each part is expected to be done. */
	timesDone(block: B, part: number, options?: TimelineOptions): number;
	/** How often the log asks for it, where that is not how often it is expected. */
	timesOwed?(block: B, part: number): number;
	/** What one go at a part asks for, where the format says other than the part itself. */
	target?(block: B, part: Part): Target;
	/** The numbers of the block in words, as shown beside its title: `3 rounds · rest 30 inside, 90 after`. */
	summary(block: B, options?: TimelineOptions): string;
	/** Reads the typed numbers and parts into a block, or says what is missing. */
	read(head: string, parts: Part[], groups: Part[][]): Omit<B, 'role'> | { fault: string };
	/** The block as a line that `read` reads back. `part` writes one exercise. */
	line(block: B, part: (part: Part) => string): string;
}

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

import { nearest } from '../text/nearest';
import { readKit, type Owned } from '../kit';
import { countryNamed, zoneOfPlace } from './country-zones';
import { LEVELS, levelNamed, type Level } from './levels';
import { mentionsHealth } from '../health';
import { CELL_SHOWN, type RosterField } from './roster-fields';
import { zoneNamed, type ZoneNamed } from './zone-named';

/** Which column of the file holds each field; null where none does. */
export type ColumnMatch = Record<RosterField, number | null>;

/** Headings under which each field has been seen; the first is the one that we write ourselves. */
const HEADINGS: Record<RosterField, string[]> = {
	name: ['name', 'full name', 'participant', 'first name'],
	email: ['email', 'mail', 'e-mail', 'address', 'email address'],
	zone: ['time zone', 'zone', 'timezone', 'tz', 'city', 'town', 'lives in', 'location'],
	country: ['country', 'land', 'nation'],
	level: ['level', 'experience'],
	equipment: ['equipment', 'kit', 'owns', 'gear']
};

export interface RosterRow {
	name: string;
	email: string;
	zone: string;
	level: Level;
	/** What they own, as far as it was understood; the rest as it was written. */
	kit: Owned[];
	unread: string[];
	/** What else the list says of them, for the coach's private notes. */
	note?: string;
	/** Whether that is about their health. */
	isHealth?: boolean;
}

/** Something wrong in a cell, and what would be right where that can be told. */
export interface RosterFault {
	field: RosterField;
	/** The cell, as far as one can look at it: `CELL_SHOWN` letters at most. */
	value: string;
	message: string;
	/** A value that would be right, for one click. */
	suggestion: string | null;
}

/** A line of the file as it was understood. `line` counts from 1 as an editor shows it. */
export type RosterLine =
	| {
			line: number;
			row: RosterRow;
			faults: [];
			/** What was taken for something else than it is written, in words. */
			taken?: string[];
	  }
	| { line: number; row: null; faults: RosterFault[] };

/** Longest name and email address taken (RFC 5321 allows 254 characters in an address). */
const MAX = { name: 80, email: 254, equipment: 30, letters: 1000 };

/** Whether a heading has a word, or several: `City of residence` has a city, `Ethnicity` doesn’t. */
const hasWord = (heading: string, word: string): boolean =>
	new RegExp(`(?<!\\p{L})${word}s?(?!\\p{L})`, 'u').test(heading);

/** Guesses the columns from the headings; what is not recognised is left to the coach. */
export function matchColumns(headings: string[]): ColumnMatch {
	const taken = new Set<number>();
	const clean = headings.map((heading) =>
		heading
			.trim()
			.toLowerCase()
			.replace(/[_\s]+/g, ' ')
	);
	const find = (field: RosterField): number | null => {
		const exact = clean.findIndex((heading, i) => !taken.has(i) && HEADINGS[field].includes(heading));
		const index =
			exact >= 0
				? exact
				: clean.findIndex(
						(heading, i) => !taken.has(i) && HEADINGS[field].some((one) => hasWord(heading, one))
					);
		if (index < 0) return null;
		taken.add(index);
		return index;
	};
	// The most telling headings first, so that "e-mail name" is not taken for a name.
	const match = {
		email: find('email'),
		zone: find('zone'),
		country: find('country'),
		level: find('level'),
		equipment: find('equipment')
	};
	return { name: find('name'), ...match };
}

/** Whether a first line holds headings: it has one that is known, and nothing that only a person has. */
export function isHeadings(
	cells: readonly string[],
	about: Pick<RosterContext, 'zones' | 'isZone'>
): boolean {
	if (cells.some((cell) => isEmail(cell.trim().toLowerCase()))) return false;
	const { name, email, zone, level, equipment, country } = matchColumns([...cells]);
	if ([name, email, zone, level, equipment, country].every((column) => column === null)) return false;
	return !cells.some((cell) => {
		const text = cell.trim();
		return (
			text !== '' && (levelNamed(text) !== null || zoneNamed(text, about.zones, about.isZone).zone !== null)
		);
	});
}

/** Guesses the columns of a list without headings from what is in them; the first with words that is left is the name. */
export function matchByContent(
	rows: readonly (readonly string[])[],
	about: Pick<RosterContext, 'zones' | 'isZone'>
): ColumnMatch {
	const width = Math.max(0, ...rows.map((cells) => cells.length));
	const taken = new Set<number>();
	const filledIn = (column: number) => rows.map((cells) => cells[column]?.trim() ?? '').filter(Boolean);
	const columns = Array.from({ length: width }, (_, column) => column);
	/** Columns that may still be the name. */
	const wordy = () =>
		columns.filter((column) => !taken.has(column) && filledIn(column).some((cell) => /\p{L}{2}/u.test(cell)));
	/** The column in which most filled cells are of a kind, and at least half of them. @param among of which columns */
	const best = (is: (cell: string) => boolean, among: readonly number[] = columns): number | null => {
		let found: { column: number; share: number } | null = null;
		for (const column of among) {
			if (taken.has(column)) continue;
			const filled = filledIn(column);
			const share = filled.length === 0 ? 0 : filled.filter(is).length / filled.length;
			if (share >= 0.5 && share > (found?.share ?? 0)) found = { column, share };
		}
		if (found) taken.add(found.column);
		return found?.column ?? null;
	};
	const email = best((cell) => isEmail(cell.toLowerCase()));
	const zone =
		best((cell) => /\/|^(?:UTC|GMT)$/.test(cell) && about.isZone(cell)) ??
		// People are called like towns as well: one column with words stays for the name, of two alike the first.
		(wordy().length > 1 ? best((cell) => isPlace(cell, about), wordy().reverse()) : null);
	const level = best((cell) => levelNamed(cell.slice(0, 60)) !== null);
	const country = best((cell) => countryNamed(cell) !== null);
	const equipment = best((cell) => readKit(cell.slice(0, MAX.letters)).kit.length > 0);
	const name = best((cell) => /\p{L}/u.test(cell) && cell.length <= MAX.name);
	return { name, email, zone, country, level, equipment };
}

/** Whether a cell says where somebody is, be it that it has to be asked about: a town, an abbreviation. */
function isPlace(cell: string, { zones, isZone }: Pick<RosterContext, 'zones' | 'isZone'>): boolean {
	// There are towns that are called Norway and Cuba; whoever writes so means the country.
	if (countryNamed(cell) !== null) return false;
	const said = zoneOfPlace(cell.slice(0, 60), null, zones, isZone);
	return said.zone !== null || said.several !== undefined;
}

const isEmail = (text: string): boolean =>
	text.length <= MAX.email && /^[^\s@,;<>]+@[^\s@,;<>]+\.[^\s@,;<>]+$/.test(text);

export interface RosterContext {
	zones: readonly string[];
	isZone: (zone: string) => boolean;
	/** Of the columns; empty where there is none. */
	headings: readonly string[];
	/** Email addresses that are enrolled already, in lower case. */
	enrolled: ReadonlySet<string>;
}

function checkLine(
	cells: string[],
	match: ColumnMatch,
	seen: Map<string, number>,
	line: number,
	about: RosterContext
): RosterLine {
	const cell = (field: RosterField): string => {
		const column = match[field];
		return column === null ? '' : (cells[column] ?? '').trim();
	};
	const faults: RosterFault[] = [];
	const say = (field: RosterField, message: string, suggestion: string | null = null) =>
		faults.push({ field, value: cell(field).slice(0, CELL_SHOWN), message, suggestion });

	const named = tidyName(cell('name'));
	if (!named) say('name', 'the name is missing');
	else if (named.length > MAX.name) say('name', `a name has at most ${MAX.name} letters`);

	const email = cell('email').toLowerCase();
	if (email && !isEmail(email))
		say('email', `“${cell('email').slice(0, 60)}” is not an email address; one looks like oren@example.org`);
	else if (email && about.enrolled.has(email)) say('email', 'this address is enrolled already');
	else if (email && seen.has(email)) say('email', `the same address stands in line ${seen.get(email)}`);
	else if (email) seen.set(email, line);

	const wrote = cell('zone').slice(0, 60);
	const place = zoneOfPlace(wrote, cell('country').slice(0, 60), about.zones, about.isZone);
	if (place.zone === null) say('zone', zoneFault(wrote, place), place.nearest);

	const level = cell('level') ? levelNamed(cell('level').slice(0, 60)) : 'beginner';
	if (!level)
		say(
			'level',
			`“${cell('level').slice(0, 60)}” is not a level; there are ${LEVELS.join(', ')}`,
			nearest(cell('level').slice(0, 60), LEVELS)
		);

	const equipment = cell('equipment');
	if (equipment.length > MAX.letters)
		say('equipment', `equipment has at most ${MAX.letters.toLocaleString('en-GB')} letters`);
	const { kit, unread } = readKit(equipment.slice(0, MAX.letters));
	if (kit.length + unread.length > MAX.equipment)
		say('equipment', `${kit.length + unread.length} things; at most ${MAX.equipment} are kept`);
	const { zone } = place;
	if (faults.length > 0 || !level || zone === null) return { line, row: null, faults };
	const note = noteOf(cells, match, about.headings);
	const row: RosterRow = {
		...{ name: named, email, zone, level, kit, unread },
		...(note && { note, isHealth: mentionsHealth(note) })
	};
	const taken = [
		...(place.meant ? [`“${wrote || cell('country')}” taken as ${zone}`] : []),
		...(cell('level') ? [] : ['no level given: beginner assumed']),
		...(email ? [] : ['no email address: give them their link yourself']),
		...(note ? [`kept as a private note: ${note}${row.isHealth ? ' (review before day one)' : ''}`] : [])
	];
	return { line, row, faults: [], ...(taken.length > 0 && { taken }) };
}

/** A name without the number or the bullet that a list puts before it: `1. Oren`, `- Oren`. */
const tidyName = (cell: string): string =>
	cell.replace(/^(?:\(?\d{1,4}\s*[.):\]-]\s*|[-–—*•·▪◦>]+\s+|\d{1,4}\s+(?=\p{L}))/u, '').trim();

function zoneFault(wrote: string, place: Extract<ZoneNamed, { zone: null }>): string {
	const { several, nearest: near } = place;
	if (several?.length === 0)
		return `“${wrote}” stands for several time zones; name the city, as in Europe/Oslo`;
	if (several) return `${wrote ? `“${wrote}”` : 'this country'} may be ${several.join(' or ')}; which one?`;
	if (!wrote) return 'the time zone is missing; one looks like Europe/Oslo';
	return `“${wrote}” isn’t a time zone; ${near ? `did you mean ${near}?` : 'one looks like Europe/Oslo'}`;
}

/** Letters of a note that is made of a list. */
const MOST_NOTE = 2000;

/** What a line says in columns that no field is taken from. */
function noteOf(cells: readonly string[], match: ColumnMatch, headings: readonly string[]): string {
	const used = new Set(Object.values(match));
	return cells
		.flatMap((cell, i) => {
			const text = cell.trim();
			const heading = headings[i]?.trim();
			return used.has(i) || !text ? [] : [heading ? `${heading}: ${text}` : text];
		})
		.join('; ')
		.slice(0, MOST_NOTE);
}

/**
 * Checks every line of a roster; nothing is left out and nothing is mended silently.
 *
 * @param lines cells of each line with the line's number in the file
 */
export function checkRoster(
	lines: { line: number; cells: string[] }[],
	match: ColumnMatch,
	about: RosterContext
): RosterLine[] {
	const seen = new Map<string, number>();
	return lines.map(({ line, cells }) => checkLine(cells, match, seen, line, about));
}

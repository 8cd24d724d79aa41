import { nearest } from '../text/nearest';
import { readKit, type Owned } from '../kit';
import { LEVELS, levelNamed, type Level } from './levels';
import { zoneNamed } from './zone-named';

export const ROSTER_FIELDS = ['name', 'email', 'zone', 'level', 'equipment'] as const;
export type RosterField = (typeof ROSTER_FIELDS)[number];

/** Which column of the file holds each field; null where none does. */
export type ColumnMatch = Record<RosterField, number | null>;

/** Headings under which each field has been seen; the first is the one that we write ourselves. */
const HEADINGS: Record<RosterField, string[]> = {
	name: ['name', 'full name', 'participant', 'first name'],
	email: ['email', 'mail', 'e-mail', 'address', 'email address'],
	zone: ['time zone', 'zone', 'timezone', 'tz'],
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

/** Letters of a cell that are given back with a fault. */
export const CELL_SHOWN = 254;

/** Longest name and email address taken (RFC 5321 allows 254 characters in an address). */
const MAX = { name: 80, email: 254, equipment: 30, letters: 1000 };

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
				: clean.findIndex((h, i) => !taken.has(i) && HEADINGS[field].some((w) => h.includes(w)));
		if (index < 0) return null;
		taken.add(index);
		return index;
	};
	// The most telling headings first, so that "e-mail name" is not taken for a name.
	const match = {
		email: find('email'),
		zone: find('zone'),
		level: find('level'),
		equipment: find('equipment')
	};
	return { name: find('name'), ...match };
}

const isEmail = (text: string): boolean =>
	text.length <= MAX.email && /^[^\s@,;<>]+@[^\s@,;<>]+\.[^\s@,;<>]+$/.test(text);

export interface RosterContext {
	zones: readonly string[];
	isZone: (zone: string) => boolean;
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

	if (!cell('name')) say('name', 'the name is missing');
	else if (cell('name').length > MAX.name) say('name', `a name has at most ${MAX.name} letters`);

	const email = cell('email').toLowerCase();
	if (!email) say('email', 'the email address is missing');
	else if (!isEmail(email))
		say('email', `“${cell('email').slice(0, 60)}” is not an email address; one looks like oren@example.org`);
	else if (about.enrolled.has(email)) say('email', 'this address is enrolled already');
	else if (seen.has(email)) say('email', `the same address stands in line ${seen.get(email)}`);
	else seen.set(email, line);

	const wrote = cell('zone').slice(0, 60);
	const named = zoneNamed(wrote, about.zones, about.isZone);
	if (!wrote) say('zone', 'the time zone is missing; one looks like Europe/Oslo');
	else if (named.zone === null)
		say(
			'zone',
			`“${wrote}” isn’t a time zone; ${named.nearest ? `did you mean ${named.nearest}?` : 'one looks like Europe/Oslo'}`,
			named.nearest
		);

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
	const { zone } = named;
	if (faults.length > 0 || !level || zone === null) return { line, row: null, faults };
	const row = { name: cell('name'), email, zone, level, kit, unread };
	return named.meant
		? { line, row, faults: [], taken: [`“${wrote}” taken as ${zone}`] }
		: { line, row, faults: [] };
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

import Papa from 'papaparse';
import type { ColumnMatch, RosterLine } from '$core/people';
import { Refusal } from '../platform/errors';

/** What of a roster file is taken. A challenge has 300 people at most in ordinary use. */
export const ROSTER_LIMITS = { lines: 2000, columns: 50 } as const;

export interface RosterFile {
	headings: string[];
	/** Cells with the line they begin in, as an editor counts. */
	lines: { line: number; cells: string[] }[];
	delimiter: string;
	/** What had to be assumed, in words for the coach. */
	notes: string[];
}

/** A cell that the coach corrected in the preview. */
export interface RosterFix {
	line: number;
	/** From 0, as in the headings. */
	column: number;
	value: string;
}

/**
 * A roster with cells corrected, and the text that says so.
 *
 * @returns the same file and text where nothing is corrected
 */
export function correctedRoster(
	file: RosterFile,
	text: string,
	fixes: readonly RosterFix[]
): { file: RosterFile; text: string } {
	if (fixes.length === 0) return { file, text };
	const byLine = new Map<number, RosterFix[]>();
	for (const fix of fixes) byLine.set(fix.line, [...(byLine.get(fix.line) ?? []), fix]);
	const cellsOf = file.lines.map(({ line, cells }) => {
		const own = byLine.get(line) ?? [];
		const most = Math.max(cells.length, ...own.map(({ column }) => column + 1));
		return Array.from(
			{ length: most },
			(_, i) => own.find(({ column }) => column === i)?.value ?? cells[i] ?? ''
		);
	});
	const hasHeadings = file.headings.some(Boolean);
	const written = Papa.unparse(hasHeadings ? [file.headings, ...cellsOf] : cellsOf, {
		delimiter: file.delimiter,
		newline: '\n'
	});
	return { file: { ...readRosterText(written, () => hasHeadings), notes: file.notes }, text: written };
}

/** The line of the text in which each record begins: a quoted cell may go over several. */
function lineOf(text: string, offset: number, last: { line: number; offset: number }): number {
	for (let i = last.offset; i < offset; i++)
		if (text[i] === '\n' || (text[i] === '\r' && text[i + 1] !== '\n')) last.line++;
	last.offset = Math.max(last.offset, offset);
	return last.line;
}

/**
 * Reads delimiter-separated text (RFC 4180; semicolons and tabs as well) into headings and lines.

 * @param isHeadings whether a first line holds headings; one that does not is the first person, and headings are empty
 * @throws Refusal 400 saying where a quote is not closed, or what is missing
 */
export function readRosterText(
	input: string,
	isHeadings: (cells: readonly string[]) => boolean = () => true
): RosterFile {
	const text = input.replace(/^\uFEFF/, '');
	if (!text.trim())
		throw new Refusal(400, 'There is nothing in it yet: a line of headings, then one line a person.');
	const lines: RosterFile['lines'] = [];
	const notes: string[] = [];
	const at = { line: 1, offset: 0 };
	let headings: string[] | null = null;
	let begin = 0;
	let total = 0;
	let broken: { line: number; message: string } | null = null;
	const firstLine = text.slice(0, text.search(/\r|\n|$/));
	const delimiter =
		[',', ';', '\t'].sort((x, y) => firstLine.split(y).length - firstLine.split(x).length)[0] ?? ',';
	Papa.parse<string[]>(text, {
		delimiter,
		step(result, parser) {
			const line = lineOf(text, begin, at);
			begin = result.meta.cursor;
			const [error] = result.errors;
			if (error?.type === 'Quotes') {
				broken = {
					line,
					message: error.code === 'MissingQuotes' ? 'is never closed' : 'is followed by something else'
				};
				parser.abort();
				return;
			}
			const cells = result.data;
			if (cells.every((cell) => !cell.trim())) return;
			if (!headings) {
				headings = isHeadings(cells) ? cells : [];
				if (headings.length > 0) return;
			}
			if (++total <= ROSTER_LIMITS.lines) lines.push({ line, cells });
		}
	});
	if (broken !== null) {
		const { line, message } = broken as { line: number; message: string };
		throw new Refusal(
			400,
			`Line ${line}: a quotation mark opens and ${message}. Close it, or write it twice to mean the sign itself.`
		);
	}
	if (!headings || total === 0)
		throw new Refusal(
			400,
			'There are headings and nobody below them: one line a person (name, email, time zone, level, equipment).'
		);
	const width = Math.max(
		(headings as string[]).length,
		...lines.slice(0, 20).map(({ cells }) => cells.length)
	);
	if (width > ROSTER_LIMITS.columns)
		throw new Refusal(400, `${width} columns; at most ${ROSTER_LIMITS.columns} are read.`);
	if (total > ROSTER_LIMITS.lines)
		throw new Refusal(
			413,
			`${total.toLocaleString('en')} people in one list; ${ROSTER_LIMITS.lines.toLocaleString('en')} are taken at a time. Nothing was read in.`
		);
	if ((headings as string[]).length === 0) {
		headings = Array.from({ length: width }, () => '');
		notes.push('The first line is taken as a person: it has no headings.');
	}
	if (delimiter !== ',')
		notes.push(
			delimiter === ';' ? 'Read with semicolons between the cells.' : 'Read with tabs between the cells.'
		);
	return { headings, lines, delimiter, notes };
}

/** A list of people as it was read. */
export interface RosterRead {
	text: string;
	headings: string[];
	match: ColumnMatch;
	lines: RosterLine[];
	notes: string[];
}

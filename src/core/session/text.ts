/**
 * A whole session as readable text: one block a line, and lines for what goes with it. The grammar is in
 * docs/formats/session-lines.md; `parseSessionText(formatSessionText(x))` is x again.
 */
import { ownOf } from '../text/own';
import type { Practice } from '../practice';
import { howText, targetText } from './amount';
import { formatOf, type Block } from './formats';
import { isLocomotion } from './formats/locomotion';
import { secondsAfter } from './formats/grammar';
import { formatLine, parseLine } from './line';
import type { Link, Repeat, Session } from './model';
import { LIMITS, type Setup } from './parts';
import { repeatAround } from './repeats';
import { logicalLines, placeOf, type LogicalLine, type Written } from './typed/logical-lines';
import type { LineFault } from './typed/asked';
import { doubtsOf } from './typed/doubts';
import type { UnknownNames } from './typed/exercise-of';
import { readLine } from './typed/read-line';

export interface TextFault extends LineFault {
	/** From 1. */
	line: number;
}

export interface ParsedText {
	name: string | null;
	session: Session;
	faults: TextFault[];
	/** What was assumed, with its line. */
	notes: { line: number; message: string }[];
	/** What each line became, in words; a block of several lines stands with all of them. */
	became: Became[];
}

/** What lines of a text became. */
export interface Became {
	/** From 1. */
	lines: number[];
	words: string;
	/** Whether it is not understood as it stands. */
	isFaulty: boolean;
}

/** Faults beyond this many are counted, not listed. */
const MOST_FAULTS = 50;
/** Lines that are looked at; what a session can hold fits in a fraction of it. */
const MOST_LINES = 400;

/** What lines of the session's own become. */
const OTHER_WORDS: Readonly<Record<string, string>> = {
	session: 'the name of the session',
	note: 'a note',
	notes: 'a note',
	recovery: 'recovery after the session',
	link: 'a link',
	when: 'a part of the day',
	setup: 'a setup before the next block',
	repeat: 'the following blocks are repeated',
	end: 'the end of the repeat'
};

/** A block as one says it: `Straight sets, 3 × · rest 90: 10 reps Goblet squat, 12 kg`. */
function blockWords(block: Block, practice: Practice): string {
	const format = formatOf(block);
	const parts = block.parts.map((part) => {
		const much = format.target ? '' : `${targetText(part)} `;
		const how = howText(part);
		return `${much}${part.exercise}${how ? `, ${how}` : ''}`;
	});
	const role = block.role === 'main' ? '' : `${block.role}: `;
	return `${role}${format.label}, ${format.summary(block, practice)}: ${parts.join(' + ')}`;
}

class SessionReader {
	name: string | null = null;
	readonly blocks: Block[] = [];
	readonly repeats: Repeat[] = [];
	readonly notes: ParsedText['notes'] = [];
	readonly faults: TextFault[] = [];
	readonly became: Became[] = [];
	private readonly noteLines: string[] = [];
	private readonly links: Link[] = [];
	private readonly recovery: string[] = [];
	private setup: Setup | null = null;
	private dayPart: string | null = null;
	private pieces = false;
	private open: { from: number; times: number; rest: number; line: number } | null = null;

	constructor(
		private readonly practice: Practice,
		private readonly unknown: UnknownNames,
		/** Whether readings that are known to go wrong are asked about. */
		private readonly careful: boolean
	) {}

	private fault(line: number, text: string, message: string, at: Partial<LineFault> = {}): void {
		this.faults.push({
			line,
			from: at.from ?? 0,
			to: at.to ?? text.length,
			message,
			...(at.offers && { offers: at.offers })
		});
	}

	take(written: Written): void {
		const before = this.faults.length;
		const words = this.read(written);
		const lines = written.kind === 'block' ? written.pieces.map(({ line }) => line) : [written.line];
		const isFaulty = this.faults.length > before;
		this.became.push({ lines: [...new Set(lines)], words: isFaulty ? 'not clear yet' : words, isFaulty });
	}

	/** @returns what became of it, in words */
	private read(written: Written): string {
		const blocks = this.blocks.length;
		this.readOne(written);
		const made = this.blocks.slice(blocks).map((block) => blockWords(block, this.practice));
		if (made.length > 0) return made.join('; ');
		if (written.kind === 'name') return `the name of the session: ${written.name}`;
		if (written.kind === 'heading') return 'a heading, left out';
		return written.kind === 'other'
			? (ownOf(OTHER_WORDS, /[a-z]+/i.exec(written.text)?.[0].toLowerCase() ?? '') ?? 'read')
			: '';
	}

	private readOne(written: Written): void {
		if (written.kind === 'heading') return;
		if (written.kind === 'block') return this.block(written);
		const { line, text } = written;
		if (written.kind === 'other') return this.line(text, line);
		if (written.kind === 'name') {
			this.name = written.name;
			this.notes.push({ line, message: `“${written.name}” is taken as the name of the session.` });
			return;
		}
		this.fault(line, text, 'a second day begins here: one session at a time, please');
	}

	private line(text: string, line: number): void {
		const [, word, rest] = /^\s*([a-z]+)\b[^:]*:\s*(.*)$/i.exec(text) ?? [];
		const keyword = word?.toLowerCase();
		if (keyword === 'session') this.name = rest?.trim() ?? '';
		else if (keyword === 'note' || keyword === 'notes') this.noteLines.push(rest?.trimEnd() ?? '');
		else if (keyword === 'recovery') this.recovery.push(rest?.trim() ?? '');
		else if (keyword === 'link') this.link(text, rest ?? '', line);
		else if (/^\s*when\s*:/i.test(text)) this.partOfDay(text, rest ?? '', line);
		else if (/^\s*(?:in\s+)?pieces(?:\s+over\s+the\s+day)?[\s.]*$/i.test(text)) this.pieces = true;
		else if (keyword === 'setup') this.setUp(text, rest ?? '', line);
		else if (/^\s*repeat\b/i.test(text)) this.beginRepeat(text, line);
		else if (/^\s*end\s+repeat\b/i.test(text)) this.endRepeat(text, line);
		else this.block({ text, pieces: [{ line, from: 0, at: 0, text }], role: null });
	}

	private link(text: string, rest: string, line: number): void {
		const [title, url] = rest.split('|').map((half) => half.trim());
		if (!title || !url) return this.fault(line, text, 'a link is written as link: its title | https://…');
		this.links.push({ title, url });
	}

	private setUp(text: string, rest: string, line: number): void {
		const seconds = secondsAfter(text, /setup/) ?? 30;
		if (!rest.trim())
			return this.fault(line, text, 'what is to be set up? as in setup 20 s: swap to the heavy pair');
		this.setup = { seconds, text: rest.trim() };
	}

	private partOfDay(text: string, rest: string, line: number): void {
		if (!rest.trim()) this.fault(line, text, 'when in the day? as in when: Evening');
		else this.dayPart = rest.trim();
	}

	private beginRepeat(text: string, line: number): void {
		if (this.open)
			return this.fault(
				line,
				text,
				`the repeat of line ${this.open.line} is still open: end repeat closes it`
			);
		const times = /(\d+)\s*(?:times|x|×)/i.exec(text);
		if (!times) return this.fault(line, text, 'how often? as in repeat 3 times, rest 30:');
		this.open = {
			from: this.blocks.length,
			times: Number(times[1]),
			rest: secondsAfter(text, /rest/) ?? 0,
			line
		};
	}

	private endRepeat(text: string, line: number): void {
		if (!this.open) return this.fault(line, text, 'no repeat is open here');
		const { from, times, rest } = this.open;
		if (this.blocks.length === from) this.fault(line, text, 'there is no block in this repeat');
		else this.repeats.push({ from, to: this.blocks.length - 1, times, rest });
		this.open = null;
	}

	private block(logical: LogicalLine): void {
		const [{ line } = { line: 1 }] = logical.pieces;
		const doubts = this.careful
			? logical.pieces.flatMap((piece) =>
					doubtsOf(piece.text).map((one) => ({
						...one,
						line: piece.line,
						from: one.from + piece.from,
						to: one.to + piece.from
					}))
				)
			: [];
		if (doubts.length > 0) return void this.faults.push(...doubts);
		const read = parseLine(logical.text, this.practice, this.unknown);
		if ('faults' in read) {
			for (const fault of read.faults)
				this.faults.push({ ...fault, ...placeOf(logical, fault.from, fault.to) });
			return;
		}
		if (this.careful && this.bareRun(logical, read.block)) return;
		this.notes.push(...read.notes.map((message) => ({ line, message })));
		const block: Block =
			logical.role && read.block.role === 'main' ? { ...read.block, role: logical.role } : read.block;
		this.blocks.push({
			...block,
			...(this.setup && { setup: this.setup }),
			...(this.dayPart !== null && { dayPart: this.dayPart })
		});
		this.setup = null;
		this.dayPart = null;
	}

	/** Asks about a number beside running or walking that says neither how long nor how far. @returns whether it did */
	private bareRun(logical: LogicalLine, { parts }: Block): boolean {
		const read = readLine(logical.text, this.practice, this.unknown);
		if (!('placeOf' in read)) return false;
		for (const [i, { exercise }] of parts.entries()) {
			const known = this.practice.library.find(exercise);
			const { from, to } = read.placeOf(`.parts[${i}].target`);
			const typed = logical.text.slice(from, to).trim();
			if (!known || !isLocomotion(known) || !/^\d+(?:\.\d+)?$/.test(typed)) continue;
			this.faults.push({
				...placeOf(logical, from, to),
				message: `${exercise}: ${typed} what? Minutes, metres or kilometres`,
				offers: ['min', 'm', 'km'].map((unit) => ({ label: `${typed} ${unit}`, text: `${typed} ${unit}` }))
			});
			return true;
		}
		return false;
	}

	/** Says that what comes from a line on was not looked at. */
	stop(line: number, lines: readonly string[], why: string): void {
		const message = `${why}: ${lines.length - line + 1} lines from here were not read`;
		this.faults.push({ line, from: 0, to: lines[line - 1]?.length ?? 1, message });
	}

	result(lastLine: number): ParsedText {
		if (this.open) this.fault(this.open.line, '', 'this repeat is not closed: a line end repeat does it');
		if (this.dayPart !== null) this.fault(lastLine, '', `no block follows for ${this.dayPart}`);
		if (this.setup) this.fault(lastLine, '', 'no block follows the setup');
		const session: Session = {
			blocks: this.blocks,
			...(this.repeats.length > 0 && { repeats: this.repeats }),
			...(this.noteLines.length > 0 && { note: this.noteLines.join('\n') }),
			...(this.links.length > 0 && { links: this.links }),
			...(this.recovery.length > 0 && { recovery: this.recovery }),
			...(this.pieces && { pieces: true as const })
		};
		return { name: this.name, session, faults: this.faults, notes: this.notes, became: this.became };
	}
}

/**
 * Reads a session from text. Faults name their line and the stretch within it; what could be read is there all
 * the same. Stops after the most blocks or faults that make sense, and says so.
 *
 * @param careful whether readings that are known to go wrong without a word are asked about: for what others wrote
 */
export function parseSessionText(
	text: string,
	practice: Practice,
	unknown: UnknownNames = 'ask',
	careful = false
): ParsedText {
	const reader = new SessionReader(practice, unknown, careful);
	const lines = text.split(/\r\n|\r|\n/);
	const most = lines.slice(0, MOST_LINES);
	for (const written of logicalLines(most, practice)) {
		const at = written.kind === 'block' ? (written.pieces[0]?.line ?? 1) : written.line;
		if (reader.faults.length >= MOST_FAULTS || reader.blocks.length >= LIMITS.blocks) {
			const why =
				reader.blocks.length >= LIMITS.blocks
					? `a session has at most ${LIMITS.blocks} blocks`
					: `${MOST_FAULTS} faults are enough to go on with`;
			reader.stop(at, lines, why);
			break;
		}
		reader.take(written);
	}
	if (
		most.length < lines.length &&
		reader.faults.length < MOST_FAULTS &&
		reader.blocks.length < LIMITS.blocks
	)
		reader.stop(MOST_LINES + 1, lines, `a session has at most ${MOST_LINES} lines`);
	return reader.result(lines.length);
}

/** The session as text that is read back as the same. */
export function formatSessionText(
	session: Session,
	practice: Pick<Practice, 'library'>,
	name: string | null = null
): string {
	const lines: string[] = [];
	if (name) lines.push(`session: ${name}`);
	for (const note of session.note?.split('\n') ?? []) lines.push(`note: ${note}`);
	for (const link of session.links ?? []) lines.push(`link: ${link.title} | ${link.url}`);
	if (session.pieces) lines.push('in pieces over the day');
	session.blocks.forEach((block, b) => {
		const repeat = repeatAround(session, b);
		if (repeat?.from === b) lines.push(`repeat ${repeat.times} times, rest ${repeat.rest}:`);
		if (block.dayPart !== undefined) lines.push(`when: ${block.dayPart}`);
		if (block.setup) lines.push(`setup ${block.setup.seconds} s: ${block.setup.text}`);
		lines.push(formatLine(block, practice));
		if (repeat?.to === b) lines.push('end repeat');
	});
	for (const text of session.recovery ?? []) lines.push(`recovery: ${text}`);
	return `${lines.join('\n')}\n`;
}

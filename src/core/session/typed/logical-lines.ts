/**
 * A session as people write it down, with headings, bullets, weekdays and exercises one below the other, as lines of one
 * block each. Where each of them came from is kept, so that what has to be asked is asked where it was typed.
 */
import type { Practice } from '../../practice';
import { LIMITS, type Role } from '../parts';
import type { Phrase, PhraseKind } from '../phrase/phrase';
import { phrasesOf } from './phrases-of';

/** A stretch of a line as it was typed: it stands in the logical line from `at` on. */
interface Piece {
	/** From 1. */
	line: number;
	/** Characters of the typed line before it. */
	from: number;
	at: number;
	text: string;
}
export interface LogicalLine {
	text: string;
	pieces: Piece[];
	/** Of the heading that it stands under. */
	role: Role | null;
}
export type Written =
	| ({ kind: 'block' } & LogicalLine)
	/** A word and a colon: what the session's own lines are, such as note: or repeat 3 times: */
	| { kind: 'other'; line: number; text: string }
	| { kind: 'name'; line: number; name: string; text: string }
	| { kind: 'second-day'; line: number; text: string }
	/** A heading that says nothing of the work: what was said above it ends here. */
	| { kind: 'heading'; line: number; text: string };

/** What is done at another time of the day stands under it. */
const DAY_PART = /^[\s#*_]*(morning|midday|lunch|noon|afternoon|evening|night|a\.?m\.?|p\.?m\.?)[\s:*_]*$/i;
const OTHER =
	/^\s*(?:session|note|notes|link|recovery|setup|when(?=\s*:)|(?:in\s+)?pieces|repeat|end\s+repeat)\b/i;
const SECTION =
	/^[\s#*_=-]*(warm[- ]?up|main|main (?:set|part|work|block)|strength|conditioning|cardio|finisher|core|workout|cool[- ]?down|stretching)\s*(?:\([^)]*\))?[\s:*_=-]*$/i;
const DAY =
	/^[\s#*_-]*(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day|(?:mon|tue|wed|thu|fri|sat|sun)\b|day\s+\d{1,2}\b)\s*[:,–—-]?\s*(.*?)[\s*_]*$/i;
/** Marked as a heading: with #, in bold, or a few words in capitals or before a colon, without a number. */
const HEADING =
	/^\s*(?:#{1,6}\s+[^\d]+|\*\*[^*\d]+\*\*:?|[^\d:;,+]{2,40}:|(?=.*[A-Z]{3})[^a-z\d:;,+]{3,40})\s*$/;
const BULLET = /^\s*(?:[-–•*]+|\d{1,2}[.)])\s+/;
const LABEL = /^\s*(?:[-–•*]+\s+)?([A-H])([1-9])\b/;
/** What may stand in the line above its exercises. */
const HEAD: ReadonlySet<PhraseKind> = new Set([
	'keyword',
	'times',
	'slot',
	'rest',
	'limit',
	'every',
	'amount',
	'people',
	'change',
	'filler',
	'colon',
	'sign',
	'label',
	'role',
	'side',
	'last-rest'
]);
const OPENS: ReadonlySet<PhraseKind> = new Set(['keyword', 'times', 'slot', 'limit', 'every']);

const isHead = (phrases: readonly Phrase[]): boolean =>
	phrases.every(({ kind }) => HEAD.has(kind)) && phrases.some(({ kind }) => OPENS.has(kind));
const isRest = (phrases: readonly Phrase[]): boolean =>
	phrases.length > 0 &&
	phrases.every(({ kind }) => ['rest', 'sign', 'label'].includes(kind)) &&
	phrases.some(({ kind }) => kind === 'rest');
const hasName = (phrases: readonly Phrase[]): boolean =>
	phrases.some(({ kind }) => kind === 'name' || kind === 'quoted' || kind === 'word');

/** Whether a line names an exercise, a format or how much of something. */
const hasWork = (phrases: readonly Phrase[]): boolean =>
	phrases.some(({ kind }) => ['name', 'quoted', 'keyword', 'times', 'amount', 'rest'].includes(kind));

const roleOf = (word: string): Role =>
	/^warm/i.test(word) ? 'warm-up' : /^(?:cool|stretching)/i.test(word) ? 'cool-down' : 'main';

function dayPartOf(word: string): string {
	if (/^a/i.test(word) && word.length < 5) return 'Morning';
	if (/^p/i.test(word)) return 'Evening';
	return `${word.charAt(0).toUpperCase()}${word.slice(1).toLowerCase()}`;
}

class Joiner {
	readonly written: Written[] = [];
	private role: Role | null = null;
	/** The line that further ones may belong to, and why. */
	private open: { line: LogicalLine; as: 'head' | 'label'; letter: string; empty: boolean } | null = null;
	private named = false;
	private days = 0;

	constructor(private readonly practice: Pick<Practice, 'library'>) {}

	private push(line: number, text: string, from = 0): LogicalLine {
		const logical: LogicalLine = { text, pieces: [{ line, from, at: 0, text }], role: this.role };
		this.written.push({ kind: 'block', ...logical });
		// What is joined to it later must be seen in the list.
		return this.written.at(-1) as unknown as LogicalLine;
	}

	private join(to: LogicalLine, line: number, text: string, from: number, sign: string): void {
		const at = to.text.length + sign.length;
		to.pieces.push({ line, from, at, text });
		to.text = `${to.text}${sign}${text}`;
	}

	private name(line: number, name: string, text: string): void {
		this.named = true;
		this.written.push({ kind: 'name', line, name, text });
	}

	line(text: string, line: number): void {
		if (text.length > LIMITS.line) {
			this.open = null;
			this.push(line, text);
			return;
		}
		if (!text.trim()) {
			this.open = null;
			return;
		}
		if (OTHER.test(text)) {
			this.open = null;
			this.named ||= /^\s*session/i.test(text);
			this.written.push({ kind: 'other', line, text });
			return;
		}
		const part = DAY_PART.exec(text)?.[1];
		if (part) {
			this.open = null;
			this.role = null;
			this.written.push({ kind: 'other', line, text: `when: ${dayPartOf(part)}` });
			return;
		}
		const section = SECTION.exec(text)?.[1];
		if (section) {
			this.open = null;
			this.role = roleOf(section);
			return;
		}
		if (/^\s*#(?!#)/.test(text)) {
			// A comment, or the heading of what is none of ours.
			if (HEADING.test(text)) this.role = null;
			return;
		}
		const day = DAY.exec(text);
		if (day && this.day(line, text, day[1] ?? '')) return;
		if (HEADING.test(text) && !hasWork(phrasesOf(text, this.practice))) return this.heading(line, text);
		this.content(line, text);
	}

	/** A heading that is none of ours; the first of all is the name of the session. */
	private heading(line: number, text: string): void {
		this.open = null;
		this.role = null;
		const name = text.replace(/^[\s#*_=]+|[:\s*_=]+$/g, '');
		if (this.written.length === 0 && !this.named) this.name(line, name, text);
		else this.written.push({ kind: 'heading', line, text });
	}

	/** A weekday or a number of a day: the name of the session, or what is done on it in the same line. */
	private day(line: number, text: string, rest: string): boolean {
		this.open = null;
		if (this.days++ > 0) {
			this.written.push({ kind: 'second-day', line, text });
			return true;
		}
		if (/\d/.test(rest)) {
			this.content(line, rest, text.indexOf(rest));
			return true;
		}
		if (!this.named) this.name(line, rest || text.replace(/[\s:#*_-]+$/, '').trim(), text);
		return true;
	}

	private content(line: number, text: string, from = 0): void {
		const phrases = phrasesOf(text, this.practice);
		const last = this.written.at(-1);
		const label = LABEL.exec(text);
		const letter = label?.[1] ?? '';
		const bullet = BULLET.exec(text)?.[0].length ?? 0;
		if (this.open?.as === 'label' && letter === this.open.letter && label?.[2] !== '1')
			return this.join(this.open.line, line, text, from, ', ');
		if (isRest(phrases) && last?.kind === 'block')
			return this.join(last, line, text.slice(bullet), from + bullet, ', ');
		const own = phrases.some(({ kind }) => kind === 'times');
		if (this.open?.as === 'head' && hasName(phrases) && (!own || bullet > 0) && !label) {
			const sign = this.open.empty ? (/:\s*$/.test(this.open.line.text) ? ' ' : ': ') : ', ';
			this.open.empty = false;
			return this.join(this.open.line, line, text.slice(bullet), from + bullet, sign);
		}
		this.open = null;
		const first = this.written.every(({ kind }) => kind !== 'block') && !this.named;
		if (first && !/\d/.test(text) && !phrases.some(({ kind }) => kind === 'name' || kind === 'keyword'))
			return this.name(line, text.replace(/^[\s#*_]+|[:\s*_]+$/g, ''), text);
		const logical = this.push(line, text, from);
		if (isHead(phrases)) this.open = { line: logical, as: 'head', letter: '', empty: true };
		else if (label) this.open = { line: logical, as: 'label', letter, empty: false };
	}
}

/** The lines of a text as what they are in a session, in order. */
export function logicalLines(lines: readonly string[], practice: Pick<Practice, 'library'>): Written[] {
	const joiner = new Joiner(practice);
	lines.forEach((line, i) => joiner.line(line, i + 1));
	return joiner.written;
}

/** The typed line and the place in it that a place of a logical line came from. */
export function placeOf(
	{ pieces }: LogicalLine,
	from: number,
	to: number
): { line: number; from: number; to: number } {
	const piece = pieces.findLast(({ at }) => at <= from) ?? pieces[0];
	if (!piece) return { line: 1, from, to };
	const within = (place: number) => piece.from + Math.min(piece.text.length, Math.max(0, place - piece.at));
	return { line: piece.line, from: within(from), to: Math.max(within(from) + 1, within(to)) };
}

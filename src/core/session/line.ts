/**
 * Blocks as lines of text, both ways. The grammar is in docs/formats/session-lines.md; `parseLine` forgives
 * what can be understood, `formatLine` writes the one form that everything is read back from.
 */
import { nearest } from '../text/nearest';
import { blockFaults } from './faults';
import type { Tempo } from '../exercise';
import type { Practice } from '../practice';
import {
	formatNamed,
	formatNames,
	formatOf,
	PLAIN_FORMAT,
	saysHowMuch,
	type Block,
	type FormatName
} from './formats';
import type { Part, PartialRule, Role, Target } from './parts';
import { amountOf, unitOf } from './amount';

/** A stretch of the line that was not understood, from and to in characters. */
export interface LineFault {
	from: number;
	to: number;
	message: string;
}

export type ParsedLine = { block: Block; notes: string[] } | { faults: LineFault[] };

const KG_PER_LB = 0.45359237;

interface Piece {
	text: string;
	from: number;
}

/** Splits at a sign and remembers where each piece began. */
function split(piece: Piece, sign: string): Piece[] {
	let from = piece.from;
	return piece.text.split(sign).map((text) => {
		const at = { text, from };
		from += text.length + sign.length;
		return at;
	});
}

function faultAt(piece: Piece, message: string): LineFault {
	const lead = piece.text.length - piece.text.trimStart().length;
	return {
		from: piece.from + lead,
		to: piece.from + Math.max(piece.text.trimEnd().length, lead + 1),
		message
	};
}

/** Takes the first match of a pattern out of a text. */
function take(text: string, pattern: RegExp): [RegExpExecArray | null, string] {
	const found = pattern.exec(text);
	if (!found) return [null, text];
	return [found, `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`];
}

function readTarget(count: string, unit: string | undefined): Target {
	const amount = Number(count);
	if (!unit || /^reps?$|^x$/i.test(unit)) return { kind: 'reps', reps: amount };
	if (/^m(et)/i.test(unit) || unit === 'm') return { kind: 'metres', metres: amount };
	return { kind: 'seconds', seconds: /^min/i.test(unit) ? amount * 60 : amount };
}

const UNIT = '(reps?|x|seconds?|secs?|s|minutes?|min|met(?:re|er)s?|m)(?=\\s|$)';
const NUMBER = '(-?\\d+(?:\\.\\d+)?)';
const COUNT = new RegExp(`^\\s*${NUMBER}\\s*(?:${UNIT})?`, 'i');
const OR = new RegExp(`^\\s*or\\s+${NUMBER}\\s*(?:${UNIT})?`, 'i');

/** Signs that are written in several ways, brought to one, letter by letter so that places stay what they are. */
const tidy = (line: string): string =>
	line
		.replace(/\b1 1\/4(?=\s)/g, '1¼   ')
		.replace(/\b1 1\/2(?=\s)/g, '1½   ')
		.replace(/(\d),(\d{1,2})(?!\d)/g, '$1.$2');

/** One exercise: `10 reps goblet squat 3-1-1 @ 12 kg`, in any order that is not ambiguous. */
function readPart(
	piece: Piece,
	fallback: Target | null,
	{ library }: Pick<Practice, 'library'>
): { part: Part; note: string | null } | LineFault {
	let text = piece.text;
	const [side, withoutSide] = take(text, /\b(?:per|each|a|every)\s+side\b/i);
	text = withoutSide;
	const [load, withoutLoad] = take(text, /@\s*([^\s@]+)\s*(kgs?|lbs?|pounds?)?/i);
	text = withoutLoad;
	const [pace, withoutPace] = take(
		text,
		/(?<![\w-])(\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)(?:-(\d+(?:\.\d+)?))?(?![\w-])/
	);
	text = withoutPace;
	const [partial, withoutPartial] = take(text, /1¼|1½|\b(?:lower|upper) half(?: reps?)?\b/i);
	text = withoutPartial;
	const [count, withoutCount] = take(text, COUNT);
	const [or, rest] = take(withoutCount, OR);
	const name = rest.replace(/\s+/g, ' ').trim();
	if (!name) return faultAt(piece, 'the name of an exercise is missing here');
	if (load && !(Number(load[1]) > 0))
		return faultAt(
			{ text: load[0], from: piece.from + piece.text.indexOf(load[0]) },
			`“${load[1]}” is not a load: a number of kg or lb comes after @, as in @ 12 kg`
		);

	const known = library.find(name);
	const other = or?.[1] === undefined ? null : readTarget(or[1], or[2] ?? 's');
	let target: Target;
	if (count?.[1] !== undefined)
		target = readTarget(
			count[1],
			count[2] ?? (known?.countedIn === 'seconds' && other?.kind !== 'seconds' ? 's' : undefined)
		);
	else if (fallback) target = fallback;
	else return faultAt(piece, `how much of ${name}? A number comes first, as in 10 ${name} or 30 s ${name}`);

	const kg = load ? Number(load[1]) * (/^(lb|pound)/i.test(load[2] ?? '') ? KG_PER_LB : 1) : null;
	const tempo = pace ? ([1, 2, 3, 4].map((i) => Number(pace[i] ?? 0)) as unknown as Tempo) : null;
	const guess = known ? null : nearest(name, library.names());
	return {
		part: {
			exercise: known?.name ?? name,
			target,
			perSide: side !== null,
			tempo,
			kg: kg === null ? null : Math.round(kg * 100) / 100,
			...(other && { or: other }),
			...(partial && { partial: partial[0].toLowerCase().replace(/ reps?$/, '') as PartialRule })
		},
		note: known
			? null
			: `${name} is not in the library${guess ? `; ${guess} is` : ''}. It is taken as your own.`
	};
}

/** Takes `warm-up` or `cool-down` off the front. */
function readRole(piece: Piece): { role: Role; rest: Piece } {
	const found = /^\s*(warm-?\s?up|main|cool-?\s?down)\b\s*[:,]?/i.exec(piece.text);
	if (!found?.[1]) return { role: 'main', rest: piece };
	const first = found[1][0]?.toLowerCase();
	const role: Role = first === 'w' ? 'warm-up' : first === 'c' ? 'cool-down' : 'main';
	return { role, rest: { text: piece.text.slice(found[0].length), from: piece.from + found[0].length } };
}

function readFormat(text: string): FormatName | null {
	const start = text.trimStart().toLowerCase();
	const hits = formatNames().flatMap((name) =>
		formatNamed(name)
			.keywords.filter((word) => new RegExp(`^${word}\\b`).test(start))
			.map((word) => ({ name, word }))
	);
	return hits.sort((a, b) => b.word.length - a.word.length)[0]?.name ?? null;
}

/** Parts the numbers of a block from its exercises. */
function readHead(piece: Piece, format: FormatName | null): { head: string; body: Piece } | LineFault {
	// The colon of a time, as in rest 1:30, has two digits behind it and parts nothing.
	const colon = piece.text.search(/:(?!\d\d(?!\d))/);
	if (format && colon >= 0) {
		return {
			head: piece.text.slice(0, colon).toLowerCase(),
			body: { text: piece.text.slice(colon + 1), from: piece.from + colon + 1 }
		};
	}
	const named = formatNamed(format ?? PLAIN_FORMAT);
	if (named.headOf) {
		const { head, from, to } = named.headOf(piece.text);
		return { head, body: { text: piece.text.slice(from, to), from: piece.from + from } };
	}
	return faultAt(
		piece,
		`a colon parts the numbers from the exercises, as in “${named.keywords[0]} …: 10 squat + 8 push-up”`
	);
}

/**
 * Reads one typed line into a block.
 *
 * @returns the block and notes about what was assumed, or the places that were not understood
 * @example parseLine('3 x 10 goblet squat 3-1-1 @ 12 kg, rest 90', practice)
 */
export function parseLine(line: string, practice: Practice): ParsedLine {
	const whole = { text: tidy(line), from: 0 };
	if (!line.trim()) return { faults: [faultAt(whole, 'nothing typed yet')] };
	const { role, rest } = readRole(whole);
	const format = readFormat(rest.text);
	const head = readHead(rest, format);
	if ('message' in head) return { faults: [head] };

	// Where the format says how much, the head has it; a head without is the format's to report.
	const fallback: Target | null = format && saysHowMuch(format) ? { kind: 'seconds', seconds: 1 } : null;
	const faults: LineFault[] = [];
	const notes: string[] = [];
	const groups = split(head.body, format && formatNamed(format).picked ? '/' : '\n').map((group) =>
		split(group, '+').flatMap((piece) => {
			const read = readPart(piece, fallback, practice);
			if ('message' in read) {
				faults.push(read);
				return [];
			}
			if (read.note) notes.push(read.note);
			return [read.part];
		})
	);
	if (faults.length > 0) return { faults };

	const read = formatNamed(format ?? PLAIN_FORMAT).read(head.head, groups.flat(), groups);
	if ('fault' in read) return { faults: [faultAt(rest, read.fault)] };
	const block = { ...read, role } as Block;
	const wrong = blockFaults(block, '', practice);
	if (wrong.length > 0) return { faults: wrong.map((fault) => faultAt(rest, fault.message)) };
	return { block, notes };
}

const amountWords = (target: Target): string => `${amountOf(target)} ${unitOf(target)}`;

function partText(part: Part, fixed: boolean): string {
	return [
		fixed ? null : amountWords(part.target),
		part.or ? `or ${amountWords(part.or)}` : null,
		part.partial,
		part.perSide ? 'per side' : null,
		part.exercise,
		part.tempo ? part.tempo.join('-') : null,
		part.kg === null ? null : `@ ${part.kg} kg`
	]
		.filter(Boolean)
		.join(' ');
}

/** The block as one line; `parseLine` gives the same block back, without what is set up before it. */
export function formatLine(block: Block): string {
	const line = formatOf(block).line(block, (part) => partText(part, saysHowMuch(block.format)));
	return block.role === 'main' ? line : `${block.role}: ${line}`;
}

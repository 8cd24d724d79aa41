import { nameIndex } from '../../exercise';
import type { Practice } from '../../practice';
import { formatNamed, formatNames, type FormatName } from '../formats';
import type { PartialRule, Resistance, Role } from '../parts';
import { parse } from './phrases.peggy';

/** From `low` to `high`; the same twice where one number was typed. */
export interface Span {
	low: number;
	high: number;
}

interface Kinds {
	role: { role: Role };
	/** A bullet, `1.` or `A1`: who typed it parts exercises by it. */
	label: object;
	/** Known, perhaps with several meanings. */
	name: object;
	/** In quotation marks: taken as it stands. */
	quoted: { name: string };
	/** A word for a format, or for several that it may mean. */
	keyword: { formats: FormatName[]; word: string };
	/** How often: `3 x`, `3 sets`, `x 3`. */
	times: { count: number; unit: 'sets' | 'rounds' | 'x'; after: boolean };
	/** How much: of one set, or of each where they differ. `by` turns the unit typed into seconds or metres. */
	amount: { each: Span[]; unit: 'reps' | 'seconds' | 'metres' | null; by: number };
	or: object;
	slot: { work: number; rest: number; hard: boolean };
	rest: Span & { where: 'inside' | 'between' | 'after' | null };
	'last-rest': object;
	limit: { seconds: number; bare: boolean };
	every: { seconds: number };
	people: { count: number };
	change: { seconds: number };
	side: object;
	tempo: { phases: [number, number, number, number] };
	partial: { rule: PartialRule };
	effort: Span;
	load: { count: number; kg: number | null };
	resistance: { resistance: Resistance };
	'bare-load': { amount: number };
	drop: { times: number; percent: number; on: 'last' | 'every' };
	bpm: Span;
	'talk-test': object;
	percent: object;
	colon: object;
	sign: { sign: string };
	filler: object;
	word: object;
	other: object;
}
export type PhraseKind = keyof Kinds;
/** A stretch of a typed line, from and to in characters, and what it says by itself. */
export type Phrase<K extends PhraseKind = PhraseKind> = {
	[Kind in K]: { kind: Kind; from: number; to: number; text: string } & Kinds[Kind];
}[K];

const escaped = (text: string): string =>
	text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/[- ]/g, '[- ]?');

/** Finds the longest word that begins a format, of all that there are just now. */
function keywordFinder(
	line: string
): (at: number) => { formats: FormatName[]; word: string; end: number } | null {
	const words = new Map<string, FormatName[]>();
	for (const format of formatNames())
		for (const word of formatNamed(format).keywords) words.set(word, [...(words.get(word) ?? []), format]);
	const patterns = [...words]
		.sort(([a], [b]) => b.length - a.length)
		.map(([word, formats]) => ({
			word,
			formats,
			pattern: new RegExp(`${escaped(word)}(?![\\p{L}\\p{M}])`, 'iuy')
		}));
	return (at) => {
		for (const { word, formats, pattern } of patterns) {
			pattern.lastIndex = at;
			if (pattern.test(line)) return { word, formats, end: pattern.lastIndex };
		}
		return null;
	};
}

/** Cuts a line into phrases. Nothing is left out: whatever is no space lies within exactly one of them, in order. */
export function phrasesOf(line: string, { library }: Pick<Practice, 'library'>): Phrase[] {
	const names = nameIndex(library);
	const phrases = parse(line, {
		nameEnd: (at: number) => names.endOf(line, at),
		keywordAt: keywordFinder(line)
	}) as Phrase[];
	return phrases.map((phrase) => ({ ...phrase, text: line.slice(phrase.from, phrase.to).trim() }));
}

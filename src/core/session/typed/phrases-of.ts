import { nameIndex } from '../../exercise';
import type { Practice } from '../../practice';
import { formatNamed, formatNames, type FormatName } from '../formats';
import type { Phrase } from '../phrase/phrase';
import { parse } from './phrases.peggy';

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

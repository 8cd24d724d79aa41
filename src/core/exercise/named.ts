import { ownOf } from '../text/own';
import { distance } from 'fastest-levenshtein';
import type { Exercise } from './exercise';
import type { Library } from './library';
import { SYNONYMS } from './synonyms';

/** Finds exercises under whatever coaches call them. */
export interface NameIndex {
	/** Where the longest known name ends that begins at a place of a line; `at` itself where none does. */
	endOf(line: string, at: number): number;
	/** The exercises that a text means: one, several that have to be asked about, none where it is unknown. */
	meanings(text: string): readonly Exercise[];
	/** Names that are close to an unknown one, the closest first; three at most. */
	near(text: string): string[];
}

/** Words in a name at most. */
const MOST_WORDS = 7;
/** Letters beyond which a text is compared with nothing. */
const MOST_LETTERS = 80;

const ABBREVIATIONS: Readonly<Record<string, string>> = {
	db: 'dumbbell',
	kb: 'kettlebell',
	bw: 'bodyweight',
	sl: 'single leg',
	sa: 'one arm',
	legged: 'leg',
	armed: 'arm',
	'w/': 'with'
};

/** A word without its plural. */
function singular(word: string): string {
	if (/(?:ch|sh|ss|x)es$/.test(word)) return word.slice(0, -2);
	return word.length > 2 && /[^s]s$/.test(word) ? word.slice(0, -1) : word;
}

function keyOf(words: readonly string[]): string {
	return words
		.map((word) => word.toLowerCase().replace(/['’]/g, ''))
		.map((word) => ownOf(ABBREVIATIONS, word) ?? singular(word))
		.join(' ')
		.replace(/\b(?:single|1) arm\b/, 'one arm')
		.replace(/\b(?:one|1) leg\b/, 'single leg');
}

const WORD = /w\/|[\p{L}\p{M}\p{N}¼½]+(?:['’]\p{L}+)?/uy;

/** The words that follow each other from a place on, parted by nothing but spaces and hyphens, with their ends. */
function wordsFrom(line: string, at: number): { word: string; end: number }[] {
	const words: { word: string; end: number }[] = [];
	for (let next = at; words.length < MOST_WORDS;) {
		WORD.lastIndex = next;
		const found = WORD.exec(line);
		if (!found) break;
		words.push({ word: found[0], end: WORD.lastIndex });
		next = WORD.lastIndex;
		if (line[next] === '-') next++;
		else while (line[next] === ' ' || line[next] === '\t') next++;
	}
	return words;
}

const wordsOf = (text: string): string[] => text.match(/w\/|[\p{L}\p{M}\p{N}¼½'’]+/gu) ?? [];

function indexOf(library: Library): NameIndex {
	const byKey = new Map<string, readonly Exercise[]>();
	const add = (name: string, meant: readonly Exercise[]) => {
		const key = keyOf(wordsOf(name));
		// As one word as well: pushups, stepups.
		for (const form of [key, key.replaceAll(' ', '')]) if (!byKey.has(form)) byKey.set(form, meant);
	};
	// The coach's own first, then what ships, what they went by, and last what others call them.
	const own = library.all.filter((exercise) => exercise.ownId !== null);
	for (const exercise of [...own, ...library.all]) add(exercise.name, [exercise]);
	for (const exercise of library.all) for (const name of exercise.formerly) add(name, [exercise]);
	for (const [name, meant] of Object.entries(SYNONYMS)) {
		const exercises = meant.map((one) => library.find(one)).filter((one) => one !== null && !one.retired);
		if (exercises.length > 0) add(name, exercises as Exercise[]);
	}

	const lookUp = (key: string): readonly Exercise[] => {
		const found = byKey.get(key);
		if (found) return found;
		// A dumbbell is said where the exercise has one anyway: db goblet squat.
		const [, bare] = /^(?:dumbbell|kettlebell) (.+)$/.exec(key) ?? [];
		const [exercise, ...others] = (bare && byKey.get(bare)) || [];
		const held = exercise?.equipment.some(({ item }) => item.endsWith('dumbbell'));
		return exercise && held && others.length === 0 ? [exercise] : [];
	};
	const names = [...new Set(library.names())].map((name) => ({ name, key: keyOf(wordsOf(name)) }));
	return {
		endOf(line, at) {
			const words = wordsFrom(line, at);
			for (let n = words.length; n > 0; n--) {
				const some = words.slice(0, n).map(({ word }) => word);
				if (/\p{L}/u.test(some.join('')) && lookUp(keyOf(some)).length > 0) return words[n - 1]?.end ?? at;
			}
			return at;
		},
		meanings: (text) => lookUp(keyOf(wordsOf(text))),
		near(text) {
			if (text.length > MOST_LETTERS) return [];
			const key = keyOf(wordsOf(text));
			const most = Math.max(1, key.length / 3);
			const close = names
				.filter(({ key: other }) => Math.abs(other.length - key.length) <= most)
				.map(({ name, key: other }) => ({ name, far: distance(key, other) }))
				.filter(({ far }) => far <= most)
				.sort((a, b) => a.far - b.far)
				.slice(0, 3)
				.map(({ name }) => name);
			const [last = ''] = key.split(' ').slice(-1);
			if (close.length > 0 || last.length < 3) return close;
			const alike = names.filter(({ key: other }) => other.split(' ').includes(last));
			return alike.map(({ name }) => name).slice(0, 3);
		}
	};
}

const indexes = new WeakMap<Library, NameIndex>();

/** The index of a library, made once. */
export function nameIndex(library: Library): NameIndex {
	const known = indexes.get(library) ?? indexOf(library);
	indexes.set(library, known);
	return known;
}

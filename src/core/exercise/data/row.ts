import { DEMANDS } from './demands/read';
import {
	CONCERNS,
	readNeed,
	type Caution,
	type Concern,
	type CountedIn,
	type Exercise,
	type Muscle,
	type Pattern,
	type Position,
	type Tempo
} from '../exercise';

/**
 * A row of the library as it is written in the files beside this one.
 *
 * - `muscles`: primary, then after a stroke the assisting ones: `quads, glutes / abs`
 * - `needs`: `2 dumbbell, mat`
 * - `how`: `reps`, `s` or `m`, then `side` where it is done per side
 * - `tempo`: `3-1-1-0`, or empty for the pace assumed for all
 * - `cues`: two to four, parted by `|`; `[not: balance] Arms swing` is not shown to those whom the concern holds for
 * - `cautions`: parted by `|`; `[knee, back] …` concerns these people, one without brackets everyone
 * - `formerly`: names it went by before, parted by `|`
 *
 * What it demands of the body is in `demands/`.
 * Cues, paces and muscles are common practice, no source.
 */
export type Row = [
	name: string,
	pattern: Pattern,
	position: Position,
	muscles: string,
	needs: string,
	how: string,
	tempo: string,
	cues: string,
	cautions?: string,
	formerly?: string
];

const COUNTS: Record<string, CountedIn> = { reps: 'reps', s: 'seconds', m: 'metres' };
const list = (text: string, sign: string): string[] =>
	text.trim() ? text.split(sign).map((word) => word.trim()) : [];

/** The concerns within brackets. */
const concernsIn = (text: string): Concern[] =>
	list(text, ',').map((word) => {
		const found = CONCERNS.find((concern) => concern === word);
		if (!found) throw new RangeError(`${word} is none of ${CONCERNS.join(', ')}`);
		return found;
	});

/** A caution as a table has it: `[knee, back] A smaller range`. */
function cautionOf(text: string): Caution {
	const [, concerns = '', words = text] = /^\[([^\]]*)\]\s*(.*)$/.exec(text) ?? [];
	return { text: words, concerns: concernsIn(concerns) };
}

function readCue(text: string): { cue: string; from: Concern[] } {
	const [, from = '', cue = text] = /^\[not: ([^\]]*)\]\s*(.*)$/.exec(text) ?? [];
	return { cue, from: concernsIn(from) };
}

export function exerciseOf([
	name,
	pattern,
	position,
	muscles,
	needs,
	how,
	tempo,
	cues,
	cautions = '',
	formerly = ''
]: Row): Exercise {
	const flags = how.split(' ');
	const [primary = '', assisting = ''] = muscles.split('/');
	const equipment = list(needs, ',').map((text) => {
		const need = readNeed(text);
		if (!need) throw new RangeError(`${name}: there is no equipment called ${text}`);
		return need;
	});
	const demands = DEMANDS.get(name);
	if (!demands) throw new RangeError(`${name}: it is not said what it demands`);
	const told = list(cues, '|').map(readCue);
	return {
		name,
		formerly: list(formerly, '|'),
		countedIn: COUNTS[flags[0] ?? ''] ?? 'reps',
		perSide: flags.includes('side'),
		tempo: tempo ? (tempo.split('-').map(Number) as unknown as Tempo) : null,
		pattern,
		primary: list(primary, ',') as Muscle[],
		assisting: list(assisting, ',') as Muscle[],
		equipment,
		position,
		demands,
		demandsSet: demands,
		cues: told.map(({ cue }) => cue),
		cautions: list(cautions, '|').map(cautionOf),
		withheldCues: told.filter(({ from }) => from.length > 0),
		ownId: null,
		retired: false,
		looksLike: null,
		easier: null,
		harder: null
	};
}

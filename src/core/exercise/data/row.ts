import {
	readNeed,
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
 * - `how`: `reps`, `s` or `m`, then any of `side`, `low`, `high` (impact), `b1`, `b2` (balance)
 * - `tempo`: `3-1-1-0`, or empty for the pace assumed for all
 * - `cues`: two to four, parted by `|`
 *
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
	cautions?: string
];

const COUNTS: Record<string, CountedIn> = { reps: 'reps', s: 'seconds', m: 'metres' };
const list = (text: string, sign: string): string[] =>
	text.trim() ? text.split(sign).map((word) => word.trim()) : [];

export function exerciseOf([
	name,
	pattern,
	position,
	muscles,
	needs,
	how,
	tempo,
	cues,
	cautions
]: Row): Exercise {
	const flags = how.split(' ');
	const [primary = '', assisting = ''] = muscles.split('/');
	const equipment = list(needs, ',').map((text) => {
		const need = readNeed(text);
		if (!need) throw new RangeError(`${name}: there is no equipment called ${text}`);
		return need;
	});
	return {
		name,
		formerly: [],
		countedIn: COUNTS[flags[0] ?? ''] ?? 'reps',
		perSide: flags.includes('side'),
		tempo: tempo ? (tempo.split('-').map(Number) as unknown as Tempo) : null,
		pattern,
		primary: list(primary, ',') as Muscle[],
		assisting: list(assisting, ',') as Muscle[],
		equipment,
		position,
		impact: flags.includes('high') ? 'high' : flags.includes('low') ? 'low' : 'none',
		balance: flags.includes('b2') ? 2 : flags.includes('b1') ? 1 : 0,
		cues: list(cues, '|'),
		cautions: list(cautions ?? '', '|'),
		ownId: null,
		retired: false,
		looksLike: null,
		easier: null,
		harder: null
	};
}

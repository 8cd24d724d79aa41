import type { Library } from '../exercise';
import { LOW_FIGURES } from './data/low';
import { STANDING } from './data/standing';
import type { Figure } from './figure';

export { drawFigure, type Figure } from './figure';
export { figureSvg } from './svg';

const FIGURES: ReadonlyMap<string, Figure> = new Map(
	[...STANDING, ...LOW_FIGURES].map(([name, view, start, end, props = [], anchor = 'ankle1']) => [
		name,
		{ view, anchor, start, end, props }
	])
);

/** Those that differ in pace alone look the same. */
const SAME_LOOK: Readonly<Record<string, string>> = { 'Slow push-up': 'Push-up', 'Easy walk': 'Brisk walk' };

/** Names of the exercises that have a figure of their own. */
export const FIGURE_NAMES: readonly string[] = [...FIGURES.keys()];

/** The figure of an exercise, or of the one that it looks like; null without either. */
export function figureOf(name: string, library: Library): Figure | null {
	const exercise = library.find(name);
	const own = exercise?.name ?? name;
	const drawn =
		FIGURES.get(own) ?? FIGURES.get(SAME_LOOK[own] ?? '') ?? FIGURES.get(exercise?.looksLike ?? '');
	return drawn ?? null;
}

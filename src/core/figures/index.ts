import type { Library } from '../exercise';
import { ARMS } from './data/arms';
import { FLOOR } from './data/floor';
import { FORMS } from './data/forms';
import { LEGS } from './data/legs';
import { MOVING } from './data/moving';
import { SEATED } from './data/seated';
import { STRETCHES } from './data/stretches';
import type { Figure } from './figure';

export type { Figure, Prop } from './figure';
export { figureMarkup, figureSvg } from './svg';

const FIGURES: ReadonlyMap<string, Figure> = new Map(
	[LEGS, ARMS, FLOOR, SEATED, MOVING, STRETCHES, FORMS].flat()
);

/** Names of the exercises that have a figure of their own. */
export const FIGURE_NAMES: readonly string[] = [...FIGURES.keys()];

/** The figure of that very name; null without one. */
export const figureNamed = (name: string): Figure | null => FIGURES.get(name) ?? null;

/** The figure of an exercise, or of the one that it looks like; null without either. */
export function figureOf(name: string, library: Library): Figure | null {
	const exercise = library.find(name);
	return figureNamed(exercise?.name ?? name) ?? figureNamed(exercise?.looksLike ?? '');
}

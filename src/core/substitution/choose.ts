/** Which exercise somebody does where a session asks for another. */
import type { Exercise } from '../exercise';
import type { Practice } from '../practice';
import { concerns, type Part, type Role } from '../session';
import { canDo, stepsText, substitute, type Fitting } from './substitute';

export interface Choice {
	/** Null: nothing like it can be done. */
	to: Exercise | null;
	/** In words, the weightiest first; empty: as asked. */
	why: string[];
	/** Steps along the ladder that it went, whichever way. */
	steps: number;
	/** A variation as hard as asked for is not there. */
	noStep: boolean;
}

/** Stretches and mobility have no level, and neither has what leads in and out. */
export const hasLevels = ({ pattern }: Exercise, role: Role): boolean =>
	pattern !== 'stretch' && pattern !== 'mobility' && role === 'main';

/** What the coach herself put in place of an exercise, for whoever cannot do it; null where nothing fits. */
function insteadFor(part: Part, from: Exercise, fitting: Fitting, { library }: Practice): Exercise | null {
	const fits = [...(part.instead ?? [])]
		// What is meant for these limits comes before what is done at will.
		.sort((a, b) => Number(concerns(b, fitting.limits)) - Number(concerns(a, fitting.limits)))
		.filter((one) => one.when === 'choice' || concerns(one, fitting.limits))
		.map(({ exercise }) => library.find(exercise));
	return fits.find((e) => e !== null && e !== from && canDo(e, fitting)) ?? null;
}

/**
 * The exercise that somebody does in place of one asked for: so many steps easier (below 0) or harder along its ladder, as
 * far as that goes; then what the coach named for whoever cannot do it, then the nearest that they can.
 */
export function chosenFor(
	part: Part,
	exercise: Exercise,
	steps: number,
	fitting: Fitting,
	practice: Practice
): Choice {
	const { library } = practice;
	let to = exercise;
	let gone = 0;
	while (gone < Math.abs(steps)) {
		const next = steps < 0 ? library.easier(to.name) : library.harder(to.name);
		if (!next) break;
		to = next;
		gone++;
	}
	const why: string[] = gone === 0 ? [] : [steps < 0 ? stepsText(gone) : 'one step harder'];
	const noStep = steps !== 0 && gone === 0;
	if (canDo(to, fitting)) return { to, why, steps: gone, noStep };
	const meant = insteadFor(part, to, fitting, practice);
	if (meant) return { to: meant, why: [...why, 'the coach’s own choice for it'], steps: gone, noStep };
	const found = substitute(to, fitting, practice);
	if (found) return { to: found.exercise, why: [...why, ...found.why], steps: gone, noStep };
	// Nothing like the easier one can be done, though the one asked for can.
	return { to: to !== exercise && canDo(exercise, fitting) ? exercise : null, why: [], steps: 0, noStep };
}

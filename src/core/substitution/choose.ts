/** Which exercise somebody does where a session asks for another, before loads. */
import { takesWeight, type Exercise } from '../exercise';
import type { Practice } from '../practice';
import { concerns, type Part, type Role } from '../session';
import { isRiskier } from './candidates';
import { canDo, fitsSpace, stepsText, substitute, type Fitting } from './substitute';

export interface Choice {
	/** Null if nothing like it can be done. */
	to: Exercise | null;
	/** In words, the weightiest first; empty if it is as planned. */
	why: string[];
	/** Steps along the progression, easier or harder. */
	steps: number;
	/** Whether there is no variation as easy or as hard as wanted. */
	noStep: boolean;
}

/** Stretches and mobility have no level, and neither has what leads in and out. */
export const hasLevels = ({ pattern }: Exercise, role: Role): boolean =>
	pattern !== 'stretch' && pattern !== 'mobility' && role === 'main';

/** Whether the level is a matter of load: a weight or a band is worked against. */
export const levelIsLoad = (exercise: Exercise): boolean =>
	takesWeight(exercise) || exercise.equipment.some(({ item }) => item === 'band' || item === 'loop band');

/**
 * The coach’s own alternative for what hurts a person. It comes first, also where the library would allow the exercise.
 *
 * @returns null where she named none that the person can do
 */
export function meantFor(part: Part, fitting: Fitting, { library }: Practice): Exercise | null {
	for (const one of part.instead ?? []) {
		const exercise = concerns(one, fitting.limits) ? library.find(one.exercise) : null;
		if (exercise && canDo(exercise, fitting)) return exercise;
	}
	return null;
}

/** What the coach lets anyone do in place of an exercise; null where the person can do none of it. */
export function chosenByCoach(part: Part, fitting: Fitting, { library }: Practice): Exercise | null {
	for (const { when, exercise: name } of part.instead ?? []) {
		const exercise = when === 'choice' ? library.find(name) : null;
		if (exercise && canDo(exercise, fitting)) return exercise;
	}
	return null;
}

/** Whether a step of a progression is an easier form for a level: sitting down and other things are no matter of level. */
const isEasierForm = (from: Exercise, to: Exercise): boolean =>
	(to.position !== 'seated' || from.position === 'seated') &&
	fitsSpace(to.demands, from.demands) &&
	!isRiskier(from, to);

/**
 * An exercise so many steps easier (below 0) or harder, as far as its progression goes.
 *
 * @param sameKind whether a step must be loaded, or bodyweight, as the exercise is
 */
export function stepped(
	exercise: Exercise,
	steps: number,
	{ library }: Practice,
	sameKind = false
): { to: Exercise; taken: number } {
	const beside = (name: string) => (steps < 0 ? library.easier(name) : library.harder(name));
	let [to, taken] = [exercise, 0];
	for (let next = beside(exercise.name); next && taken < Math.abs(steps); next = beside(next.name)) {
		if (steps < 0 && !isEasierForm(exercise, next)) continue;
		if (sameKind && levelIsLoad(next) !== levelIsLoad(exercise)) continue;
		to = next;
		taken++;
	}
	return { to, taken };
}

/**
 * What somebody does in place of one asked for: so many steps easier (below 0) or harder along its progression; then what the
 * coach named for whoever cannot do it, then the nearest that they can.
 */
export function chosenFor(
	part: Part,
	exercise: Exercise,
	steps: number,
	fitting: Fitting,
	practice: Practice
): Choice {
	const { to, taken } = stepped(exercise, steps, practice);
	const why: string[] = taken === 0 ? [] : [steps < 0 ? stepsText(taken) : 'one step harder'];
	const noStep = steps !== 0 && taken === 0;
	const meant = meantFor(part, fitting, practice);
	if (meant) return { to: meant, why: ['your coach’s choice for it'], steps: 0, noStep };
	if (canDo(to, fitting)) return { to, why, steps: taken, noStep };
	const chosen = chosenByCoach(part, fitting, practice);
	if (chosen) return { to: chosen, why: [...why, 'your coach’s choice for it'], steps: taken, noStep };
	const found = substitute(to, fitting, practice);
	if (found) return { to: found.exercise, why: [...why, ...found.causes, found.how], steps: taken, noStep };
	// Nothing like the easier one can be done, though the one asked for can.
	return { to: to !== exercise && canDo(exercise, fitting) ? exercise : null, why: [], steps: 0, noStep };
}

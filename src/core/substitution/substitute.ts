import { SPACES, type Demands, type Exercise, type Library, type Need } from '../exercise';
import { brokenLimits, canDoWith, missingIn, withinLimits, type Kit, type Limitation } from '../kit';
import type { Practice } from '../practice';
import { candidatesOf, type Candidate } from './candidates';

/** Whom an exercise is for, as far as that decides whether it can be done. */
export interface Fitting {
	/** What is at hand; null: whatever it takes. */
	kit: Kit | null;
	/** What must not be asked for. */
	limits: readonly Limitation[];
}

export interface Substitute {
	exercise: Exercise;
	/** In words, the weightiest first: `no floor`, `no dumbbells`. */
	causes: string[];
	/** How it stands for the other: `same movement`, `two steps easier`. */
	how: string;
}

/** Whether somebody can do an exercise: the hard limits and the kit, nothing else. */
export const canDo = (exercise: Exercise, { kit, limits }: Fitting): boolean =>
	withinLimits(exercise, limits) && canDoWith(kit, exercise);

/** What is missing, in words: `no dumbbells`, `no pair of dumbbells`. */
function missingWords(kit: Kit, { item, count }: Need): string {
	const name = item === 'light dumbbell' ? 'dumbbell' : item;
	const isPair = count > 1 && missingIn(kit, [{ item, count: 1 }]).length === 0;
	if (isPair) return `no pair of ${name}s`;
	return name === 'dumbbell' || name === 'water bottle' ? `no ${name}s` : `no ${name}`;
}

/** What speaks against an exercise for somebody, in words; empty if nothing does. */
export function obstacles(exercise: Exercise, { kit, limits }: Fitting): string[] {
	const missing =
		kit === null ? [] : missingIn(kit, exercise.equipment).map((need) => missingWords(kit, need));
	return [...brokenLimits(exercise, limits), ...new Set(missing)];
}

/** How many steps easier: `one step easier`. */
export const stepsText = (steps: number): string =>
	`${['', 'one', 'two', 'three', 'four'][steps] ?? steps} ${steps === 1 ? 'step' : 'steps'} easier`;

/** How a candidate stands for an exercise, in words. */
export const howText = ({ how, steps }: Candidate): string => (steps > 0 ? stepsText(steps) : how);

/** Whether an exercise needs no more space than another: a walk does not fit into a circuit on the spot. */
export const fitsSpace = (to: Demands, from: Demands): boolean =>
	SPACES.indexOf(to.space) <= SPACES.indexOf(from.space);

/** Candidates that one person can do, as far as they were looked for. */
interface Search {
	found: Candidate[];
	/** Place among all candidates from which the search goes on. */
	next: number;
}
/** Profiles, libraries and exercises are not changed once they are made, and the same people are fitted day by day. */
const searches = new WeakMap<Fitting, WeakMap<Library, Map<Exercise, Search>>>();

function searchFor(exercise: Exercise, fitting: Fitting, library: Library): Search {
	const byLibrary = searches.get(fitting) ?? new WeakMap<Library, Map<Exercise, Search>>();
	searches.set(fitting, byLibrary);
	const byExercise = byLibrary.get(library) ?? new Map<Exercise, Search>();
	byLibrary.set(library, byExercise);
	const search = byExercise.get(exercise) ?? { found: [], next: 0 };
	byExercise.set(exercise, search);
	return search;
}

/**
 * The nearest exercise that somebody can do in place of another, and that a caller accepts. Hard limits come before
 * everything. The order of candidates does not depend on the person, so that one more limit only takes candidates away.
 *
 * @param accept further conditions, such as a load that can be set; by default there are none
 * @returns null if there is none
 */
export function firstSubstitute(
	exercise: Exercise,
	fitting: Fitting,
	{ library }: Practice,
	accept: (candidate: Exercise) => boolean = () => true
): Candidate | null {
	const all = candidatesOf(exercise, library);
	const search = searchFor(exercise, fitting, library);
	for (let i = 0; ; i++) {
		while (i >= search.found.length && search.next < all.length) {
			const candidate = all[search.next++]!;
			const { exercise: to } = candidate;
			if (fitsSpace(to.demands, exercise.demands) && canDo(to, fitting)) search.found.push(candidate);
		}
		const candidate = search.found[i];
		if (!candidate) return null;
		if (accept(candidate.exercise)) return candidate;
	}
}

/**
 * The nearest exercise that somebody can do in place of another.
 *
 * @returns the exercise itself where it can be done; null where nothing like it can
 */
export function substitute(exercise: Exercise, fitting: Fitting, practice: Practice): Substitute | null {
	const causes = obstacles(exercise, fitting);
	if (causes.length === 0) return { exercise, causes: [], how: '' };
	const found = firstSubstitute(exercise, fitting, practice);
	return found && { exercise: found.exercise, causes, how: howText(found) };
}

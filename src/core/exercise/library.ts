import { LEGS } from './data/legs';
import { FAMILIES, PROGRESSIONS } from './data/progressions';
import { MOVING } from './data/moving';
import { exerciseOf } from './data/row';
import type { DemandInput, Demands } from './demands';
import { highestByPattern } from './described';
import { STRETCHES } from './data/stretches';
import { TRUNK } from './data/trunk';
import { UPPER } from './data/upper';
import type { Exercise, Item, Pattern } from './exercise';

/** The exercise's place among its variations. */
export interface ProgressionStep {
	progression: string;
	/** Names, the easiest first. */
	steps: readonly string[];
	/** Place of the exercise itself, from 0. */
	at: number;
}

/** Exercises found by name, with their progressions and their forms for other equipment. */
export interface Library {
	/** Every exercise, retired ones too, in the order of the library; the coach's own last. */
	readonly all: readonly Exercise[];
	/** By name or former name, whatever the case, hyphens or plural s; null for an unknown one. */
	find(name: string): Exercise | null;
	/** Names that can be picked: without the retired. */
	names(): string[];
	progressionOf(name: string): ProgressionStep | null;
	/** The next easier form, null at the start of its progression or without one. */
	easier(name: string): Exercise | null;
	harder(name: string): Exercise | null;
	/** The same movement at the same difficulty with other equipment. */
	alternatives(name: string): { form: EquipmentForm; exercise: Exercise }[];
}

const keyOf = (name: string): string =>
	name
		.toLowerCase()
		.replace(/[-\s]+/g, ' ')
		.trim();

const STANDARD_EXERCISES: readonly Exercise[] = [LEGS, UPPER, TRUNK, MOVING, STRETCHES]
	.flat()
	.map(exerciseOf);

const STEPS: ReadonlyMap<string, ProgressionStep> = new Map(
	Object.entries(PROGRESSIONS).flatMap(([progression, steps]) =>
		steps.map((name, at) => [name, { progression, steps, at }])
	)
);
const FAMILY_OF = new Map(FAMILIES.flatMap((family) => family.map((name) => [name, family])));

/** The kinds of equipment that a movement can be turned to. `household` is what every home has. */
export type EquipmentForm = 'bodyweight' | 'band' | 'dumbbell' | 'household';

const FORM_OF: Partial<Record<Item, EquipmentForm>> = {
	band: 'band',
	'loop band': 'band',
	dumbbell: 'dumbbell',
	'light dumbbell': 'dumbbell',
	'loaded backpack': 'household',
	'water bottle': 'household',
	towel: 'household',
	rope: 'household'
};

/** The form that an exercise is by its equipment. */
export const formOf = ({ equipment }: Pick<Exercise, 'equipment'>): EquipmentForm =>
	equipment.flatMap(({ item }) => FORM_OF[item] ?? [])[0] ?? 'bodyweight';

const HIGHEST: ReadonlyMap<Pattern, Demands> = highestByPattern(STANDARD_EXERCISES);

/** Demands as a coach gave them, each field that she left out as high as any exercise of the pattern has it. */
export function completeDemands(pattern: Pattern, given: DemandInput): Demands {
	const highest = HIGHEST.get(pattern);
	if (!highest) throw new RangeError(`no exercise has the pattern ${pattern}`);
	const demands = { ...highest, ...given };
	return demands.balance === 0 ? { ...demands, canHoldOn: true } : demands;
}

/** Its place in a standard progression, or between the forms that a coach gave one of her own. */
function stepOf(found: Exercise, find: (name: string) => Exercise | null): ProgressionStep | null {
	const standard = STEPS.get(found.name);
	if (standard) return standard;
	const easier = found.easier ? find(found.easier) : null;
	const harder = found.harder ? find(found.harder) : null;
	if (!easier && !harder) return null;
	const steps = [easier?.name, found.name, harder?.name].filter((name) => name !== undefined);
	return { progression: found.name, steps, at: easier ? 1 : 0 };
}

/**
 * The library that ships together with a coach's own exercises. Where a later library ships a name that she has
 * already, hers stays.
 */
export function libraryOf(own: readonly Exercise[] = []): Library {
	const byKey = new Map<string, Exercise>();
	for (const exercise of own) for (const name of exercise.formerly) byKey.set(keyOf(name), exercise);
	for (const exercise of STANDARD_EXERCISES)
		for (const name of exercise.formerly) byKey.set(keyOf(name), exercise);
	for (const exercise of STANDARD_EXERCISES) byKey.set(keyOf(exercise.name), exercise);
	for (const exercise of own) byKey.set(keyOf(exercise.name), exercise);
	const all = [
		...STANDARD_EXERCISES.filter((exercise) => byKey.get(keyOf(exercise.name)) === exercise),
		...own
	];

	const cache = new Map<string, Exercise | null>();
	const look = (name: string): Exercise | null => {
		const wanted = keyOf(name);
		return (
			byKey.get(wanted) ?? byKey.get(wanted.replace(/s$/, '')) ?? byKey.get(wanted.replace(/es$/, '')) ?? null
		);
	};
	const find = (name: string): Exercise | null => {
		let found = cache.get(name);
		if (found === undefined) cache.set(name, (found = look(name)));
		return found;
	};
	const progressionOf = (name: string): ProgressionStep | null => {
		const found = find(name);
		return found && stepOf(found, find);
	};
	const beside = (name: string, by: number): Exercise | null => {
		const step = progressionOf(name);
		const next = step?.steps[step.at + by];
		const exercise = next === undefined ? null : find(next);
		return exercise?.retired ? null : exercise;
	};
	return {
		all,
		find,
		names: () => all.filter((exercise) => !exercise.retired).map((exercise) => exercise.name),
		progressionOf,
		easier: (name) => beside(name, -1),
		harder: (name) => beside(name, 1),
		alternatives(name) {
			const own = find(name)?.name;
			return (FAMILY_OF.get(own ?? '') ?? []).flatMap((member) => {
				const exercise = find(member);
				return exercise && member !== own ? [{ form: formOf(exercise), exercise }] : [];
			});
		}
	};
}

/** What ships, without anyone's own. */
export const STANDARD: Library = libraryOf();

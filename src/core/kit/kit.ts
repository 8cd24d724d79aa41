import { AT_HOME, type Item, type Need } from '../exercise';

/** How hard a band pulls, as its owner ranks it; kilograms cannot be told without the maker's table. */
export const BAND_RANKS = ['light', 'medium', 'heavy'] as const;
export type BandRank = (typeof BAND_RANKS)[number];

/** What is owned as such, without a weight of its own. */
export const PLAIN_ITEMS = [
	'mat',
	'chair',
	'bench',
	'wall',
	'table',
	'step',
	'low step',
	'stairs',
	'pull-up bar',
	'rope',
	'roller',
	'cushion',
	'towel',
	'broomstick'
] as const;
export type PlainItem = (typeof PLAIN_ITEMS)[number];

/** One thing that somebody owns. Kilograms; `count` says how many of it, a pair being 2. */
export type Owned =
	| { kind: 'dumbbell'; kg: number; count: number }
	/** Dumbbells whose weight is set: from, to, in steps. */
	| { kind: 'adjustable'; from: number; to: number; step: number; count: number }
	/** Serves as a single dumbbell. */
	| { kind: 'kettlebell'; kg: number; count: number }
	| { kind: 'band'; rank: BandRank | null; loop: boolean; count: number }
	/** Things of the household that are loaded; kg null: what is in them is not said. */
	| { kind: 'pack'; item: 'loaded backpack' | 'water bottle'; kg: number | null; count: number }
	| { kind: 'item'; item: PlainItem; count: number };

/** Everything that somebody owns. */
export type Kit = readonly Owned[];

export const KIT_LIMITS = { pieces: 40, kg: 200, count: 20 } as const;

/** What serves for what: a bench is a chair and a step, a dumbbell can be a light one. */
const SERVES: Partial<Record<PlainItem, readonly Item[]>> = {
	bench: ['chair', 'step', 'low step'],
	step: ['low step'],
	stairs: ['step', 'low step']
};

/** Weights that one piece can be set to, ascending. */
function weightsOf(owned: Owned): number[] {
	switch (owned.kind) {
		case 'dumbbell':
		case 'kettlebell':
			return [owned.kg];
		case 'adjustable': {
			const steps = Math.floor((owned.to - owned.from) / owned.step + 1e-9);
			return Array.from(
				{ length: steps + 1 },
				(_, i) => Math.round((owned.from + i * owned.step) * 100) / 100
			);
		}
		default:
			return [];
	}
}

/** How many of each weight a kit has, ascending; kettlebells serve as singles alone. */
interface Weight {
	kg: number;
	dumbbells: number;
	kettlebells: number;
}
/** A kit is not changed once it is made, and asked for its weights again and again: an adjustable pair has hundreds. */
const known = new WeakMap<Kit, Weight[]>();
function allWeights(kit: Kit): Weight[] {
	const found = known.get(kit);
	if (found) return found;
	const byKg = new Map<number, Weight>();
	for (const owned of kit)
		for (const kg of weightsOf(owned)) {
			const weight = byKg.get(kg) ?? { kg, dumbbells: 0, kettlebells: 0 };
			byKg.set(kg, weight);
			if (owned.kind === 'kettlebell') weight.kettlebells += owned.count;
			else weight.dumbbells += owned.count;
		}
	const weights = [...byKg.values()].sort((a, b) => a.kg - b.kg);
	known.set(kit, weights);
	return weights;
}

const alike = ({ dumbbells, kettlebells }: Weight, count: number): boolean =>
	dumbbells + (count > 1 ? 0 : kettlebells) >= count;

/** Weights of dumbbells of which there are at least so many alike, ascending. Kettlebells serve as singles. */
export const weightsIn = (kit: Kit, count = 1): number[] =>
	allWeights(kit)
		.filter((weight) => alike(weight, count))
		.map(({ kg }) => kg);

/** The most dumbbells of one weight that a kit has, up to four. */
const alikeIn = (kit: Kit): number =>
	[4, 3, 2, 1].find((count) => allWeights(kit).some((weight) => alike(weight, count))) ?? 0;

/** How many of an item a kit has; what every home has is taken to be there. */
export function countIn(kit: Kit, item: Item): number {
	if (AT_HOME.has(item)) return Infinity;
	// What is done with two dumbbells wants two alike.
	if (item === 'dumbbell' || item === 'light dumbbell') return alikeIn(kit);
	let sum = 0;
	for (const owned of kit) {
		const serves =
			owned.kind === 'band'
				? item === (owned.loop ? 'loop band' : 'band')
				: owned.kind === 'pack'
					? item === owned.item
					: owned.kind === 'item' && (owned.item === item || SERVES[owned.item]?.includes(item));
		if (serves) sum += owned.count;
	}
	return sum;
}

/** What of some needs a kit does not have, as many as are missing in all. Empty: it can be done. */
export const missingIn = (kit: Kit, needs: readonly Need[]): Need[] =>
	needs.filter(({ item, count }) => countIn(kit, item) < count);

/** Whether an exercise can be done with a kit; the one place that says so. Null stands for “whatever it takes”. */
export const canDoWith = (kit: Kit | null, exercise: { equipment: readonly Need[] }): boolean =>
	kit === null || missingIn(kit, exercise.equipment).length === 0;

/** Kilograms of the packs of a kit, as far as they are known, ascending. */
export const packsIn = (kit: Kit): number[] =>
	kit
		.flatMap((owned) => (owned.kind === 'pack' && owned.item === 'loaded backpack' ? (owned.kg ?? []) : []))
		.sort((a, b) => a - b);

/** How hard the bands of a kit pull, as far as it is known; loops are another thing. */
export const bandsIn = (kit: Kit): BandRank[] =>
	BAND_RANKS.filter((rank) =>
		kit.some((owned) => owned.kind === 'band' && !owned.loop && owned.rank === rank)
	);

/** The heaviest dumbbell of a kit; null without any. */
export const heaviestIn = (kit: Kit): number | null => weightsIn(kit).at(-1) ?? null;

/** Dumbbells of every weight up to a bound; for groups of whom no more is known. */
const anyDumbbells = (heaviestKg: number | null): Owned => ({
	kind: 'adjustable',
	from: 0.5,
	to: heaviestKg ?? KIT_LIMITS.kg,
	step: 0.5,
	count: 4
});

/** The kit of people who are taken to have some things, with dumbbells up to a weight. */
export function kitOfItems(items: readonly Item[], heaviestKg: number | null = null): Kit {
	return items.flatMap((item): Owned[] => {
		if (item === 'dumbbell' || item === 'light dumbbell') return [anyDumbbells(heaviestKg)];
		if (item === 'band' || item === 'loop band')
			return [{ kind: 'band', rank: null, loop: item === 'loop band', count: 9 }];
		if (item === 'loaded backpack' || item === 'water bottle')
			return [{ kind: 'pack', item, kg: null, count: 9 }];
		return [{ kind: 'item', item, count: 9 }];
	});
}

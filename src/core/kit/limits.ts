import {
	ARM_HEIGHTS,
	IMPACTS,
	onFloor,
	RATED,
	type Concern,
	type Demands,
	type Exercise,
	type Impact,
	type Pattern,
	type Position,
	type Rated,
	type Rating
} from '../exercise';

/** Hard limits of a person: they take precedence over level, equipment and every preference. */
export const LIMITATIONS = [
	'seated only',
	'no floor',
	'no lying on the back',
	'no lying on the front',
	'no jumps',
	'no overhead',
	'no balance without support',
	'support for hard balance',
	'no weight on the wrists',
	'no deep knee bend',
	'no squats or lunges',
	'no kneeling',
	'no crunches',
	'easy on the back',
	'easy on the shoulders',
	'easy on the hips',
	'easy on the neck',
	'easy on the elbows',
	'easy on the ankles',
	'low trunk pressure',
	'gentle all over',
	'lighter loads'
] as const;
export type Limitation = (typeof LIMITATIONS)[number];

/** Bounds on what an exercise demands; a field that is left out bounds nothing. */
interface Threshold {
	/** Highest ratings, inclusive. */
	most?: Partial<Record<Rated, Rating>>;
	/** Highest arm height, inclusive. */
	arms?: Demands['arms'];
	/** Highest impact, inclusive. */
	impact?: Impact;
	/** Highest balance, inclusive, and the rating from which on a hand must be able to hold on. */
	balance?: { most: Rating; heldFrom: Rating };
	/** No getting down to the floor and up. */
	standsUp?: true;
	/** Positions that are left out. */
	without?: readonly Position[];
	/** Patterns that are left out, unless seated. */
	patterns?: readonly Pattern[];
	/** The only position there is. */
	only?: Position;
	/** No weight on the knees: kneeling, all fours, and floor work that rates the knee 2 or more. */
	offKnees?: true;
	/** No right angle at the knee while standing, and no squat within a combination. */
	shallow?: true;
	/** Share of a load that is usual otherwise; 0…1. */
	load?: number;
}

const COMMON = 'common practice, no source';
/** Nothing above moderate, and the back and the trunk light. */
const GENTLE: Partial<Record<Rated, Rating>> = {
	...Object.fromEntries(RATED.map((field) => [field, 2])),
	back: 1,
	trunkPressure: 1
};

/**
 * Every limit as thresholds on demands, with its source. A sore joint is taken up to 1, "light, fine for a sore joint in
 * almost everybody" on the scale of `exercise/demands.ts`; what is 2 there has an easier form in the library.
 */
export const LIMITS: Readonly<Record<Limitation, { threshold: Threshold; source: string }>> = {
	'seated only': { threshold: { only: 'seated' }, source: COMMON },
	'no floor': { threshold: { standsUp: true }, source: COMMON },
	'no lying on the back': {
		threshold: { without: ['back lying'] },
		source: 'ACOG Committee Opinion 804 (2020), from memory: no long time flat on the back'
	},
	'no lying on the front': { threshold: { without: ['front lying'] }, source: COMMON },
	'no jumps': { threshold: { impact: 'low', patterns: ['jump'] }, source: COMMON },
	'no overhead': { threshold: { arms: 'shoulder' }, source: COMMON },
	'no balance without support': {
		threshold: { balance: { most: 2, heldFrom: 1 } },
		source:
			'ACSM, Guidelines for Exercise Testing and Prescription, from memory: support in reach where balance is poor'
	},
	'support for hard balance': { threshold: { balance: { most: 3, heldFrom: 3 } }, source: COMMON },
	'no weight on the wrists': { threshold: { most: { wrist: 1 } }, source: COMMON },
	'no deep knee bend': { threshold: { most: { knee: 1 } }, source: COMMON },
	'no squats or lunges': {
		threshold: { patterns: ['squat', 'lunge', 'jump'], shallow: true },
		source: COMMON
	},
	'no kneeling': { threshold: { offKnees: true }, source: COMMON },
	'no crunches': { threshold: { most: { trunkPressure: 2 } }, source: COMMON },
	'easy on the back': { threshold: { most: { back: 1 }, impact: 'low' }, source: COMMON },
	'easy on the shoulders': { threshold: { most: { shoulder: 1 }, arms: 'shoulder' }, source: COMMON },
	'easy on the hips': { threshold: { most: { hip: 1 }, impact: 'low' }, source: COMMON },
	'easy on the neck': { threshold: { most: { neck: 1 }, impact: 'low' }, source: COMMON },
	'easy on the elbows': { threshold: { most: { elbow: 1 } }, source: COMMON },
	'easy on the ankles': { threshold: { most: { ankle: 1 }, impact: 'none' }, source: COMMON },
	'low trunk pressure': { threshold: { most: { trunkPressure: 1 } }, source: COMMON },
	'gentle all over': { threshold: { most: GENTLE, impact: 'none' }, source: COMMON },
	'lighter loads': {
		threshold: { load: 0.8 },
		source:
			'ACSM, Guidelines for Exercise Testing and Prescription, from memory: older adults begin at a lower intensity'
	}
};

const KNEES_DOWN: readonly Position[] = ['kneeling', 'all fours'];

const above = <T>(order: readonly T[], value: T, most: T | undefined): boolean =>
	most !== undefined && order.indexOf(value) > order.indexOf(most);

/** Whether an exercise goes beyond a threshold. */
function breaks(exercise: Exercise, limit: Threshold): boolean {
	const { demands, position, pattern } = exercise;
	const standing = position !== 'seated' && !onFloor(exercise);
	return (
		RATED.some((field) => demands[field] > (limit.most?.[field] ?? 3)) ||
		above(ARM_HEIGHTS, demands.arms, limit.arms) ||
		above(IMPACTS, demands.impact, limit.impact) ||
		(limit.balance !== undefined &&
			(demands.balance > limit.balance.most ||
				(demands.balance >= limit.balance.heldFrom && !demands.canHoldOn))) ||
		(limit.standsUp === true && demands.floorTransfer) ||
		(limit.without?.includes(position) ?? false) ||
		(position !== 'seated' && (limit.patterns?.includes(pattern) ?? false)) ||
		(limit.only !== undefined && position !== limit.only) ||
		(limit.offKnees === true &&
			(KNEES_DOWN.includes(position) || (onFloor(exercise) && demands.knee >= 2))) ||
		(limit.shallow === true &&
			standing &&
			(demands.knee >= 2 || (pattern === 'combination' && exercise.primary.includes('quads'))))
	);
}

/** Whether the arms go over the head. */
export const goesOverhead = ({ demands }: Pick<Exercise, 'demands'>): boolean => demands.arms === 'overhead';

/** Whether both feet leave the floor and land together or hard; running lands hard, but is no jump. */
export const isJump = ({ pattern, demands }: Pick<Exercise, 'pattern' | 'demands'>): boolean =>
	pattern === 'jump' || (pattern === 'combination' && demands.impact === 'high');

/** Limits that each exercise breaks. An exercise is not changed once it is made, and is asked about for every person. */
const cache = new WeakMap<Exercise, ReadonlySet<Limitation>>();
function brokenBy(exercise: Exercise): ReadonlySet<Limitation> {
	const cached = cache.get(exercise);
	if (cached) return cached;
	const broken = new Set(LIMITATIONS.filter((limit) => breaks(exercise, LIMITS[limit].threshold)));
	cache.set(exercise, broken);
	return broken;
}

/** The limits that an exercise goes against; empty if it may be prescribed. The one place that says so. */
export function brokenLimits(exercise: Exercise, limits: readonly Limitation[]): Limitation[] {
	const broken = brokenBy(exercise);
	return limits.filter((limit) => broken.has(limit));
}

export function withinLimits(exercise: Exercise, limits: readonly Limitation[]): boolean {
	const broken = brokenBy(exercise);
	return !limits.some((limit) => broken.has(limit));
}

/** Share of a usual load that some limits leave; 0…1. */
export const loadShareOf = (limits: readonly Limitation[]): number =>
	Math.min(1, ...limits.map((limit) => LIMITS[limit].threshold.load ?? 1));

/** Whether somebody with these limits keeps a hand on a support during an exercise that is not done on one anyway. */
export const holdsOn = (
	{ demands, position }: Pick<Exercise, 'demands' | 'position'>,
	limits: readonly Limitation[]
): boolean =>
	demands.balance > 0 &&
	demands.canHoldOn &&
	position !== 'supported' &&
	limits.some((limit) => demands.balance >= (LIMITS[limit].threshold.balance?.heldFrom ?? 4));

/** What each limit tells of the person, for cautions and cues; a limit that tells of nothing is left out. */
const TELLS: Partial<Record<Limitation, Concern>> = {
	'easy on the neck': 'neck',
	'easy on the shoulders': 'shoulder',
	'easy on the elbows': 'elbow',
	'no weight on the wrists': 'wrist',
	'easy on the back': 'back',
	'easy on the hips': 'hip',
	'no deep knee bend': 'knee',
	'easy on the ankles': 'ankle',
	'no lying on the back': 'later pregnancy',
	'low trunk pressure': 'after birth',
	'no balance without support': 'balance'
};

/** The cautions of an exercise that concern a person: those for everyone, and those about one of their limits. */
export const cautionsFor = (
	{ cautions }: Pick<Exercise, 'cautions'>,
	limits: readonly Limitation[]
): string[] => {
	const told = new Set(limits.flatMap((limit) => TELLS[limit] ?? []));
	return cautions
		.filter(({ concerns }) => concerns.length === 0 || concerns.some((concern) => told.has(concern)))
		.map(({ text }) => text);
};

/** Cues without those that contradict one of a person's limits. */
export function cuesWithin(
	cues: readonly string[],
	{ withheldCues }: Pick<Exercise, 'withheldCues'>,
	limits: readonly Limitation[]
): string[] {
	const told = new Set(limits.flatMap((limit) => TELLS[limit] ?? []));
	const withheld = withheldCues.filter(({ from }) => from.some((concern) => told.has(concern)));
	return cues.filter((text) => !withheld.some(({ cue }) => cue === text));
}

/**
 * What an exercise demands of the body, as data: every limit, substitution and check reads these fields and never a name
 * or a caution.
 *
 * Rated by picturing the movement as its cues describe it, at a usual load, for a healthy adult with some experience. The
 * scale of 0 to 3 and its anchors are common practice, no source; docs/exercise-demands.md prints it with every rating.
 */
import type { Exercise, Pattern } from './exercise';

export const JOINTS = ['neck', 'shoulder', 'elbow', 'wrist', 'back', 'hip', 'knee', 'ankle'] as const;
export type Joint = (typeof JOINTS)[number];

/** Fields rated from 0 to 3: the joints, and the pressure on abdomen and pelvic floor. */
export const RATED = [...JOINTS, 'trunkPressure'] as const;
export type Rated = (typeof RATED)[number];

/** 0 practically none; 1 light; 2 moderate, a sore joint needs an alternative; 3 high, left out with a sore joint. */
export const RATINGS = [0, 1, 2, 3] as const;
export type Rating = (typeof RATINGS)[number];

/** Highest position of the arms relative to the trunk, the lowest first. */
export const ARM_HEIGHTS = ['down', 'shoulder', 'overhead'] as const;
export type ArmHeight = (typeof ARM_HEIGHTS)[number];

/** `low`: ballistic without flight, or quick steps; `high`: flight and landing. The gentlest first. */
export const IMPACTS = ['none', 'low', 'high'] as const;
export type Impact = (typeof IMPACTS)[number];

/** Where it can be done, the smallest place first. */
export const SPACES = ['spot', 'room', 'stairs', 'outdoors'] as const;
export type Space = (typeof SPACES)[number];

/** `long`: a straight limb or the whole straight body; `short`: bent limbs, or knees on the floor. */
export const LEVERS = ['none', 'short', 'long'] as const;
export type Lever = (typeof LEVERS)[number];

export interface Demands extends Readonly<Record<Rated, Rating>> {
	readonly arms: ArmHeight;
	/** 0 lying, seated or both feet still; 1 staggered or both feet moving; 2 one leg, or quick turns; 3 airborne, or one leg with a large movement. */
	readonly balance: Rating;
	/** Whether one hand can rest on a chair, wall or rail without spoiling the movement; true where balance is 0. */
	readonly canHoldOn: boolean;
	readonly impact: Impact;
	/** Whether it takes getting down to the floor and up. */
	readonly floorTransfer: boolean;
	readonly space: Space;
	readonly lever: Lever;
	/**
	 * Kilograms per hand (two weights) or in all (one weight, a pack), relative to a goblet squat of 1 by the same person at
	 * the same effort; null if no weight is held.
	 */
	readonly relativeLoad: number | null;
}

/** What a coach has said of an exercise of her own; a field that is left out counts as the highest of its pattern. */
export type DemandInput = Partial<Demands>;

export const DEMAND_WORDS: Readonly<Record<Rated, string>> = {
	neck: 'Neck',
	shoulder: 'Shoulder',
	elbow: 'Elbow',
	wrist: 'Wrist',
	back: 'Back',
	hip: 'Hip',
	knee: 'Knee',
	ankle: 'Ankle',
	trunkPressure: 'Trunk pressure'
};

/** Bounds of the relative load of an own exercise; inclusive. */
export const RELATIVE_LOAD = { least: 0.05, most: 3 } as const;

/** The later of two values of an ordered list. */
const higher = <T>(order: readonly T[], a: T, b: T): T => (order.indexOf(b) > order.indexOf(a) ? b : a);

/** The more demanding of both in every field; of two relative loads the smaller, which asks for less weight. */
function atLeast(a: Demands, b: Demands): Demands {
	const rated = Object.fromEntries(RATED.map((field) => [field, Math.max(a[field], b[field])]));
	const loads = [a.relativeLoad, b.relativeLoad].filter((load) => load !== null);
	return {
		...(rated as Record<Rated, Rating>),
		arms: higher(ARM_HEIGHTS, a.arms, b.arms),
		balance: Math.max(a.balance, b.balance) as Rating,
		canHoldOn: a.canHoldOn && b.canHoldOn,
		impact: higher(IMPACTS, a.impact, b.impact),
		floorTransfer: a.floorTransfer || b.floorTransfer,
		space: higher(SPACES, a.space, b.space),
		lever: higher(LEVERS, a.lever, b.lever),
		relativeLoad: loads.length > 0 ? Math.min(...loads) : null
	};
}

/**
 * The highest demands of each pattern among some exercises.
 *
 * @param exercises the library that ships; every pattern occurs in it
 */
export function highestByPattern(
	exercises: readonly Pick<Exercise, 'pattern' | 'demands'>[]
): ReadonlyMap<Pattern, Demands> {
	const highest = new Map<Pattern, Demands>();
	for (const { pattern, demands } of exercises) {
		const known = highest.get(pattern);
		highest.set(pattern, known ? atLeast(known, demands) : demands);
	}
	return highest;
}

/** An exercise as far as its demands can contradict the rest of it. */
type Described = Pick<Exercise, 'pattern' | 'position' | 'equipment'> & { demands: DemandInput };

const FLOOR_POSITIONS: readonly Exercise['position'][] = [
	'floor seated',
	'kneeling',
	'all fours',
	'front lying',
	'back lying',
	'side lying'
];

/** Whether the body is on the floor. */
export const onFloor = ({ position }: Pick<Exercise, 'position'>): boolean =>
	FLOOR_POSITIONS.includes(position);

/** Things whose weight is held. */
const WEIGHTS: readonly string[] = ['dumbbell', 'light dumbbell', 'loaded backpack', 'water bottle'];

/** Whether an exercise takes a weight. */
export const takesWeight = ({ equipment }: Pick<Exercise, 'equipment'>): boolean =>
	equipment.some(({ item }) => WEIGHTS.includes(item));

/**
 * Contradictions within an exercise, in sentences; empty if there are none. Fields that are not set contradict nothing.
 */
export function contradictionsIn(exercise: Described): string[] {
	const { pattern, position, demands } = exercise;
	const found: string[] = [];
	const unless = (holds: boolean, sentence: string) => void (holds || found.push(sentence));
	unless(pattern !== 'jump' || (demands.impact ?? 'high') === 'high', 'A jump has high impact.');
	unless(demands.impact !== 'high' || (demands.balance ?? 2) >= 1, 'A landing asks for some balance.');
	unless(
		demands.impact !== 'high' || (demands.ankle ?? 2) >= 2,
		'A landing loads the ankles: rate them 2 or 3.'
	);
	unless(
		!onFloor(exercise) || (demands.floorTransfer ?? true),
		'On the floor means getting down to it and up.'
	);
	unless(position !== 'seated' || (demands.balance ?? 0) === 0, 'Seated exercises ask for no balance.');
	unless(
		position !== 'seated' || (demands.floorTransfer ?? false) === false,
		'Seated exercises need no floor.'
	);
	unless(
		position !== 'hanging' || ((demands.arms ?? 'overhead') === 'overhead' && (demands.shoulder ?? 3) === 3),
		'Hanging puts the arms overhead and loads the shoulders.'
	);
	unless(
		pattern !== 'push up' || (demands.arms ?? 'overhead') === 'overhead',
		'A press upwards ends with the arms overhead.'
	);
	unless(
		demands.relativeLoad === undefined || demands.relativeLoad === null || takesWeight(exercise),
		'A relative load needs a weight among the equipment.'
	);
	unless(
		demands.relativeLoad === undefined || demands.relativeLoad !== null || !takesWeight(exercise),
		'An exercise with a weight has a relative load.'
	);
	return found;
}

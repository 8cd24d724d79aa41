/** Demands against the rest of an exercise: the highest of a pattern, and what contradicts itself. */
import {
	ARM_HEIGHTS,
	IMPACTS,
	LEVERS,
	RATED,
	SPACES,
	type DemandInput,
	type Demands,
	type Rated,
	type Rating
} from './demands';
import type { Exercise, Pattern } from './exercise';

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

import type { Exercise, Item, Position } from '../exercise';

/** What somebody must not be asked for, whatever they own: hard limits, before any preference. */
export const LIMITATIONS = [
	'seated only',
	'no floor',
	'no lying on the back',
	'no lying on the front',
	'no jumps',
	'no overhead',
	'no balance without support',
	'no weight on the wrists',
	'no deep knee bend',
	'no squats or lunges',
	'no kneeling',
	'no crunches',
	'easy on the back',
	'easy on the shoulders',
	'easy on the hips'
] as const;
export type Limitation = (typeof LIMITATIONS)[number];

const FLOOR: readonly Position[] = [
	'floor seated',
	'kneeling',
	'all fours',
	'front lying',
	'back lying',
	'side lying'
];
const OVERHEAD_PATTERNS: readonly Exercise['pattern'][] = ['push up', 'pull down'];
/** Positions in which the hands carry the body. */
const ON_HANDS: readonly Position[] = ['all fours', 'front lying'];

/** Whether the body is on the floor. */
export const onFloor = ({ position }: Pick<Exercise, 'position'>): boolean => FLOOR.includes(position);

/** Whether the hands go over the head. */
export const goesOverhead = ({
	pattern,
	position,
	name
}: Pick<Exercise, 'pattern' | 'position' | 'name'>): boolean =>
	OVERHEAD_PATTERNS.includes(pattern) ||
	position === 'hanging' ||
	(pattern === 'combination' && /press/i.test(name)) ||
	/overhead|arms up|wall slide/i.test(name);

/** Whether both feet leave the floor and land together or hard; running lands hard, but is no jump. */
export const isJump = ({ pattern, impact }: Pick<Exercise, 'pattern' | 'impact'>): boolean =>
	pattern === 'jump' || (pattern === 'combination' && impact === 'high');

/** What the exercise itself warns of, in the library as in a coach's own. */
const warnsOf = ({ cautions }: Pick<Exercise, 'cautions'>, words: RegExp): boolean =>
	cautions.some((caution) => words.test(caution));

const LEANING: readonly Exercise['pattern'][] = ['push forward', 'combination'];
/** On the seat of a chair the hands carry nearly as much as on the floor; on a wall or a table they do not. */
const handsOnSeat = ({ pattern, position, equipment, name }: Exercise): boolean =>
	position === 'supported' &&
	equipment.some(({ item }) => item === 'chair') &&
	(LEANING.includes(pattern) || /plank|climber/i.test(name));

/** Whether the hands carry the body with the wrists bent back. */
const loadsWrists = (exercise: Exercise): boolean =>
	(exercise.position === 'all fours' && exercise.pattern !== 'stretch') ||
	(exercise.pattern === 'push forward' && ON_HANDS.includes(exercise.position)) ||
	handsOnSeat(exercise) ||
	(onFloor(exercise) && /climber|shoulder tap|long plank|thrust|crawl|inchworm/i.test(exercise.name)) ||
	warnsOf(exercise, /sore wrist/i);

const squatsOrLunges = ({ pattern, position, name }: Exercise): boolean =>
	position !== 'seated' && (SQUATS.includes(pattern) || (pattern !== 'hinge' && /squat|lunge/i.test(name)));

const WEIGHTS: readonly Item[] = ['dumbbell', 'light dumbbell', 'loaded backpack', 'band'];
const isLoaded = ({ equipment }: Exercise): boolean => equipment.some(({ item }) => WEIGHTS.includes(item));

/** A bent back under load, or a trunk that is curled up with force. */
const loadsBack = (exercise: Exercise): boolean =>
	exercise.impact === 'high' ||
	(exercise.pattern === 'hinge' && exercise.position === 'standing' && isLoaded(exercise)) ||
	curlsUp(exercise) ||
	warnsOf(exercise, /sore back/i);

/** The trunk curls up from lying, or the legs hang from it. */
const curlsUp = (exercise: Exercise): boolean =>
	(exercise.position === 'back lying' && /crunch|sit-up|hollow|leg lowering/i.test(exercise.name)) ||
	warnsOf(exercise, /early after birth/i);

const SQUATS: readonly Exercise['pattern'][] = ['squat', 'lunge', 'jump'];
/** With the knees bent less than to a right angle, or with a seat to end on. */
const SHALLOW = /^(?:half|sit to|hip)\b/i;

/** Knees bent to a right angle and more under load. */
const bendsKnees = ({ pattern, position, name }: Exercise): boolean =>
	position !== 'seated' &&
	((SQUATS.includes(pattern) && !SHALLOW.test(name)) ||
		(pattern !== 'hinge' && /squat|lunge|step-up|thrust|stair/i.test(name) && !SHALLOW.test(name)));

const BREAKS: Record<Limitation, (exercise: Exercise) => boolean> = {
	'seated only': ({ position }) => position !== 'seated',
	'no floor': onFloor,
	'no lying on the back': ({ position }) => position === 'back lying',
	'no lying on the front': ({ position }) => position === 'front lying',
	// Running lands as hard as jumping does, though it is none.
	'no jumps': ({ impact, pattern }) => impact === 'high' || pattern === 'jump',
	'no overhead': goesOverhead,
	'no balance without support': ({ balance, position }) =>
		balance === 2 && position !== 'seated' && position !== 'supported',
	'no weight on the wrists': loadsWrists,
	'no deep knee bend': bendsKnees,
	'no squats or lunges': squatsOrLunges,
	'no kneeling': ({ position, name }) =>
		position === 'kneeling' || position === 'all fours' || /knee (?:push|plank|side)/i.test(name),
	'no crunches': curlsUp,
	'easy on the back': loadsBack,
	'easy on the shoulders': (exercise) =>
		goesOverhead(exercise) || warnsOf(exercise, /sore shoulder/i) || /\bdip\b/i.test(exercise.name),
	'easy on the hips': (exercise) =>
		exercise.impact === 'high' || bendsKnees(exercise) || warnsOf(exercise, /sore hip/i)
};

/** An exercise is not changed once it is made, and asked about for everybody again and again. */
const known = new WeakMap<Exercise, ReadonlySet<Limitation>>();
function brokenBy(exercise: Exercise): ReadonlySet<Limitation> {
	const found = known.get(exercise);
	if (found) return found;
	const broken = new Set(LIMITATIONS.filter((limit) => BREAKS[limit](exercise)));
	known.set(exercise, broken);
	return broken;
}

/** The limits that an exercise goes against; empty: it may be asked for. The one place that says so. */
export function brokenLimits(exercise: Exercise, limits: readonly Limitation[]): Limitation[] {
	const broken = brokenBy(exercise);
	return limits.filter((limit) => broken.has(limit));
}

export function withinLimits(exercise: Exercise, limits: readonly Limitation[]): boolean {
	const broken = brokenBy(exercise);
	return !limits.some((limit) => broken.has(limit));
}

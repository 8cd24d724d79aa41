import type { Exercise, Position } from '../exercise';

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
	'no deep knee bend'
] as const;
export type Limitation = (typeof LIMITATIONS)[number];

const FLOOR: readonly Position[] = ['kneeling', 'all fours', 'front lying', 'back lying', 'side lying'];
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
	OVERHEAD_PATTERNS.includes(pattern) || position === 'hanging' || /overhead|arms up/i.test(name);

/** Whether the hands carry the body with the wrists bent back. */
const loadsWrists = ({ pattern, position }: Exercise): boolean =>
	(position === 'all fours' && pattern !== 'stretch') ||
	(pattern === 'push forward' && ON_HANDS.includes(position));

/** Knees bent to a right angle and more under load. */
const bendsKnees = ({ pattern, name }: Exercise): boolean =>
	(['squat', 'lunge', 'jump'].includes(pattern) && !/half|sit to chair/i.test(name)) ||
	(pattern === 'combination' && /squat|lunge/i.test(name));

const BREAKS: Record<Limitation, (exercise: Exercise) => boolean> = {
	'seated only': ({ position }) => position !== 'seated',
	'no floor': onFloor,
	'no lying on the back': ({ position }) => position === 'back lying',
	'no lying on the front': ({ position }) => position === 'front lying',
	'no jumps': ({ impact, pattern }) => impact === 'high' || pattern === 'jump',
	'no overhead': goesOverhead,
	'no balance without support': ({ balance, position }) =>
		balance === 2 && position !== 'seated' && position !== 'supported',
	'no weight on the wrists': loadsWrists,
	'no deep knee bend': bendsKnees
};

/** The limits that an exercise goes against; empty: it may be asked for. The one place that says so. */
export const brokenLimits = (exercise: Exercise, limits: readonly Limitation[]): Limitation[] =>
	limits.filter((limit) => BREAKS[limit](exercise));

export const withinLimits = (exercise: Exercise, limits: readonly Limitation[]): boolean =>
	brokenLimits(exercise, limits).length === 0;

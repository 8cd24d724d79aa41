/** Demands proposed for an exercise of a coach's own: those of the most similar one that ships. */
import type { Demands } from './demands';
import type { Exercise } from './exercise';

/** What has to be known of an exercise to find the nearest one. */
export type Sketch = Pick<Exercise, 'pattern' | 'position' | 'primary' | 'assisting' | 'equipment'>;

const shared = <T>(a: readonly T[], b: readonly T[]): number => a.filter((one) => b.includes(one)).length;

/** How alike two exercises are as far as that tells of their demands; higher is nearer. */
function nearness(sketch: Sketch, to: Exercise): number {
	const items = (e: Sketch) => e.equipment.map(({ item }) => item);
	return (
		4 * Number(sketch.pattern === to.pattern) +
		3 * Number(sketch.position === to.position) +
		shared(sketch.primary, to.primary) +
		shared(sketch.assisting, to.assisting) / 2 +
		2 * shared(items(sketch), items(to)) -
		Math.abs(sketch.equipment.length - to.equipment.length)
	);
}

/**
 * The exercise that is most like a sketch, for its demands to be proposed.
 *
 * @param exercises those that ship; of several that are as near the first
 */
export function nearestTo(
	sketch: Sketch,
	exercises: readonly Exercise[]
): { exercise: Exercise; demands: Demands } | null {
	let best: { exercise: Exercise; points: number } | null = null;
	for (const exercise of exercises) {
		const points = nearness(sketch, exercise);
		if (!best || points > best.points) best = { exercise, points };
	}
	return best && { exercise: best.exercise, demands: best.exercise.demands };
}

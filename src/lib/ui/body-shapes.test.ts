import { describe, expect, it } from 'vitest';
import { MUSCLES } from '$core/exercise';
import { areasOf, BODY, BODY_OUTLINE, stepOf } from './body-shapes';

it('every muscle is drawn on one side at least', () => {
	const drawn = new Set([...BODY.front, ...BODY.back].map(([muscle]) => muscle));
	expect(MUSCLES.filter((muscle) => !drawn.has(muscle))).toEqual([]);
});

/** Whether a place lies within a closed line, by counting how often a ray to the right crosses it. */
function inside([x, y]: readonly [number, number], line: readonly (readonly [number, number])[]): boolean {
	let within = false;
	line.forEach(([ax, ay], i) => {
		const [bx, by] = line[(i + 1) % line.length]!;
		if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) within = !within;
	});
	return within;
}

/** Ends of the curves of a path: the points that it really goes through. */
const through = (path: string): [number, number][] =>
	[...path.matchAll(/Q[\d.]+ [\d.]+ ([\d.]+) ([\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

describe.each(['front', 'back'] as const)('%s', (side) => {
	const body = through(BODY_OUTLINE);

	it('areas lie within the body', () => {
		for (const { muscle, path } of areasOf(side))
			for (const place of through(path)) expect(inside(place, body), `${muscle} ${place.join()}`).toBe(true);
	});

	it('areas do not lie on each other: the middle of one is within no other', () => {
		for (const [muscle, points] of BODY[side]) {
			const middle = [0, 1].map((i) => points.reduce((sum, p) => sum + p[i]!, 0) / points.length) as [
				number,
				number
			];
			const others = BODY[side].filter(([other, area]) => other !== muscle && inside(middle, area));
			expect(others.map(([other]) => `${muscle} in ${other}`)).toEqual([]);
		}
	});

	it('is the same on both halves', () => {
		for (const { path } of areasOf(side)) {
			const places = through(path);
			const [half, other] = [places.slice(0, places.length / 2), places.slice(places.length / 2)];
			other.forEach(([x, y], i) => {
				expect(100 - x).toBeCloseTo(half[i]![0], 2);
				expect(y).toBe(half[i]![1]);
			});
		}
	});
});

it('the outline is one closed line', () => {
	expect(BODY_OUTLINE.match(/M/g)).toHaveLength(1);
	expect(BODY_OUTLINE.endsWith('Z')).toBe(true);
});

it('colours in steps of two sets', () => {
	expect([0, 0.5, 2, 2.5, 4, 4.5, 6, 7].map(stepOf)).toEqual([0, 1, 1, 2, 2, 3, 3, 4]);
});

import { expect, it } from 'vitest';
import { MUSCLES } from '$core/exercise';
import { BODY, ovalsOf, stepOf } from './body-shapes';

it('every muscle is drawn on the front or on the back', () => {
	const drawn = new Set([...BODY.front, ...BODY.back].map(([muscle]) => muscle));
	expect(MUSCLES.filter((muscle) => !drawn.has(muscle))).toEqual([]);
});

it('the two halves mirror each other', () => {
	for (const side of ['front', 'back'] as const) {
		const ovals = ovalsOf(side);
		for (const oval of ovals)
			expect(
				ovals.some((o) => o.muscle === oval.muscle && Math.abs(o.x + oval.x - 100) < 1e-9 && o.y === oval.y)
			).toBe(true);
	}
});

it('sets are coloured in four steps', () => {
	expect([0, 0.5, 2, 2.5, 4, 6, 6.5, 40].map(stepOf)).toEqual([0, 1, 1, 2, 2, 3, 4, 4]);
});

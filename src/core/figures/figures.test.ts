import { describe, expect, it } from 'vitest';
import { STANDARD } from '../exercise';
import { drawFigure } from './figure';
import { FIGURE_NAMES, figureOf } from './index';
import { JOINTS, LENGTHS, skeletonOf, type Point } from './pose';

const far = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);

describe('figures', () => {
	it('there are at least 80, each for an exercise of the library', () => {
		expect(FIGURE_NAMES.length).toBeGreaterThanOrEqual(80);
		expect(FIGURE_NAMES.filter((name) => STANDARD.find(name)?.name !== name)).toEqual([]);
	});

	it('bones keep their lengths and nothing sinks into the floor', () => {
		const sunk: string[] = [];
		for (const name of FIGURE_NAMES) {
			const figure = figureOf(name, STANDARD)!;
			for (const pose of [figure.start, figure.end]) {
				const s = skeletonOf(pose, figure.view, figure.anchor);
				expect(far(s.shoulder1, s.elbow1), name).toBeCloseTo(LENGTHS.upperArm, 6);
				expect(far(s.elbow2, s.hand2), name).toBeCloseTo(LENGTHS.forearm, 6);
				expect(far(s.hip1, s.knee1), name).toBeCloseTo(LENGTHS.thigh, 6);
				expect(far(s.knee2, s.ankle2), name).toBeCloseTo(LENGTHS.shin, 6);
				for (const joint of JOINTS)
					if (s[joint][1] < -3.5) sunk.push(`${name}: ${joint} ${s[joint][1].toFixed(1)}`);
			}
		}
		expect(sunk).toEqual([]);
	});

	it('stays within its frame on the whole way', () => {
		for (const name of FIGURE_NAMES) {
			const figure = figureOf(name, STANDARD)!;
			for (const t of [0, 0.5, 1]) {
				const { shapes, bounds } = drawFigure(figure, t);
				for (const shape of shapes) {
					if (shape.kind !== 'line') continue;
					for (const [x, y] of shape.points) {
						expect(Number.isFinite(x + y), name).toBe(true);
						if (t !== 0.5)
							expect(x >= bounds[0] && x <= bounds[2] && y >= bounds[1] && y <= bounds[3], name).toBe(true);
					}
				}
			}
		}
	});

	it('lends its figure to one of the coach’s own that looks like it', () => {
		const own = { ...STANDARD.find('Squat')!, name: 'Hut squat', looksLike: 'Squat' };
		const library = { ...STANDARD, find: () => own };
		expect(figureOf('Hut squat', library)).toBe(figureOf('Squat', STANDARD));
		expect(figureOf('No such thing', STANDARD)).toBeNull();
	});
});

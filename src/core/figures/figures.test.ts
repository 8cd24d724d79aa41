/** Every figure of the library, at every moment: what a body can do, and nothing else. */
import { describe, expect, it } from 'vitest';
import { wrongWith } from '../../../tests/support/anatomy';
import { STANDARD } from '../exercise';
import { drawFigure, skeletonAt, type Figure } from './figure';
import { FIGURE_NAMES, figureOf } from './index';
import { LENGTHS, type Point, type Pose, type Skeleton } from './pose';

const far = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);
const angle = (a: Point, b: Point) => (Math.atan2(b[1] - a[1], b[0] - a[0]) * 180) / Math.PI;
const MOMENTS = [0, 0.25, 0.5, 0.75, 1];
const figureNamed = (name: string): Figure => {
	const figure = figureOf(name, STANDARD);
	if (!figure) throw new Error(`${name} has no figure`);
	return figure;
};

describe('figures', () => {
	it('no exercise of the library is without one, and none is for something else', () => {
		expect(STANDARD.all.filter(({ name }) => !figureOf(name, STANDARD)).map(({ name }) => name)).toEqual([]);
		expect(FIGURE_NAMES.filter((name) => STANDARD.find(name)?.name !== name)).toEqual([]);
		expect(new Set(FIGURE_NAMES).size).toBe(STANDARD.all.length);
	});

	it.each(FIGURE_NAMES)('%s: joints keep to their ranges, what is planted stays, nobody falls', (name) => {
		expect(wrongWith(figureNamed(name))).toEqual([]);
	});

	it('bones keep their lengths; a thigh that comes towards the viewer looks shorter', () => {
		for (const name of FIGURE_NAMES)
			for (const t of MOMENTS) {
				const figure = figureNamed(name);
				const s = skeletonAt(figure, t);
				const thigh = LENGTHS.thigh * (figure.start.thigh ?? 1);
				expect(far(s.shoulder1, s.elbow1), name).toBeCloseTo(LENGTHS.upperArm, 6);
				expect(far(s.elbow2, s.hand2), name).toBeCloseTo(LENGTHS.forearm, 6);
				expect(far(s.hip1, s.knee1), name).toBeCloseTo(thigh, 6);
				expect(far(s.knee2, s.ankle2), name).toBeCloseTo(LENGTHS.shin, 6);
			}
	});

	it('move unless they are held', () => {
		const held = FIGURE_NAMES.filter((name) => {
			const [start, end] = [0, 1].map((t) => skeletonAt(figureNamed(name), t)) as [Skeleton, Skeleton];
			return Object.keys(start).every(
				(joint) => far(start[joint as keyof Skeleton], end[joint as keyof Skeleton]) < 1
			);
		});
		expect(held.filter((name) => STANDARD.find(name)?.countedIn !== 'seconds')).toEqual([]);
	});

	it('stay within their frame on the whole way', () => {
		for (const name of FIGURE_NAMES)
			for (const t of [0, 0.5, 1]) {
				const { shapes, bounds } = drawFigure(figureNamed(name), t);
				for (const shape of shapes) {
					if (shape.kind !== 'line') continue;
					for (const [x, y] of shape.points) {
						expect(Number.isFinite(x + y), name).toBe(true);
						if (t !== 0.5)
							expect(x >= bounds[0] && x <= bounds[2] && y >= bounds[1] && y <= bounds[3], name).toBe(true);
					}
				}
			}
	});

	it('are lent to one of the coach’s own that looks like them', () => {
		const own = { ...STANDARD.find('Squat')!, name: 'Hut squat', looksLike: 'Squat' };
		const library = { ...STANDARD, find: () => own };
		expect(figureOf('Hut squat', library)).toBe(figureOf('Squat', STANDARD));
		expect(figureOf('No such thing', STANDARD)).toBeNull();
	});
});

describe('a push-up', () => {
	it.each(['Push-up', 'Slow push-up', 'Backpack push-up', 'Knee push-up', 'Narrow push-up'])(
		'%s: at the bottom the elbow points to the feet and the forearm stands upright',
		(name) => {
			const s = skeletonAt(figureNamed(name), 1);
			// The figure looks to the right, its feet are on the left.
			expect(s.elbow1[0]).toBeLessThan(s.shoulder1[0] - 8);
			expect(Math.abs(angle(s.elbow1, s.hand1) + 90)).toBeLessThan(16);
			expect(s.elbow1[1]).toBeGreaterThan(s.shoulder1[1]);
		}
	);

	it('leaves the hands where they are on the whole way', () => {
		for (const t of MOMENTS) expect(skeletonAt(figureNamed('Push-up'), t).hand1[0]).toBeCloseTo(66, 1);
	});
});

/** The check itself: each of these is wrong in one way, and is seen. */
describe('what is wrong with a figure', () => {
	const UPRIGHT: Pose = { torso: 90, arm: [-90, -90], leg: [-90, -90], at: [0, 0] };
	const figure = (end: Partial<Pose>, more: Partial<Figure> = {}): Figure => ({
		view: 'side',
		anchor: 'ankle1',
		start: UPRIGHT,
		end: { ...UPRIGHT, ...end },
		props: [],
		...more
	});

	it('nothing with somebody who stands still', () => {
		expect(wrongWith(figure({}))).toEqual([]);
	});

	it.each<[string, Partial<Pose>, RegExp]>([
		['an elbow that bends back', { arm: [-90, -110] }, /^elbow1 -\d+°/],
		['an elbow that folds onto itself', { arm: [-90, 80] }, /^elbow1 170°/],
		['a knee that bends forward', { leg2: [-90, -70] }, /^knee2 -\d+°/],
		['a knee too far', { leg2: [-20, -190] }, /^knee2 170°/],
		['a leg too far behind', { leg2: [-150, -150] }, /^hip2 -\d+°/],
		['an arm too far behind', { arm: [-180, -180] }, /^shoulder1 -\d+°/],
		['a head that hangs on the back', { head: 180 }, /^neck 90°/],
		['a foot that points up the shin', { foot2: 60 }, /^ankle2 150°/],
		['somebody leaning too far', { torso: 30, head: 30 }, /^falls by/],
		['a hand under the floor', { torso: -60, head: -60, leg: [-90, -90] }, /under the floor/]
	])('%s', (_, end, wrong) => {
		expect(wrongWith(figure(end)).some((found) => wrong.test(found))).toBe(true);
	});

	it('a foot that slips, unless it steps', () => {
		const slip = { at: [6, 0] as const };
		expect(wrongWith(figure(slip))).toContain('ankle1 slips by 6.0');
		const moves = ['ankle1', 'ankle2', 'toe1', 'toe2'] as const;
		expect(wrongWith(figure(slip, { moves }))).toEqual([]);
	});

	it('nobody falls who is held by a wall, a seat or a pull', () => {
		const lean = { torso: 30, head: 30 };
		const wall = [{ kind: 'wall', x: 59 }] as const;
		const leans = { ...UPRIGHT, ...lean, arm: [0, 0] } as const;
		expect(wrongWith(figure(leans, { start: leans, props: wall }))).toEqual([]);
		expect(wrongWith(figure(leans, { start: leans }))).not.toEqual([]);
		expect(wrongWith(figure(lean, { props: [{ kind: 'band', from: [60, 70], to: 'hand1' }] }))).toEqual([]);
	});

	it('from the front an arm folded onto itself', () => {
		const front = { view: 'front' as const, start: { ...UPRIGHT, arm: [-100, -95] as const } };
		expect(wrongWith(figure({ arm: [-100, 75] }, front)).some((found) => /^elbow1/.test(found))).toBe(true);
	});
});

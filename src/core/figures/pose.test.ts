import { describe, expect, it } from 'vitest';
import { LENGTHS, poseBetween, skeletonOf, weightOf, type Joint, type Point, type Pose } from './pose';

/** Upright, arms and legs hanging straight down. */
const UPRIGHT: Pose = { torso: 90, arm: [-90, -90], leg: [-90, -90] };
const at = (s: Record<Joint, Point>, joint: Joint) => s[joint].map((n) => Math.round(n * 100) / 100 + 0);
const side = (pose: Pose, anchor: Joint = 'ankle1') => skeletonOf(pose, 'side', anchor);
const front = (pose: Pose, anchor: Joint = 'ankle1') => skeletonOf(pose, 'front', anchor);

describe('skeletonOf', () => {
	it('stacks an upright body by the lengths of its bones', () => {
		const s = side(UPRIGHT);
		const heights = {
			ankle1: 0,
			knee1: 24,
			hip: 48,
			mid: 63,
			shoulder: 78,
			head: 89.5,
			elbow1: 62,
			hand1: 46
		} as const;
		for (const [joint, y] of Object.entries(heights)) expect(at(s, joint as Joint), joint).toEqual([0, y]);
		expect(at(s, 'toe1')).toEqual([7, 0]);
		// From the side both arms, both legs and both feet lie one behind the other.
		for (const joint of ['shoulder', 'elbow', 'hand', 'hip', 'knee', 'ankle', 'toe'] as const)
			expect(at(s, `${joint}2`)).toEqual(at(s, `${joint}1`));
	});

	it('curves the back half by half, and turns the head with its upper half or by itself', () => {
		const s = side({ ...UPRIGHT, torso: 60, curve: 30, at: [0, 0] }, 'hip');
		expect(at(s, 'mid')).toEqual([12.99, 7.5]);
		expect(at(s, 'shoulder')).toEqual([12.99, 22.5]);
		expect(at(s, 'head')).toEqual([12.99, 34]);
		expect(at(side({ ...UPRIGHT, head: 0, at: [0, 0] }, 'shoulder'), 'head')).toEqual([11.5, 0]);
	});

	it('from the front has shoulders of 16 and hips of 9, and mirrors what is not given for the other side', () => {
		const s = front({ ...UPRIGHT, arm: [180, 90], leg: [-120, -90] });
		expect(at(s, 'shoulder1')[0]! - at(s, 'shoulder2')[0]!).toBe(-16);
		expect(at(s, 'hip1')[0]! - at(s, 'hip2')[0]!).toBe(-9);
		const middle = at(s, 'shoulder')[0]!;
		for (const joint of ['shoulder', 'elbow', 'hand', 'hip', 'knee', 'ankle', 'toe'] as const) {
			const [one, other] = [at(s, `${joint}1`), at(s, `${joint}2`)];
			expect(one[1], joint).toBeCloseTo(other[1]!, 1);
			expect(one[0]! - middle, joint).toBeCloseTo(middle - other[0]!, 1);
			expect(one[0], joint).toBeLessThan(other[0]!);
		}
		// Upper arm out to the side, forearm up; the foot half as long, turned out by 20°.
		expect([at(s, 'elbow1')[0]! - at(s, 'shoulder1')[0]!, at(s, 'hand1')[1]! - at(s, 'elbow1')[1]!]).toEqual([
			-16, 16
		]);
		const [x, y] = [at(s, 'toe1')[0]! - at(s, 'ankle1')[0]!, at(s, 'toe1')[1]! - at(s, 'ankle1')[1]!];
		expect(Math.hypot(x, y)).toBeCloseTo(LENGTHS.foot / 2, 1);
		expect([x, y]).toEqual([-3.29, -1.2]);
	});

	it('gives the other side what is its own', () => {
		const s = side({ ...UPRIGHT, arm2: [0, 0], leg2: [0, -90], foot: 90, foot2: -90 });
		expect(at(s, 'hand2')).toEqual([32, 78]);
		expect(at(s, 'knee2')).toEqual([24, 48]);
		expect(at(s, 'ankle2')).toEqual([24, 24]);
		expect([at(s, 'toe1'), at(s, 'toe2')]).toEqual([
			[0, 7],
			[24, 17]
		]);
	});

	it('stands on the floor or on its base, whatever is lowest but the head; or where it is put', () => {
		expect(at(side({ ...UPRIGHT, base: 10 }), 'ankle1')).toEqual([0, 10]);
		// Upside down: the shoulders touch the floor and not the head.
		expect(at(side({ torso: -90, arm: [0, 0], leg: [90, 90] }, 'shoulder'), 'shoulder')).toEqual([0, 0]);
		expect(at(side({ torso: -90, arm: [0, 0], leg: [90, 90] }, 'shoulder'), 'head')).toEqual([0, -11.5]);
		const put = side({ ...UPRIGHT, at: [3, 5] }, 'hand1');
		expect([at(put, 'hand1'), at(put, 'ankle1')]).toEqual([
			[3, 5],
			[3, -41]
		]);
	});

	it('reaches for a place: from the side elbows and knees bend the one way that they can', () => {
		// Shoulder at 0, 0, hand 16 √2 ahead: both halves of the arm at 45°, the elbow below.
		const away = 16 * Math.SQRT2;
		const reaching = (to: Point) => side({ ...UPRIGHT, arm: { to }, at: [0, 0] }, 'shoulder');
		expect(at(reaching([away, 0]), 'elbow1')).toEqual([11.31, -11.31]);
		expect(at(reaching([away, 0]), 'hand1')).toEqual([22.63, 0]);
		// Straight down: the elbow behind, and so on all the way round.
		expect(at(reaching([0, -away]), 'elbow1')).toEqual([-11.31, -11.31]);
		expect(at(reaching([-away, 0]), 'elbow1')).toEqual([-11.31, 11.31]);
		const leg = side({ ...UPRIGHT, leg: { to: [0, -24 * Math.SQRT2] }, at: [0, 0] }, 'hip');
		expect(at(leg, 'knee1')).toEqual([16.97, -16.97]);
		// Somewhere on the way, away from the axes.
		const s = side({ ...UPRIGHT, arm: { to: [20, 70] }, at: [3, 78] }, 'shoulder');
		expect(at(s, 'hand1')).toEqual([20, 70]);
	});

	it('from the front they bend to the side that is said', () => {
		const reaching = (bend: 1 | -1) =>
			front({ ...UPRIGHT, arm: { to: [-8, -16 * Math.SQRT2], bend }, at: [0, 0] }, 'shoulder');
		expect(at(reaching(-1), 'elbow1')).toEqual([-19.31, -11.31]);
		expect(at(reaching(1), 'elbow1')).toEqual([3.31, -11.31]);
	});

	it('stretches out towards a place that is too far, and folds for one at the shoulder itself', () => {
		const far = side({ ...UPRIGHT, arm: { to: [300, 400], bend: 1 }, at: [0, 0] }, 'shoulder');
		const [x, y] = far.hand1;
		expect(Math.hypot(x, y)).toBeCloseTo(32, 1);
		expect(y / x).toBeCloseTo(4 / 3, 1);
		const near = side({ ...UPRIGHT, arm: { to: [0, 0], bend: 1 }, at: [0, 0] }, 'shoulder');
		expect(Math.hypot(...near.hand1)).toBeLessThan(0.1);
		// A leg of two bones that are as long reaches as well.
		expect(at(side({ ...UPRIGHT, leg: { to: [30, 10], bend: 1 }, at: [0, 40] }, 'hip'), 'ankle1')).toEqual([
			30, 10
		]);
	});
});

describe('poseBetween', () => {
	const half = (a: Partial<Pose>, b: Partial<Pose>, t = 0.25, view: 'side' | 'front' = 'side') => {
		const pose = poseBetween({ ...UPRIGHT, ...a }, { ...UPRIGHT, ...b }, t, view, 'hip');
		const round = (value: unknown): unknown =>
			typeof value === 'number'
				? Math.round(value * 100) / 100 + 0
				: Array.isArray(value)
					? value.map(round)
					: value;
		return Object.fromEntries(Object.entries(pose).map(([key, value]) => [key, round(value)]));
	};
	/** The same direction, whatever the whole turns. */
	const degrees = (value: unknown) => (value as number[]).map((n) => ((((n + 180) % 360) + 360) % 360) - 180);

	it('goes evenly from one to the other', () => {
		expect(half({ torso: 80, curve: 8, base: 4 }, { torso: 100, base: 8 })).toMatchObject({
			torso: 85,
			curve: 6,
			base: 5
		});
		expect(half({}, {})).not.toHaveProperty('at');
		expect(half({ at: [0, 8] }, {})).not.toHaveProperty('at');
		expect(half({ at: [0, 8] }, { at: [8, 0] }).at).toEqual([2, 6]);
	});

	it('bends joints on the side view, so that they stay within what they can', () => {
		// A shin that swings from hanging down to behind the thigh: by way of the back, never of the front.
		const knee = half({ leg: [-90, -90] }, { leg: [-90, 130] }, 0.5);
		expect(degrees(knee.leg)).toEqual([-90, -160]);
		// An elbow that bends by 90° while the trunk leans by 40° and the arm keeps to it.
		const elbow = half({ torso: 90, arm: [-90, -90] }, { torso: 50, arm: [-130, -40] }, 0.5);
		expect(degrees(elbow.arm)).toEqual([-110, -65]);
	});

	it('turns the head with the back where it has no angle of its own', () => {
		// 15° back of the upper back at first, 10° before it at the end: 80 − 7.5 + …
		expect(half({ torso: 80, curve: 10 }, { torso: 40, head: 30 }).head).toBe(75);
		expect(half({ torso: 90 }, { torso: 50 }).head).toBe(80);
	});

	it('carries a reach along; of two kinds of limb it bends the joints', () => {
		expect(half({ arm: { to: [0, 10] } }, { arm: { to: [40, 50] } }).arm).toMatchObject({ to: [10, 20] });
		// The hand 20 ahead of a shoulder at 78, half-way to straight down: no jump from one to the other.
		const reach: Partial<Pose> = { arm: { to: [20, 78] }, at: [0, 48] };
		const near = (t: number) =>
			side(poseBetween({ ...UPRIGHT, ...reach }, { ...UPRIGHT, at: [0, 48] }, t, 'side', 'hip'), 'hip');
		for (const t of [0.1, 0.5, 0.9]) {
			const step = Math.hypot(
				near(t).hand1[0] - near(t + 0.01).hand1[0],
				near(t).hand1[1] - near(t + 0.01).hand1[1]
			);
			expect(step).toBeLessThan(2);
		}
	});

	it('keeps a foot flat that stays, and takes one that is lifted along with its shin', () => {
		expect(half({}, { foot: -40 }, 0.5)).toMatchObject({ foot: -20, foot2: -20 });
		const lifted = half({}, { leg: [-90, 130], foot: -140 }, 0.5);
		// From 90° to the shin at first to 90° to it at the end.
		expect(degrees([lifted.foot])).toEqual([-70]);
	});

	it('keeps the weight where it is between two balanced poses', () => {
		const stand = { hip: 47, over: 2, leg: { to: [0, 0] } } as const;
		const squat = { ...stand, hip: 26, torso: 60, arm: [-10, 0] } as const;
		for (const t of [0, 0.3, 0.7, 1]) {
			const pose = poseBetween({ ...UPRIGHT, ...stand }, { ...UPRIGHT, ...squat }, t, 'side', 'hip');
			const s = side(pose, 'hip');
			expect(weightOf(s)).toBeCloseTo(2, 2);
			expect(at(s, 'ankle1')).toEqual([0, 0]);
		}
	});

	it('mirrors the other side and its foot from the front alone', () => {
		const [a, b] = [{ arm: [10, 20] }, { arm: [50, 60], leg: [-50, -50] }] as const;
		const front = half(a, b, 0.5, 'front');
		expect(front).toMatchObject({ arm: [30, 40], arm2: [150, 140], leg: [-70, -70] });
		expect(degrees(front.leg2)).toEqual([-110, -110]);
		expect(degrees([front.foot, front.foot2])).toEqual([-160, -20]);
		const seen = half({}, { leg: [-50, -50] }, 0.5);
		expect(degrees(seen.leg2)).toEqual([-70, -70]);
		const reach = half({ arm: { to: [-10, 40] } }, { arm: { to: [-10, 60] } }, 0.5, 'front');
		expect(reach).toMatchObject({ arm: { to: [-10, 50] }, arm2: { to: [10, 50] } });
	});

	it('shows thighs as short as they are seen', () => {
		const s = skeletonOf({ ...UPRIGHT, thigh: 0.25 }, 'front', 'hip');
		expect(Math.hypot(s.hip1[0] - s.knee1[0], s.hip1[1] - s.knee1[1])).toBeCloseTo(6, 6);
		expect(half({ thigh: 0.2 }, { thigh: 0.6 }, 0.5, 'front').thigh).toBe(0.4);
	});
});

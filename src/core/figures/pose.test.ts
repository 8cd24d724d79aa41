import { describe, expect, it } from 'vitest';
import { LENGTHS, poseBetween, skeletonOf, type Joint, type Point, type Pose } from './pose';

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

	it('reaches for a place with the elbow on the side that it is bent to', () => {
		// Shoulder at 0, 0, hand 16 √2 to the right: both halves of the arm at 45°.
		const reaching = (bend: 1 | -1, to: Point) =>
			side({ ...UPRIGHT, arm: { to, bend }, at: [0, 0] }, 'shoulder');
		const away = 16 * Math.SQRT2;
		expect(at(reaching(1, [away, 0]), 'elbow1')).toEqual([11.31, 11.31]);
		expect(at(reaching(-1, [away, 0]), 'elbow1')).toEqual([11.31, -11.31]);
		expect(at(reaching(1, [away, 0]), 'hand1')).toEqual([22.63, 0]);
		expect(at(reaching(1, [0, -away]), 'elbow1')).toEqual([11.31, -11.31]);
		expect(at(reaching(1, [-away, 0]), 'elbow1')).toEqual([-11.31, -11.31]);
		// Somewhere on the way, away from the axes.
		const s = side({ ...UPRIGHT, arm: { to: [20, 70], bend: -1 }, at: [3, 78] }, 'shoulder');
		expect(at(s, 'hand1')).toEqual([20, 70]);
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
	const half = (a: Partial<Pose>, b: Partial<Pose>, t = 0.25, view: 'side' | 'front' = 'side') =>
		poseBetween({ ...UPRIGHT, ...a }, { ...UPRIGHT, ...b }, t, view);

	it('goes evenly from one to the other', () => {
		expect(
			half(
				{ torso: 80, curve: 8, base: 4, arm: [0, 40], leg: [-90, 10] },
				{ torso: 100, base: 8, arm: [40, 0], leg: [-50, 10] }
			)
		).toMatchObject({
			torso: 85,
			curve: 6,
			base: 5,
			arm: [10, 30],
			arm2: [10, 30],
			leg: [-80, 10],
			leg2: [-80, 10],
			foot: 0,
			foot2: 0
		});
		expect(half({}, {})).not.toHaveProperty('at');
		expect(half({ at: [0, 8] }, {})).not.toHaveProperty('at');
		expect(half({}, { at: [0, 8] })).not.toHaveProperty('at');
		expect(half({ at: [0, 8] }, { at: [8, 0] }).at).toEqual([2, 6]);
	});

	it('turns the head with the back where it has no angle of its own', () => {
		expect(half({ torso: 80, curve: 10 }, { torso: 40, head: 30 }).head).toBe(75);
		expect(half({ torso: 90 }, { torso: 50 }).head).toBe(80);
	});

	it('carries a reach along, bent as at the end; of two kinds of limb it takes the nearer', () => {
		const [from, to] = [
			{ to: [0, 10], bend: 1 },
			{ to: [40, 50], bend: -1 }
		] as const;
		expect(half({ arm: from }, { arm: to }).arm).toEqual({ to: [10, 20], bend: -1 });
		expect(half({ arm: from }, { arm: [0, 0] }, 0.49).arm).toEqual(from);
		expect(half({ arm: from }, { arm: [0, 0] }, 0.5).arm).toEqual([0, 0]);
		expect(half({ arm: [0, 0] }, { arm: to }, 0.49).arm).toEqual([0, 0]);
	});

	it('mirrors the other side and its foot from the front alone', () => {
		const [a, b] = [
			{ arm: [10, 20], foot: 190 },
			{ arm: [50, 60], leg: [-50, -50], foot: 210 }
		] as const;
		expect(half(a, b, 0.5, 'front')).toMatchObject({
			arm: [30, 40],
			arm2: [150, 140],
			leg2: [250, 250],
			foot: 200,
			foot2: -20
		});
		expect(half(a, b, 0.5, 'side')).toMatchObject({
			arm2: [30, 40],
			leg2: [-70, -70],
			foot: 200,
			foot2: 200
		});
		expect(half({}, {}, 0.5, 'front')).toMatchObject({ foot: 200, foot2: -20 });
		expect(half({ arm2: [0, 0], foot2: 10 }, { arm2: [40, 20], foot2: 30 }, 0.5, 'front')).toMatchObject({
			arm2: [20, 10],
			foot2: 20
		});
	});
});

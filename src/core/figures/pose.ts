/**
 * Jointed figures: where the joints are follows from angles and fixed lengths, so that nobody's arm grows between
 * two positions. Degrees, 0 towards the right, 90 up; lengths in hundredths of a body's height, y up from the floor.
 * In the side view the figure looks to the right.
 */
export type Point = readonly [x: number, y: number];

/** Two bones by their angles, or by the place that their end reaches, bent one way (1) or the other (-1). */
export type Limb = readonly [first: number, second: number] | { to: Point; bend: 1 | -1 };

export interface Pose {
	/** From hip to shoulder. */
	torso: number;
	/** Degrees by which the upper half of the back turns from the lower one. */
	curve?: number;
	/** From shoulder to head; the upper back's own when left out. */
	head?: number;
	arm: Limb;
	/** The far arm (side view) or the other one (front view); as `arm`, or mirrored, when left out. */
	arm2?: Limb;
	leg: Limb;
	leg2?: Limb;
	/** Angle of the feet; 0 flat in the side view. */
	foot?: number;
	foot2?: number;
	/** Where the anchor stands; by default its x is 0 and the lowest joint touches `base`. */
	at?: Point;
	base?: number;
}

export const LENGTHS = {
	torso: 30,
	neck: 5,
	head: 6.5,
	upperArm: 16,
	forearm: 16,
	thigh: 24,
	shin: 24,
	foot: 7
} as const;
/** Half the width of shoulders and hips, seen from the front. */
const WIDTH = { shoulder: 8, hip: 4.5 };

export type View = 'side' | 'front';
export const JOINTS = [
	'hip',
	'mid',
	'shoulder',
	'head',
	'shoulder1',
	'elbow1',
	'hand1',
	'shoulder2',
	'elbow2',
	'hand2',
	'hip1',
	'knee1',
	'ankle1',
	'toe1',
	'hip2',
	'knee2',
	'ankle2',
	'toe2'
] as const;
export type Joint = (typeof JOINTS)[number];
export type Skeleton = Record<Joint, Point>;

const rad = (degrees: number): number => (degrees * Math.PI) / 180;
export const along = ([x, y]: Point, angle: number, length: number): Point => [
	x + length * Math.cos(rad(angle)),
	y + length * Math.sin(rad(angle))
];

/** The angles of two bones that reach from one place to another; stretched out towards one too far away. */
function reach(from: Point, to: Point, first: number, second: number, bend: 1 | -1): [number, number] {
	const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
	const distance = Math.min(Math.hypot(dx, dy), first + second - 0.01);
	const towards = (Math.atan2(dy, dx) * 180) / Math.PI;
	const cosine = (first ** 2 + distance ** 2 - second ** 2) / (2 * first * Math.max(distance, 0.01));
	const inner = (Math.acos(Math.max(-1, Math.min(1, cosine))) * 180) / Math.PI;
	const upper = towards + bend * inner;
	const elbow = along(from, upper, first);
	const aim: Point = [
		from[0] + distance * Math.cos(rad(towards)),
		from[1] + distance * Math.sin(rad(towards))
	];
	return [upper, (Math.atan2(aim[1] - elbow[1], aim[0] - elbow[0]) * 180) / Math.PI];
}

const isAngles = (limb: Limb): limb is readonly [number, number] => Array.isArray(limb);
const mirrored = (limb: Limb): Limb => (isAngles(limb) ? [180 - limb[0], 180 - limb[1]] : limb);

/** Every joint of a pose. `anchor` is the joint that keeps its place. */
export function skeletonOf(pose: Pose, view: View, anchor: Joint): Skeleton {
	const { torso, curve = 0 } = pose;
	const upper = torso + curve;
	const lower = torso - curve;
	const wide = view === 'front';
	const arm2 = pose.arm2 ?? (wide ? mirrored(pose.arm) : pose.arm);
	const leg2 = pose.leg2 ?? (wide ? mirrored(pose.leg) : pose.leg);

	const build = (hip: Point, solve: boolean): Skeleton => {
		const mid = along(hip, lower, LENGTHS.torso / 2);
		const shoulder = along(mid, upper, LENGTHS.torso / 2);
		const head = along(shoulder, pose.head ?? upper, LENGTHS.neck + LENGTHS.head);
		const across = (middle: Point, half: number, sign: 1 | -1) =>
			wide ? along(middle, upper + 90 * sign, half) : middle;
		const limb = (
			from: Point,
			which: Limb,
			first: number,
			second: number,
			rest: readonly [number, number]
		) => {
			const [a, b] = isAngles(which)
				? which
				: solve
					? reach(from, which.to, first, second, which.bend)
					: rest;
			const joint = along(from, a, first);
			return [joint, along(joint, b, second)] as const;
		};
		const [shoulder1, shoulder2] = [
			across(shoulder, WIDTH.shoulder, 1),
			across(shoulder, WIDTH.shoulder, -1)
		];
		const [hip1, hip2] = [across(hip, WIDTH.hip, 1), across(hip, WIDTH.hip, -1)];
		const [elbow1, hand1] = limb(shoulder1, pose.arm, LENGTHS.upperArm, LENGTHS.forearm, [90, 90]);
		const [elbow2, hand2] = limb(shoulder2, arm2, LENGTHS.upperArm, LENGTHS.forearm, [90, 90]);
		const [knee1, ankle1] = limb(hip1, pose.leg, LENGTHS.thigh, LENGTHS.shin, [90, 90]);
		const [knee2, ankle2] = limb(hip2, leg2, LENGTHS.thigh, LENGTHS.shin, [90, 90]);
		const foot = pose.foot ?? (wide ? 200 : 0);
		const toe1 = along(ankle1, foot, wide ? LENGTHS.foot / 2 : LENGTHS.foot);
		const toe2 = along(
			ankle2,
			pose.foot2 ?? (wide ? 180 - foot : foot),
			wide ? LENGTHS.foot / 2 : LENGTHS.foot
		);
		return {
			hip,
			mid,
			shoulder,
			head,
			shoulder1,
			elbow1,
			hand1,
			shoulder2,
			elbow2,
			hand2,
			hip1,
			knee1,
			ankle1,
			toe1,
			hip2,
			knee2,
			ankle2,
			toe2
		};
	};

	const loose = build([0, 0], false);
	const lowest = Math.min(...JOINTS.filter((joint) => joint !== 'head').map((joint) => loose[joint][1]));
	const [x, y] = pose.at ?? [0, loose[anchor][1] - lowest + (pose.base ?? 0)];
	return build([x - loose[anchor][0], y - loose[anchor][1]], true);
}

const between = (a: number, b: number, t: number): number => a + (b - a) * t;
const limbBetween = (a: Limb, b: Limb, t: number): Limb => {
	if (isAngles(a) && isAngles(b)) return [between(a[0], b[0], t), between(a[1], b[1], t)];
	if (!isAngles(a) && !isAngles(b))
		return { to: [between(a.to[0], b.to[0], t), between(a.to[1], b.to[1], t)], bend: b.bend };
	return t < 0.5 ? a : b;
};

/** The pose on the way from one to another; `t` 0 the first, 1 the second. */
export function poseBetween(a: Pose, b: Pose, t: number, view: View): Pose {
	const other = (pose: Pose, which: 'arm' | 'leg') =>
		pose[`${which}2`] ?? (view === 'front' ? mirrored(pose[which]) : pose[which]);
	const number = (key: 'torso' | 'curve' | 'base', fallback: number) =>
		between(a[key] ?? fallback, b[key] ?? fallback, t);
	const headOf = (pose: Pose) => pose.head ?? pose.torso + (pose.curve ?? 0);
	const footOf = (pose: Pose) => pose.foot ?? (view === 'front' ? 200 : 0);
	const foot2Of = (pose: Pose) => pose.foot2 ?? (view === 'front' ? 180 - footOf(pose) : footOf(pose));
	return {
		torso: number('torso', 90),
		curve: number('curve', 0),
		base: number('base', 0),
		head: between(headOf(a), headOf(b), t),
		arm: limbBetween(a.arm, b.arm, t),
		arm2: limbBetween(other(a, 'arm'), other(b, 'arm'), t),
		leg: limbBetween(a.leg, b.leg, t),
		leg2: limbBetween(other(a, 'leg'), other(b, 'leg'), t),
		foot: between(footOf(a), footOf(b), t),
		foot2: between(foot2Of(a), foot2Of(b), t),
		...(a.at && b.at && { at: [between(a.at[0], b.at[0], t), between(a.at[1], b.at[1], t)] as const })
	};
}

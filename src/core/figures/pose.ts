/**
 * Jointed figures: where the joints are follows from angles and fixed lengths, so that nobody's arm grows between
 * two positions. Degrees, 0 towards the right, 90 up; lengths in hundredths of a body's height, y up from the floor.
 * In the side view the figure looks to the right.
 */
export type Point = readonly [x: number, y: number];

/**
 * Two bones by their angles, or by the place that their end reaches. In the side view elbows and knees bend the one way that
 * they can; from the front `bend` says to which side they point, counted as angles are.
 */
export type Limb = readonly [first: number, second: number] | { to: Point; bend?: 1 | -1 };

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
	/** Height of the hip with the body's weight above `over`: whoever stands, stands balanced. */
	hip?: number;
	over?: number;
	/** How much of the thighs is seen where they come towards the viewer; 1 left out. */
	thigh?: number;
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
const mirrored = (limb: Limb): Limb =>
	isAngles(limb)
		? [180 - limb[0], 180 - limb[1]]
		: { to: [-limb.to[0], limb.to[1]], bend: limb.bend === -1 ? 1 : -1 };

/** Every joint of a pose. `anchor` is the joint that keeps its place. */
export function skeletonOf(pose: Pose, view: View, anchor: Joint): Skeleton {
	const { torso, curve = 0 } = pose;
	const upper = torso + curve;
	const lower = torso - curve;
	const wide = view === 'front';
	const thigh = LENGTHS.thigh * (pose.thigh ?? 1);
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
			rest: readonly [number, number],
			way: 1 | -1
		) => {
			const [a, b] = isAngles(which)
				? which
				: solve
					? reach(from, which.to, first, second, wide ? (which.bend ?? way) : way)
					: rest;
			const joint = along(from, a, first);
			return [joint, along(joint, b, second)] as const;
		};
		const [shoulder1, shoulder2] = [
			across(shoulder, WIDTH.shoulder, 1),
			across(shoulder, WIDTH.shoulder, -1)
		];
		const pelvis = (sign: 1 | -1) => (wide ? along(hip, lower + 90 * sign, WIDTH.hip) : hip);
		const [hip1, hip2] = [pelvis(1), pelvis(-1)];
		const [elbow1, hand1] = limb(shoulder1, pose.arm, LENGTHS.upperArm, LENGTHS.forearm, [90, 90], -1);
		const [elbow2, hand2] = limb(shoulder2, arm2, LENGTHS.upperArm, LENGTHS.forearm, [90, 90], -1);
		const [knee1, ankle1] = limb(hip1, pose.leg, thigh, LENGTHS.shin, [90, 90], 1);
		const [knee2, ankle2] = limb(hip2, leg2, thigh, LENGTHS.shin, [90, 90], 1);
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

	const { hip: height, over } = pose;
	if (height !== undefined && over !== undefined)
		return build([balancedAt((x) => weightOf(build([x, height], true)), over), height], true);
	const loose = build([0, 0], false);
	const lowest = Math.min(...JOINTS.filter((joint) => joint !== 'head').map((joint) => loose[joint][1]));
	const [x, y] = pose.at ?? [0, loose[anchor][1] - lowest + (pose.base ?? 0)];
	return build([x - loose[anchor][0], y - loose[anchor][1]], true);
}

/**
 * Shares of the body's mass: from one joint to another (Winter, Biomechanics and Motor Control of Human Movement, after
 * Dempster; from memory).
 */
const MASS: readonly (readonly [Joint, Joint, number])[] = [
	['shoulder', 'head', 0.081],
	['hip', 'shoulder', 0.497],
	['shoulder1', 'elbow1', 0.028],
	['shoulder2', 'elbow2', 0.028],
	['elbow1', 'hand1', 0.022],
	['elbow2', 'hand2', 0.022],
	['hip1', 'knee1', 0.1],
	['hip2', 'knee2', 0.1],
	['knee1', 'ankle1', 0.061],
	['knee2', 'ankle2', 0.061]
];

/** Where the body's weight lies, sideways. */
export const weightOf = (s: Skeleton): number =>
	MASS.reduce((sum, [a, b, share]) => sum + ((s[a][0] + s[b][0]) / 2) * share, 0);

/** How far the hip may lie from the place that the weight is above. */
const WIDEST = 60;

/** The place of the hip at which the weight lies above a place, by halving. */
function balancedAt(weight: (hip: number) => number, over: number): number {
	let [low, high] = [over - WIDEST, over + WIDEST];
	for (let i = 0; i < 24; i++) {
		const middle = (low + high) / 2;
		if (weight(middle) < over) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}

const between = (a: number, b: number, t: number): number => a + (b - a) * t;
/** −180 … 180. */
const turn = (angle: number): number => ((((angle + 180) % 360) + 360) % 360) - 180;
/** From the least angle that a joint has up to a whole turn more: where its movement has no seam. */
const upFrom = (least: number, angle: number): number => least + ((((angle - least) % 360) + 360) % 360);
const angleOf = (from: Point, to: Point): number =>
	(Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;

/** Angles of two bones as a skeleton has them. */
const anglesIn = (s: Skeleton, joints: readonly [Joint, Joint, Joint]): [number, number] => [
	angleOf(s[joints[0]], s[joints[1]]),
	angleOf(s[joints[1]], s[joints[2]])
];

const LIMBS = {
	arm: ['shoulder1', 'elbow1', 'hand1'],
	arm2: ['shoulder2', 'elbow2', 'hand2'],
	leg: ['hip1', 'knee1', 'ankle1'],
	leg2: ['hip2', 'knee2', 'ankle2']
} as const;
type LimbKey = keyof typeof LIMBS;

/** Degrees from which on a foot that turns is taken to be lifted. */
const LIFTED = 100;

/** The pose on the way from one to another; `t` 0 the first, 1 the second. */
export function poseBetween(a: Pose, b: Pose, t: number, view: View, anchor: Joint): Pose {
	const [from, to] = [skeletonOf(a, view, anchor), skeletonOf(b, view, anchor)];
	const side = view === 'side';
	const number = (key: 'torso' | 'curve' | 'base', fallback: number) =>
		between(a[key] ?? fallback, b[key] ?? fallback, t);
	const [torso, curve] = [number('torso', 90), number('curve', 0)];
	const own = (pose: Pose, key: LimbKey): Limb => {
		const first = key.startsWith('arm') ? pose.arm : pose.leg;
		return key === 'arm' || key === 'leg' ? first : (pose[key] ?? (side ? first : mirrored(first)));
	};
	/** A limb by the bends of its joints, which never leave what a body can do between two poses that keep to it. */
	const bent = (key: LimbKey): Limb => {
		const arm = key.startsWith('arm');
		const bends = (pose: Pose, s: Skeleton): [number, number] => {
			const trunk = (pose.torso ?? 90) + (arm ? (pose.curve ?? 0) : -(pose.curve ?? 0));
			const [first, second] = anglesIn(s, LIMBS[key]);
			return [
				upFrom(arm ? -100 : -60, first - trunk - 180),
				upFrom(-60, arm ? second - first : first - second)
			];
		};
		const [x, y] = [bends(a, from), bends(b, to)];
		const first = torso + (arm ? curve : -curve) + 180 + between(x[0], y[0], t);
		const bend = between(x[1], y[1], t);
		return [first, arm ? first + bend : first - bend];
	};
	const limb = (key: LimbKey): Limb => {
		const [x, y] = [own(a, key), own(b, key)];
		if (!isAngles(x) && !isAngles(y))
			return { to: [between(x.to[0], y.to[0], t), between(x.to[1], y.to[1], t)], bend: y.bend ?? x.bend };
		if (side) return bent(key);
		const [p, q] = [isAngles(x) ? x : anglesIn(from, LIMBS[key]), isAngles(y) ? y : anglesIn(to, LIMBS[key])];
		// As they are written where both are: an arm may go the long way round.
		const far = isAngles(x) && isAngles(y);
		const way = (i: 0 | 1) => (far ? between(p[i], q[i], t) : p[i] + turn(q[i] - p[i]) * t);
		return [way(0), way(1)];
	};
	const neck = (pose: Pose) => (pose.head ?? pose.torso + (pose.curve ?? 0)) - pose.torso - (pose.curve ?? 0);
	const balanced =
		a.hip !== undefined && b.hip !== undefined && a.over !== undefined && b.over !== undefined
			? { hip: between(a.hip, b.hip, t), over: between(a.over, b.over, t) }
			: null;
	const place = (): Partial<Pose> => {
		if (balanced) return balanced;
		if ((a.at && b.at) || a.over !== undefined || b.over !== undefined)
			return {
				at: [between(from[anchor][0], to[anchor][0], t), between(from[anchor][1], to[anchor][1], t)]
			};
		return {};
	};
	const way: Pose = {
		torso,
		curve,
		base: number('base', 0),
		head: torso + curve + between(neck(a), neck(b), t),
		arm: limb('arm'),
		arm2: limb('arm2'),
		leg: limb('leg'),
		leg2: limb('leg2'),
		thigh: between(a.thigh ?? 1, b.thigh ?? 1, t),
		...place()
	};
	const foot = (n: 1 | 2): number => {
		const angles = (s: Skeleton) =>
			[angleOf(s[`knee${n}`], s[`ankle${n}`]), angleOf(s[`ankle${n}`], s[`toe${n}`])] as const;
		const [[shin, sole], [shinThen, soleThen]] = [angles(from), angles(to)];
		const turned = turn(soleThen - sole);
		if (!side || Math.abs(turned) < LIFTED) return sole + turned * t;
		// A foot that is lifted goes along with its shin.
		const [now] = angles(skeletonOf(way, view, anchor));
		const [bend, bendThen] = [upFrom(-120, sole - shin), upFrom(-120, soleThen - shinThen)];
		return now + between(bend, bendThen, t);
	};
	return { ...way, foot: foot(1), foot2: foot(2) };
}

import type { Limb, Pose } from '../pose';
import {
	band,
	BESIDE,
	chair,
	db,
	DOWN,
	facing,
	front,
	low,
	on,
	side,
	split,
	stand,
	STEP2,
	STEPS,
	up,
	wall,
	type Row
} from './row';

/** Steps, jumps and ways on foot; turns of the trunk; what loosens. */
const SWING_A: Limb = [-65, 0];
const SWING_B: Limb = [-125, -70];
/** One knee up, on the other leg. */
const march = (knee: number, arm: Limb, arm2: Limb, more: Partial<Pose> = {}): Pose =>
	up(arm, { arm2, leg: { to: [0, 0] }, leg2: [knee, knee - 84], foot2: -10, ...more });
const marching = (name: string, knee: number, arm: Limb, arm2: Limb): Row =>
	side(
		name,
		march(knee, arm, arm2),
		{ ...march(knee, arm2, arm), leg: [knee, knee - 84], foot: -10, leg2: { to: [0, 0] }, foot2: 0 },
		[],
		{ moves: STEPS }
	);
const stride = (name: string, torso: number, props: Row[1]['props'] = [], hip = 46.5): Row => {
	const one: Pose = {
		hip,
		over: -2,
		torso,
		arm: SWING_B,
		arm2: SWING_A,
		leg: on(14),
		foot: 14,
		leg2: on(-18, 5),
		foot2: -40
	};
	return side(
		name,
		one,
		{ ...one, arm: SWING_A, arm2: SWING_B, leg: on(-18, 5), foot: -40, leg2: on(14), foot2: 14 },
		props,
		{ moves: STEPS }
	);
};
const run = (name: string, torso: number, props: Row[1]['props'] = []): Row => {
	const one: Pose = {
		torso,
		arm: [-130, -50],
		arm2: [-50, 40],
		leg: [-50, -104],
		foot: -10,
		leg2: [-108, -190],
		foot2: 230,
		at: [0, 48]
	};
	return side(
		name,
		one,
		{
			...one,
			arm: [-50, 40],
			arm2: [-130, -50],
			leg: [-108, -190],
			foot: 230,
			leg2: [-50, -104],
			foot2: -10
		},
		props,
		{ moves: STEPS }
	);
};
const HILL = { kind: 'slope', from: [-34, -6], to: [40, 12] } as const;
const hop = (name: string, from: Pose, at: readonly [number, number], props: Row[1]['props'] = []): Row =>
	side(name, from, { torso: 92, arm: [-60, 10], leg: [-84, -98], foot: -56, at }, props, { moves: STEPS });
const TURN = facing({ to: [-26, 66], bend: -1 }, { arm2: { to: [-24, 64], bend: 1 } });
const TURNED = facing({ to: [26, 66], bend: -1 }, { arm2: { to: [28, 68], bend: 1 } });

export const MOVING: Row[] = [
	marching('March on the spot', -20, SWING_A, SWING_B),
	marching('March with arms up', -20, [80, 90], [-90, -80]),
	marching('Fast feet', -50, SWING_A, SWING_B),
	marching('High knees', 0, SWING_A, SWING_B),
	side(
		'Butt kicks',
		up(SWING_A, { arm2: SWING_B, leg2: [-92, -206], foot2: 210 }),
		up(SWING_B, { arm2: SWING_A, leg: [-92, -206], foot: 210, leg2: on(0), foot2: 0 }),
		[],
		{ moves: STEPS }
	),
	side(
		'Standing climber',
		march(0, [84, 92], DOWN),
		{ ...march(0, DOWN, [84, 92]), leg: [0, -84], foot: -10, leg2: on(0), foot2: 0 },
		[],
		{ moves: STEPS }
	),
	front(
		'Step touch',
		facing([-110, -70]),
		facing([-110, -70], { at: [8, 46.5], leg2: { to: [22, 0], bend: 1 } }),
		[],
		{
			moves: STEPS
		}
	),
	front(
		'Step jack',
		facing(BESIDE),
		facing([-220, -242], { at: [7, 46], leg2: { to: [22, 0], bend: 1 } }),
		[],
		{
			moves: STEPS
		}
	),
	front(
		'Jumping jack',
		facing(BESIDE),
		facing([-238, -252], { at: [0, 45], leg: { to: [-20, 0], bend: -1 }, leg2: { to: [20, 0], bend: 1 } }),
		[],
		{ moves: STEPS }
	),
	front(
		'Skater step',
		facing([-130, -60], {
			torso: 84,
			at: [-14, 40],
			arm2: [-60, -20],
			leg: { to: [-14, 0], bend: -1 },
			leg2: { to: [-26, 8], bend: 1 }
		}),
		facing([-120, -160], {
			torso: 96,
			at: [14, 40],
			arm2: [-50, -120],
			leg: { to: [26, 8], bend: -1 },
			leg2: { to: [14, 0], bend: 1 }
		}),
		[],
		{ moves: STEPS }
	),
	front(
		'Skater jump',
		facing([-130, -60], {
			torso: 82,
			at: [-18, 36],
			arm2: [-60, -20],
			leg: { to: [-18, 0], bend: -1 },
			leg2: { to: [-34, 10], bend: 1 }
		}),
		facing([-120, -160], {
			torso: 98,
			at: [18, 36],
			arm2: [-50, -120],
			leg: { to: [34, 10], bend: -1 },
			leg2: { to: [18, 0], bend: 1 }
		}),
		[],
		{ moves: STEPS }
	),
	hop('Rope skip', up([-112, -40]), [0, 58], [band('hand1', 'toe1')]),
	hop('Shadow rope skip', up([-112, -40]), [2, 57]),
	hop('Line hop', up([-80, -20]), [5, 58]),
	hop('Broad jump', low([-140, -120]), [34, 62]),
	stride('Brisk walk', 88),
	stride('Easy walk', 90),
	stride('Hill walk', 80, [HILL]),
	run('Run', 82),
	run('Hill run', 76, [HILL]),
	side(
		'Stair climb',
		{ hip: 44, over: 4, torso: 82, arm: SWING_A, arm2: SWING_B, leg: on(14, 14), leg2: on(-8) },
		{ hip: 58, over: 16, torso: 82, arm: SWING_B, arm2: SWING_A, leg: on(14, 14), leg2: on(34, 28) },
		[
			{ kind: 'step', x: 8, width: 40, height: 14 },
			{ kind: 'step', x: 28, width: 20, height: 28 }
		],
		{ moves: STEP2 }
	),
	side(
		'Boxing on the spot',
		split(45, 88, [-52, 80], { over: -8, leg2: on(-18, 3), foot2: -25, arm2: [-62, 78] }),
		split(45, 84, [2, 2], { over: -8, leg2: on(-18, 3), foot2: -25, arm2: [-62, 78] }),
		[]
	),

	side(
		'Standing bird dog',
		stand(46, 44, on(30, 50), { over: 6, head: 52 }),
		stand(46, 40, on(30, 50), { over: 6, head: 48, arm2: [34, 32], leg2: [214, 214], foot2: -60 }),
		[chair(28)],
		{ moves: STEP2 }
	),
	side(
		'Wall plank',
		{ torso: 68, head: 72, arm: [-40, 78], leg: [-112, -112], foot: -22, at: [18, 47] },
		{ torso: 68, head: 72, arm: [-40, 78], leg: [-112, -112], foot: -22, at: [18, 47] },
		[wall(44)]
	),
	front(
		'Standing side crunch',
		facing([110, 20], { arm2: BESIDE }),
		facing([150, 30], {
			arm2: BESIDE,
			torso: 100,
			curve: 6,
			at: [10, 47.3],
			leg: [-176, -100],
			foot: 240,
			leg2: { to: [6, 0], bend: 1 },
			foot2: -20
		}),
		[],
		{
			moves: ['ankle1', 'toe1']
		}
	),
	side('Band push from the chest', up([-115, 38]), up([2, 0]), [band([-30, 74], 'hand1')]),
	front(
		'Band wood chop',
		facing({ to: [-30, 84], bend: -1 }, { arm2: { to: [-28, 84], bend: 1 } }),
		facing({ to: [16, 46], bend: -1 }, { arm2: { to: [20, 46], bend: 1 } }),
		[band([-44, 110], 'hand1')]
	),
	front(
		'Dumbbell wood chop',
		facing({ to: [-18, 44], bend: -1 }, { arm2: { to: [-14, 44], bend: 1 }, at: [0, 44] }),
		facing({ to: [28, 84], bend: -1 }, { arm2: { to: [32, 84], bend: 1 } }),
		[db('hand1', true)]
	),
	front('Standing band turn', TURN, TURNED, [band([-60, 66], 'hand1')]),

	front('Shoulder rolls', facing([-98, -92]), facing([-112, -82], { curve: 3 })),
	front('Arm circles', facing([200, 200]), facing([140, 140])),
	front(
		'Hip circles',
		facing([-150, -110], {
			arm2: [-80, -88],
			at: [-4, 47.6],
			leg: { to: [-4, 0], bend: -1 },
			leg2: [-70, -110],
			foot2: -60
		}),
		facing([-150, -110], {
			arm2: [-80, -88],
			at: [-6, 47.6],
			leg: { to: [-4, 0], bend: -1 },
			leg2: [-4, -96],
			foot2: -60
		}),
		[chair(-44)]
	),
	side(
		'Leg swing',
		up(on(24, 54), { leg: [-52, -60], foot: 30, leg2: on(0), foot2: 0 }),
		up(on(24, 54), { leg: [-122, -136], foot: -60, leg2: on(0), foot2: 0 }),
		[chair(24)]
	),
	side('Squat to reach', low(on(10, 2), { arm2: on(10, 2) }), low(on(10, 2), { torso: 66, arm2: [84, 88] })),
	side(
		'Lunge with turn',
		split(24, 80, on(8, 2), { torso: 44, head: 56, arm2: on(8, 2) }),
		split(24, 80, on(8, 2), { torso: 52, head: 66, arm2: [60, 64] }),
		[]
	)
];

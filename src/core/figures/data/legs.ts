import {
	AHEAD,
	as,
	band,
	bent,
	chair,
	db,
	DOWN,
	facing,
	front,
	HANG,
	HUG,
	low,
	on,
	pack,
	RACK,
	SEAT,
	seated,
	side,
	split,
	splitLow,
	splitUp,
	stand,
	STEP2,
	STEPS,
	up,
	wall,
	type Row
} from './row';
import type { Limb } from '../pose';
import type { Prop } from '../figure';

/** Squats, lunges, steps, hinges and calves on the feet. Drawn for this library, one after the other. */
const STEP: Prop = { kind: 'step', x: 8, width: 26, height: 16 };
const LOW_STEP: Prop = { kind: 'step', x: 8, width: 26, height: 9 };
const CROSSED: Limb = [-50, 98];

const GOBLET = side('Goblet squat', up(HUG), low([-76, 52]), [db('hand1')]);
const WIDE_UP = facing([-75, 210], {
	at: [0, 44],
	leg: { to: [-20, 0], bend: -1 },
	leg2: { to: [20, 0], bend: 1 }
});
const WIDE_LOW = { ...WIDE_UP, at: [0, 24] as const };
const HANDS_HIGH = { arm: { to: [-1, 62], bend: -1 } as Limb, arm2: { to: [1, 62], bend: 1 } as Limb };
const HANDS_HIGH_LOW = { arm: { to: [-1, 40], bend: -1 } as Limb, arm2: { to: [1, 40], bend: 1 } as Limb };
const SPLIT = side('Split squat', splitUp(DOWN), splitLow(DOWN));
const LUNGE = side('Reverse lunge', up(), splitLow(DOWN), [], { moves: STEP2 });
const LOADED_LUNGE = side('Dumbbell reverse lunge', up(HANG), splitLow(HANG), [db('hand1', true)], {
	moves: STEP2
});
const step = (height: number, arm: Limb, top: Limb = arm) =>
	[
		{ hip: 43, over: 4, torso: 82, arm, leg: { to: [14, height] }, leg2: { to: [-8, 0] } },
		{
			hip: 47.6 + height,
			over: 16,
			torso: 90,
			arm: top,
			leg: { to: [14, height] },
			leg2: { to: [13, height] }
		}
	] as const;
const stepUp = (name: string, height: number, props: Prop[], arm: Limb = DOWN, top?: Limb): Row => {
	const [start, end] = step(height, arm, top);
	return side(name, { ...start, arm }, end, props, { moves: STEP2 });
};
const RDL = side('Romanian deadlift', up(HANG), bent([-94, -90]), [db('hand1')]);
const SWING = side('Swing', stand(38, 34, [-128, -124], { head: 44 }), up([-2, 0], { torso: 93 }), [
	db('hand1')
]);
/** On the toes, which stay where they are. */
const toes = (arm: Limb, at = 0): ReturnType<typeof up> =>
	stand(53, 90, arm, { leg: { to: [2.5, 5.4 + at] }, foot: -50, over: 8 });
const CALF = side('Calf raise', up(on(22, 66)), toes(on(22, 71)), [wall(24)]);
const SIDE_STEP = facing([-75, 210], {
	at: [0, 40],
	leg: { to: [-12, 0], bend: -1 },
	leg2: { to: [12, 0], bend: 1 }
});

const SIDE_LUNGE = front(
	'Side lunge',
	facing([-75, 210], { leg: { to: [-6, 0], bend: -1 }, leg2: { to: [6, 0], bend: 1 } }),
	{
		torso: 96,
		arm: [-75, 210],
		arm2: [255, -30],
		at: [-24, 28],
		leg: { to: [-30, 0], bend: -1 },
		leg2: { to: [14, 0], bend: 1 }
	},
	[],
	{ moves: STEPS }
);

export const LEGS: Row[] = [
	side('Sit to chair', up(AHEAD), stand(28, 60, AHEAD, { head: 72, over: -2 }), [chair(-36)]),
	side('Half squat', up(on(22, 50)), stand(38, 74, on(22, 50)), [chair(22)]),
	side('Squat', up([-60, -20]), low()),
	side('Slow squat', up([-60, -20]), low()),
	GOBLET,
	side('Backpack squat', up([-55, 60]), low([-62, 40]), [pack('chest')]),
	side('Band squat', up(RACK), low([-62, 72]), [band('ankle1', 'hand1')]),
	side('Front squat', up(RACK), low([-42, 95]), [db('hand1')]),
	front('Wide squat', WIDE_UP, WIDE_LOW),
	front('Wide goblet squat', { ...WIDE_UP, ...HANDS_HIGH }, { ...WIDE_LOW, ...HANDS_HIGH_LOW }, [
		db('hand1')
	]),
	front(
		'Squat with band at the knees',
		{ ...WIDE_UP, at: [0, 46], leg: { to: [-11, 0], bend: -1 }, leg2: { to: [11, 0], bend: 1 } },
		{ ...WIDE_UP, at: [0, 28], leg: { to: [-11, 0], bend: -1 }, leg2: { to: [11, 0], bend: 1 } },
		[{ kind: 'loop', from: 'knee1', to: 'knee2' }]
	),
	side('Pulse squat', stand(34, 66, [-50, 60], { head: 78 }), low([-60, 55])),
	side(
		'Wall sit',
		{ torso: 90, arm: DOWN, leg: { to: [25, 0] }, at: [0, 38] },
		{ torso: 90, arm: [-80, -40], leg: { to: [25, 0] }, at: [0, 25] },
		[wall(-5)]
	),
	side(
		'Single-leg wall sit',
		{ torso: 90, arm: [-80, -40], leg: { to: [25, 0] }, at: [0, 27] },
		{ torso: 90, arm: [-80, -40], leg: { to: [25, 0] }, leg2: [0, -12], foot2: 70, at: [0, 27] },
		[wall(-5)]
	),
	side(
		'Single-leg sit to chair',
		up([-30, -10], { leg2: [-50, -62], foot2: 20 }),
		stand(28, 58, AHEAD, { head: 70, over: -2, leg2: [14, -8], foot2: 60 }),
		[chair(-36)]
	),
	side(
		'Jump squat',
		low([-130, -110]),
		{ torso: 92, arm: [-120, -100], leg: [-88, -92], foot: -60, at: [0, 66] },
		[],
		{ moves: STEPS }
	),
	side('Supported split squat', splitUp({ to: [14, 50] }), splitLow({ to: [14, 50] }), [chair(14)]),
	SPLIT,
	side('Dumbbell split squat', splitUp(HANG), splitLow(HANG), [db('hand1', true)]),
	side(
		'Rear foot raised split squat',
		split(42, 84, DOWN, { over: -4, leg2: { to: [-34, 27] }, foot2: 190 }),
		split(25, 74, DOWN, { over: -4, leg2: { to: [-34, 27] }, foot2: 190 }),
		[chair(-52)]
	),
	LUNGE,
	LOADED_LUNGE,
	side('Backpack reverse lunge', up(), splitLow(DOWN), [pack('back')], { moves: STEP2 }),
	side(
		'Forward lunge',
		up(DOWN, { over: -32, leg: { to: [-34.5, 0] } }),
		split(22, 88, DOWN, { leg2: { to: [-32.8, 6.8] }, foot2: -75 }),
		[],
		{ moves: STEPS }
	),
	side(
		'Walking lunge',
		splitLow(DOWN),
		split(22, 88, DOWN, { over: 24, leg: { to: [1.7, 6.8] }, foot: -75, leg2: { to: [38, 0] }, foot2: 0 }),
		[],
		{ moves: STEPS }
	),
	SIDE_LUNGE,
	as(SIDE_LUNGE, 'Dumbbell side lunge', [db('hand1')]),
	front(
		'Curtsy lunge',
		facing([-75, 210]),
		{
			torso: 92,
			arm: [-75, 210],
			at: [-2, 30],
			leg: { to: [-6, 0], bend: -1 },
			leg2: { to: [-24, 3], bend: 1 },
			foot2: 250
		},
		[],
		{ moves: STEPS }
	),
	side(
		'Jump lunge',
		splitLow(DOWN),
		split(56, 90, [-60, 0], {
			over: -14,
			leg: [-70, -84],
			leg2: [-110, -130],
			arm2: [-130, -110],
			foot: -30
		}),
		[],
		{ moves: STEPS }
	),

	stepUp('Low step-up', 9, [LOW_STEP]),
	stepUp('Step-up', 16, [STEP]),
	stepUp('Dumbbell step-up', 16, [STEP, db('hand1', true)], HANG),
	stepUp('Backpack step-up', 16, [STEP, pack('back')]),
	stepUp('Step-up and press', 16, [STEP, db('hand1')], RACK, [84, 92]),
	stepUp('Step hop', 9, [LOW_STEP], [-60, 0]),
	side(
		'Step-down',
		{ hip: 56.8, over: -6, torso: 90, arm: on(12, 70), leg: { to: [-8, 9] }, leg2: { to: [-6, 9] } },
		{
			hip: 44,
			over: -6,
			torso: 80,
			arm: on(12, 66),
			leg: { to: [-8, 9] },
			leg2: { to: [10, 1] },
			foot2: 10
		},
		[{ kind: 'step', x: -20, width: 20, height: 9 }, wall(14)],
		{ moves: STEP2 }
	),
	front(
		'Lateral step-up',
		{
			torso: 90,
			arm: [-75, 210],
			at: [2, 46],
			leg: { to: [-10, 9], bend: -1 },
			leg2: { to: [10, 0], bend: 1 }
		},
		{
			torso: 90,
			arm: [-75, 210],
			at: [-8, 56],
			leg: { to: [-12, 9], bend: -1 },
			leg2: { to: [-3, 9], bend: 1 }
		},
		[{ kind: 'step', x: -20, width: 22, height: 9 }],
		{ moves: STEP2 }
	),

	CALF,
	side(
		'Calf raise on a step',
		up(on(22, 72), { hip: 55, leg: { to: [1, 6] }, foot: 30, over: 6 }),
		stand(62.5, 90, on(22, 80), { leg: { to: [3, 14] }, foot: -40, over: 7 }),
		[{ kind: 'step', x: 4, width: 16, height: 9 }, wall(24)],
		{ moves: STEPS }
	),
	side(
		'Single-leg calf raise',
		up(on(22, 66), { leg2: [-84, -170], foot2: 200 }),
		stand(53, 90, on(22, 71), {
			leg: { to: [2.5, 5.4] },
			foot: -50,
			over: 8,
			leg2: [-84, -170],
			foot2: 200
		}),
		[wall(24)]
	),
	side('Loaded calf raise', up(HANG, { arm2: on(22, 66) }), { ...toes(HANG), arm2: on(22, 71) }, [
		wall(24),
		db('hand1', true)
	]),
	side(
		'Toe raise',
		{ torso: 90, arm: DOWN, leg: [-86, -86], at: [-3, 47.7] },
		{ torso: 90, arm: DOWN, leg: [-86, -86], foot: 32, at: [-3, 47.7] },
		[wall(-8)]
	),

	front(
		'Standing leg raise to the side',
		facing([-150, -120], { arm2: [-80, -88], leg: { to: [-4, 0], bend: -1 } }),
		facing([-150, -120], {
			arm2: [-80, -86],
			torso: 93,
			at: [-4, 47.6],
			leg: { to: [-4, 0], bend: -1 },
			leg2: [-52, -52],
			foot2: 0
		}),
		[chair(-44)]
	),
	front(
		'Band side step',
		SIDE_STEP,
		{ ...SIDE_STEP, at: [9, 38], leg2: { to: [32, 0], bend: 1 } },
		[{ kind: 'loop', from: 'knee1', to: 'knee2' }],
		{ moves: STEPS }
	),

	side('Wall hinge', up(CROSSED), stand(44, 32, [-108, 40], { head: 40 }), [wall(-22)]),
	side('Hip hinge', up(CROSSED), bent([-116, 32])),
	side(
		'Hip hinge with broomstick',
		up([40, 185], { arm2: [-120, -60] }),
		bent([-26, 119], 24, { arm2: [174, -126] }),
		[band('head', 'hip')]
	),
	RDL,
	side('Band deadlift', up([-88, -86]), bent([-96, -92], 28), [band('ankle1', 'hand1')]),
	side('Backpack deadlift', up([-86, -82]), stand(36, 34, [-92, -88], { head: 46 }), [pack('hand1')]),
	side('Suitcase deadlift', up(HANG), stand(31, 44, [-92, -90], { head: 56 }), [db('hand1', true)]),
	side(
		'Staggered deadlift',
		up(HANG, { leg2: { to: [-12, 4] }, foot2: -40 }),
		bent([-94, -90], 24, { leg2: { to: [-12, 4] }, foot2: -40 }),
		[db('hand1')]
	),
	side(
		'Single-leg hinge',
		up(on(28, 66)),
		bent(on(28, 62), 14, { hip: 46, leg2: [190, 190], foot2: -80 }),
		[wall(30)],
		{ moves: STEP2 }
	),
	side(
		'Single-leg deadlift',
		up(HANG),
		bent([-92, -90], 12, { hip: 46, leg2: [188, 188], foot2: -80 }),
		[db('hand1', true)],
		{ moves: STEP2 }
	),
	side('Good morning', up([-60, 90]), bent([-126, 24], 26), [band('ankle1', 'hand1')]),
	SWING,
	as(SWING, 'Backpack swing', [pack('hand1')]),
	side('Swing to shoulder', stand(38, 34, [-128, -124], { head: 44 }), up(RACK), [db('hand1')]),
	side('Pull-through', bent([-128, -124], 30), up([-100, -96]), [band([-44, 14], 'hand1')]),
	side(
		'Seated knee extension',
		seated(),
		seated([-84, -40], { leg: [-4, -6], foot: 84, foot2: 0, leg2: { to: [23, 0] } }),
		[SEAT]
	)
];

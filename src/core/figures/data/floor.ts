import type { Limb } from '../pose';
import {
	ALONG,
	as,
	back,
	band,
	bridge,
	chair,
	db,
	fours,
	front,
	HANG,
	kneel,
	line,
	MAT,
	on,
	onSide,
	pack,
	prone,
	side,
	STEP2,
	STEPS,
	up,
	type Row
} from './row';

/** On the back, the front, the side, on hands and knees, and from the bar. */
const BRIDGE = side('Glute bridge', back(), bridge(), [MAT]);
/** In a push-up the hands stand under the lower chest: at the bottom the forearm is upright and the elbow points to the feet. */
const HANDS = on(66);
const HIGH = line(17.8, HANDS);
const PUSH_UP = side('Push-up', HIGH, line(1.5, HANDS, { head: 8 }), [MAT], { anchor: 'ankle1' });
const KNEES = (slope: number, arm: Limb) => ({
	torso: slope,
	head: slope + 6,
	arm,
	leg: [slope + 180, 152] as const,
	foot: 152,
	at: [0, 2] as const
});
const PRESS = side('Floor press', back([-12, 90]), back([90, 90]), [MAT, db('hand1')]);
const DEAD_BUG = side(
	'Dead bug',
	back([88, 92], { leg: [90, 0], foot: 70 }),
	back([88, 92], { arm2: [166, 170], leg: [90, 0], leg2: [14, 6], foot: 70, foot2: 70 }),
	[MAT]
);
const PLANK = line(6.6, [-90, 0]);
const HANGING = { torso: 90, arm: on(0, 112), leg: [-88, -112] as const, foot: -70, at: [0, 51] as const };
const PULLED = {
	...HANGING,
	torso: 104,
	head: 100,
	leg: [-84, -128] as const,
	foot: -80,
	at: [1, 71] as const
};
const BAR = { kind: 'bar', x: 0, y: 112 } as const;
const PULL_UP = side('Pull-up', HANGING, PULLED, [BAR]);
const CRUNCHED = { torso: 172, curve: -20, head: 126 };
/** Forearm on the floor under the shoulder, seen from the front. */
const SIDE_LOW = onSide({
	torso: 39,
	head: 40,
	arm2: [-90, 0],
	leg: [184, 184],
	leg2: [182, 182],
	at: [47, 6.5]
});
const SIDE_HIGH = onSide({
	torso: 16,
	head: 20,
	arm: [200, 200],
	arm2: [-90, 0],
	leg: [196, 196],
	leg2: [196, 196],
	at: [46.2, 18.5]
});
const THRUST = (at: readonly [number, number], torso: number, arm: Limb) => ({
	torso,
	head: torso - 14,
	arm,
	leg: on(22),
	at
});
const HIPS = side('Hip thrust', THRUST([0, 8], 138, [-70, -20]), THRUST([-1, 27], 180, [-30, -8]), [
	chair(-42)
]);
const CROUCH = { torso: 19, head: 8, arm: on(66), leg: on(30, 6), foot: -62, at: [38, 22] as const };

export const FLOOR: Row[] = [
	BRIDGE,
	side('Glute bridge march', bridge(), bridge(ALONG, { leg2: [70, -40], foot2: 30 }), [MAT], {
		moves: STEP2
	}),
	as(BRIDGE, 'Loaded glute bridge', [MAT, db('hip')]),
	as(BRIDGE, 'Band glute bridge', [MAT, { kind: 'loop', from: 'knee1', to: 'hip' }]),
	side(
		'Single-leg bridge',
		back(ALONG, { leg2: [44, 40], foot2: 120 }),
		bridge(ALONG, { leg2: [22, 22], foot2: 105 }),
		[MAT]
	),
	HIPS,
	as(HIPS, 'Loaded hip thrust', [chair(-42), db('hip')]),
	side(
		'Towel leg curl',
		bridge(),
		{ torso: 187, head: 176, arm: ALONG, leg: on(44, 2), foot: 80, at: [-0.4, 7] },
		[MAT],
		{ moves: STEPS }
	),
	side(
		'Kneeling lean back',
		{ torso: 90, arm: [-20, -10], leg: [-90, 180], foot: 180, at: [0, 1.5] },
		{ torso: 106, arm: [0, 4], leg: [-74, 180], foot: 180, at: [0, 1.5] },
		[MAT],
		{ anchor: 'knee1' }
	),
	side('Donkey kick', fours(), fours({ leg: [178, 96], foot: 170, leg2: [-90, 180], foot2: 180 }), [MAT], {
		moves: ['ankle1', 'toe1', 'knee1']
	}),

	side('Knee push-up', KNEES(33.6, on(41.5)), KNEES(6.4, on(41.5)), [MAT], { anchor: 'knee1' }),
	PUSH_UP,
	side('Slow push-up', PUSH_UP[1].start, PUSH_UP[1].end, [MAT], { anchor: 'ankle1' }),
	side('Hand-release push-up', HIGH, line(-1.5, on(66, 3), { head: 4 }), [MAT], {
		anchor: 'ankle1',
		moves: ['hand1', 'hand2']
	}),
	side(
		'Feet-raised push-up',
		line(-1, on(73), { at: [0, 33], foot: -80 }),
		line(-17, on(73), { at: [0, 33], foot: -92, head: -10 }),
		[chair(-10)],
		{ anchor: 'ankle1' }
	),
	side('Narrow push-up', line(18, on(67)), line(1.5, on(67), { head: 8 }), [MAT], { anchor: 'ankle1' }),
	as(PUSH_UP, 'Backpack push-up', [MAT, pack('back')]),
	side(
		'Hips-high push-up',
		{ torso: -44, head: -50, arm: on(62), leg: on(0, 5), foot: -45, at: [20, 46] },
		{ torso: -58, head: -60, arm: on(62), leg: on(0, 5), foot: -45, at: [28, 42] },
		[MAT]
	),
	PRESS,
	side('One-arm floor press', back([-12, 90], { arm2: ALONG }), back([90, 90], { arm2: ALONG }), [
		MAT,
		db('hand1')
	]),
	side('Chest fly', back([86, 94]), back([-10, 16]), [MAT, db('hand1')]),
	side('Bridge and press', bridge([-4, 90]), bridge([90, 90]), [MAT, db('hand1')]),
	side('Pullover', back([86, 92]), back([164, 172]), [MAT, db('hand1')]),
	side('Lying triceps press', back([100, 190]), back([92, 96]), [MAT, db('hand1')]),

	side(
		'Table row',
		{ torso: 158, head: 158, arm: on(-27.8, 62.5), leg: on(44.5, 2), foot: 70, at: [0, 20] },
		{ torso: 145.7, head: 146, arm: on(-27.8, 62.5), leg: on(44.5, 2), foot: 66, at: [4.8, 29] },
		[{ kind: 'table', x: -42, width: 40, height: 63 }]
	),
	side('Plank row', HIGH, line(17.8, [188, -84], { arm2: HANDS }), [MAT, db('hand1'), db('hand2')], {
		anchor: 'ankle1',
		moves: ['hand1']
	}),
	side('Band pull-down', kneel(90, [74, 84]), kneel(92, [-84, 58]), [MAT, band([24, 104], 'hand1')]),
	side('Dead hang', HANGING, HANGING, [BAR]),
	as(PULL_UP, 'Assisted pull-up', [BAR, band([0, 112], 'ankle1')]),
	side('Slow lowering from the bar', PULLED, HANGING, [BAR]),
	PULL_UP,
	// Seen from above: the arms go wide of the body.
	front(
		'Lying reach and pull',
		{ torso: 90, at: [0, 50], arm: [100, 96], leg: [-92, -91] },
		{
			torso: 90,
			at: [0, 50],
			arm: { to: [-22, 78], bend: -1 },
			arm2: { to: [22, 78], bend: 1 },
			leg: [-92, -91]
		},
		[{ kind: 'step', x: -26, width: 52, height: 112 }]
	),

	side(
		'Bird dog',
		fours(),
		fours({ arm: [10, 8], arm2: on(29), leg: [-90, 180], leg2: [184, 184], foot2: -95 }),
		[MAT],
		{
			moves: ['ankle2', 'toe2', 'knee2', 'hand1']
		}
	),
	side(
		'Bird dog row',
		fours({ arm: [-90, -88], arm2: on(29), leg2: [184, 184], foot2: -95 }),
		fours({ arm: [186, -90], arm2: on(29), leg2: [184, 184], foot2: -95 }),
		[MAT, db('hand1')],
		{ moves: ['hand1'] }
	),
	side('Cat and camel', fours({ curve: -22, head: -46 }), fours({ curve: 16, head: 50 }), [MAT]),
	DEAD_BUG,
	as(DEAD_BUG, 'Loaded dead bug', [MAT, db('hand1')]),
	side('Heel slide', back(), back(ALONG, { leg2: on(46, 0.5), foot2: 80 }), [MAT], { moves: STEP2 }),
	side(
		'Hollow hold',
		back(),
		{ torso: 166, curve: -6, head: 150, arm: [148, 152], leg: [16, 14], foot: 40, at: [0, 3.5] },
		[MAT],
		{
			moves: STEPS
		}
	),
	side('Leg lowering', back(ALONG, { leg: [88, 84], foot: 160 }), back(ALONG, { leg: [24, 22], foot: 100 }), [
		MAT
	]),
	side('Half crunch', back([-20, 112], { head: 168 }), back([8, 24], CRUNCHED), [MAT]),
	side('Crunch with reach', back([4, 6], { head: 168 }), back([20, 30], { ...CRUNCHED, curve: -26 }), [MAT]),
	side(
		'Bicycle crunch',
		back([70, 200], { ...CRUNCHED, leg: [100, -10], foot: 70, leg2: [20, 16], foot2: 90 }),
		back([70, 200], { ...CRUNCHED, leg: [20, 16], foot: 90, leg2: [100, -10], foot2: 70 }),
		[MAT]
	),
	side(
		'Get-up to sitting',
		back([90, 90], { arm2: [-4, 70], leg: on(26), leg2: [6, 0], foot2: 84 }),
		{
			torso: 112,
			head: 100,
			arm: [92, 92],
			arm2: [-120, -80],
			leg: on(26),
			leg2: [4, -2],
			foot2: 84,
			at: [0, 4]
		},
		[MAT, db('hand1')],
		{ moves: ['hand2'] }
	),

	side('Knee plank', KNEES(16, [-90, 0]), KNEES(16, [-90, 0]), [MAT], { anchor: 'knee1' }),
	side('Plank', PLANK, PLANK, [MAT], { anchor: 'ankle1' }),
	side('Plank with shoulder tap', HIGH, line(17.8, [-50, 100], { arm2: HANDS }), [MAT], {
		anchor: 'ankle1',
		moves: ['hand1']
	}),
	side('Long plank', line(15.5, on(90)), line(15.5, on(90)), [MAT], { anchor: 'ankle1' }),
	side(
		'Chair plank',
		line(41, on(54, 27), { at: [0, 6.2], foot: -62 }),
		line(41, on(54, 27), { at: [0, 6.2], foot: -62 }),
		[chair(52, 'left')],
		{
			anchor: 'ankle1'
		}
	),
	front('Side plank', SIDE_LOW, SIDE_HIGH, [MAT]),
	front(
		'Knee side plank',
		onSide({ torso: 39, head: 40, arm2: [-90, 0], leg: [184, 176], leg2: [182, 178], at: [47, 6.5] }),
		onSide({ torso: 24, head: 26, arm2: [-90, 0], leg: [206, 176], leg2: [206, 178], at: [46, 15.5] }),
		[MAT]
	),
	front('Side plank with leg raise', SIDE_HIGH, { ...SIDE_HIGH, leg: [168, 168], foot: 90 }, [MAT]),
	front('Side-lying leg raise', onSide(), onSide({ leg: [148, 148], foot: 70 }), [MAT]),
	front(
		'Clamshell',
		onSide({ leg: [184, 176], leg2: [182, 177] }),
		onSide({ leg: [146, 212], leg2: [182, 177] }),
		[MAT]
	),
	front(
		'Band clamshell',
		onSide({ leg: [184, 176], leg2: [182, 177] }),
		onSide({ leg: [146, 212], leg2: [182, 177] }),
		[MAT, { kind: 'loop', from: 'knee1', to: 'knee2' }]
	),
	front(
		'Side-lying inner thigh raise',
		onSide({ leg: [160, 226], leg2: [180, 180] }),
		onSide({ leg: [160, 226], leg2: [164, 164], foot2: 90 }),
		[MAT]
	),
	side('Back extension', prone([184, 188]), prone([190, 194], { torso: 8, curve: 10, head: 22 }), [MAT]),
	side(
		'Swimmer',
		prone([14, 12], { arm2: [2, 4], torso: 6, curve: 4, leg2: [172, 172], foot2: 190 }),
		prone([2, 4], { arm2: [14, 12], torso: 6, curve: 4, leg: [172, 172], foot: 190 }),
		[MAT],
		{ moves: ['hand1', 'hand2', 'ankle1', 'ankle2', 'toe1', 'toe2', 'knee1', 'knee2'] }
	),
	side(
		'Bear hold',
		fours({ leg: on(-22, 7), foot: -80 }),
		fours({ at: [0, 28.5], torso: 7, head: 6, leg: on(-22, 7), foot: -80 }),
		[MAT]
	),
	side(
		'Bear crawl',
		fours({
			at: [0, 28.5],
			torso: 7,
			head: 6,
			arm: on(29),
			arm2: on(37),
			leg: on(-22, 7),
			foot: -80,
			leg2: on(-14, 7),
			foot2: -80
		}),
		fours({
			at: [4, 28.5],
			torso: 7,
			head: 6,
			arm: on(41),
			arm2: on(37),
			leg: on(-22, 7),
			foot: -80,
			leg2: on(-10, 7),
			foot2: -80
		}),
		[MAT],
		{ moves: [...STEPS, 'hand1', 'hand2'] }
	),
	side(
		'Mountain climber',
		line(17.8, HANDS, { leg: on(0, 7), leg2: on(36, 6), foot2: -60, at: [45.7, 21.7] }),
		line(17.8, HANDS, { leg: on(36, 6), foot: -60, leg2: on(0, 7), foot2: -90, at: [45.7, 21.7] }),
		[MAT],
		{
			anchor: 'hip',
			moves: STEPS
		}
	),
	side(
		'Incline climber',
		line(41, on(54, 27), { at: [36.2, 37.7], leg: on(0, 6.2), foot: -62, leg2: on(40, 20), foot2: -38 }),
		line(41, on(54, 27), { at: [36.2, 37.7], leg: on(40, 20), foot: -38, leg2: on(0, 6.2), foot2: -62 }),
		[chair(52, 'left')],
		{ anchor: 'hip', moves: STEPS }
	),
	side('Squat thrust', CROUCH, line(17.8, HANDS, { leg: on(0, 7), at: [45.7, 21.7] }), [], { moves: STEPS }),
	side(
		'Squat thrust with jump',
		line(17.8, HANDS, { leg: on(0, 7), at: [45.7, 21.7] }),
		{ torso: 92, arm: [84, 92], leg: on(50, 14.5), foot: -60, at: [50, 62] },
		[],
		{ moves: [...STEPS, 'hand1', 'hand2'] }
	),
	side(
		'Chair squat thrust',
		{ torso: 24, head: 18, arm: on(54, 27), leg: on(30, 3), foot: -25, at: [24, 30] },
		line(41, on(54, 27), { leg: on(0, 6.2), at: [36.2, 37.7], foot: -62 }),
		[chair(52, 'left')],
		{ moves: STEPS }
	),
	side(
		'Inchworm',
		{ torso: -34, head: -52, arm: on(26), leg: on(0), at: [-4, 46] },
		line(17.8, HANDS, { leg: on(0, 7), at: [45.7, 21.7] }),
		[],
		{ moves: [...STEPS, 'hand1', 'hand2'] }
	),
	front(
		'Open book',
		onSide({ arm: [30, 20], leg: [186, 176], leg2: [182, 178] }),
		onSide({ arm: [120, 120], leg: [186, 176], leg2: [182, 178], head: 40 }),
		[MAT]
	),
	side(
		'Thread the needle',
		fours(),
		{ ...fours(), torso: 4, curve: -12, head: -30, arm: [-40, -4], arm2: on(29), at: [0, 25] },
		[MAT],
		{
			moves: ['hand1']
		}
	),
	side(
		'Lunge and curl',
		up(HANG),
		{ hip: 22, over: -14, torso: 86, arm: [-88, 60], leg: on(0), leg2: on(-36.3, 6.8), foot2: -75 },
		[db('hand1')],
		{
			moves: STEP2
		}
	)
];

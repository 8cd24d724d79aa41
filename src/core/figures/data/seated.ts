import type { Limb } from '../pose';
import { band, bottle, chair, front, MAT, on, SEAT, seated, seatedFront, side, STOOL, type Row } from './row';

/** On a chair, and sitting on the floor. */
const FLOOR_SEATED = (arm: Limb, torso = 88) => ({
	torso,
	arm,
	leg: [2, -4] as const,
	foot: 82,
	at: [0, 4] as const
});
const AT_THE_SIDES: Limb = [-104, -94];
const FRONT_LAP: Limb = { to: [-10, 36], bend: -1 };

export const SEATED: Row[] = [
	side(
		'Seated march',
		seated([-84, -40], { leg2: [32, -76] }),
		seated([-84, -40], { leg: [32, -76], leg2: { to: [23, 0] } }),
		[SEAT],
		{ moves: ['ankle1', 'ankle2', 'toe1', 'toe2'] }
	),
	side(
		'Seated knee lift',
		seated(),
		seated([-84, -40], { torso: 92, leg: [38, -78], leg2: { to: [23, 0] } }),
		[SEAT]
	),
	side('Seated lean back', seated([-30, -10]), seated([-20, 0], { torso: 112, head: 104 }), [SEAT]),
	side('Seated calf raise', seated(), seated([-84, -40], { leg: on(24.5, 5.4), foot: -50 }), [SEAT]),
	side('Seated toe raise', seated(), seated([-84, -40], { foot: 34 }), [SEAT]),
	side(
		'Seated heel dig',
		seated([-84, -40], { leg: on(28, 0), foot: 30 }),
		seated([-84, -40], { torso: 93, leg: on(28, 0), foot: 30 }),
		[SEAT]
	),
	front(
		'Seated band press-out',
		seatedFront(FRONT_LAP, { arm2: { to: [10, 36], bend: 1 } }),
		seatedFront(FRONT_LAP, {
			arm2: { to: [10, 36], bend: 1 },
			leg: [-130, -84],
			leg2: [-50, -96]
		}),
		[STOOL, { kind: 'loop', from: 'knee1', to: 'knee2' }],
		{ moves: ['ankle1', 'ankle2', 'toe1', 'toe2'] }
	),
	front(
		'Seated knee squeeze',
		seatedFront(FRONT_LAP, { arm2: { to: [10, 36], bend: 1 }, leg: [-120, -86], leg2: [-60, -94] }),
		seatedFront(FRONT_LAP, { arm2: { to: [10, 36], bend: 1 }, leg: [-96, -94], leg2: [-84, -86] }),
		[STOOL, { kind: 'loop', from: 'knee1', to: 'knee2' }],
		{ moves: ['ankle1', 'ankle2', 'toe1', 'toe2'] }
	),
	side('Seated band chest press', seated([-140, 6]), seated([0, 2]), [SEAT, band([-12, 52], 'hand1')]),
	front(
		'Seated palm press',
		seatedFront({ to: [-1, 50], bend: -1 }, { arm2: { to: [1, 50], bend: 1 } }),
		seatedFront({ to: [-1, 54], bend: -1 }, { arm2: { to: [1, 54], bend: 1 } }),
		[STOOL]
	),
	side(
		'Seated band row',
		seated([-12, -8], { leg: on(30, 0), foot: 20 }),
		seated([-142, 4], { leg: on(30, 0), foot: 20 }),
		[SEAT, band('ankle1', 'hand1')]
	),
	side(
		'Seated towel row',
		seated([-24, -16], { leg: [4, -26], foot: 66, leg2: on(23, 0), foot2: 0 }),
		seated([-136, 4], { leg: [4, -22], foot: 70, leg2: on(23, 0), foot2: 0 }),
		[SEAT, band('ankle1', 'hand1')]
	),
	side(
		'Towel curl',
		seated([-80, -40], { leg: [10, -40], foot: 50, leg2: on(23, 0), foot2: 0 }),
		seated([-80, 40], { leg: [22, -40], foot: 50, leg2: on(23, 0), foot2: 0 }),
		[SEAT, band('ankle1', 'hand1')]
	),
	front('Seated bottle lateral raise', seatedFront([-100, -94]), seatedFront([-176, -182]), [
		STOOL,
		bottle('hand1'),
		bottle('hand2')
	]),
	front(
		'Seated step jack',
		seatedFront([-100, -92]),
		seatedFront([-210, -230], { leg: [-140, -105], leg2: [-40, -75] }),
		[STOOL],
		{ moves: ['ankle1', 'ankle2', 'toe1', 'toe2'] }
	),
	front('Seated arm circles', seatedFront([200, 200]), seatedFront([140, 140]), [STOOL]),
	front(
		'Seated hip turn',
		seatedFront(FRONT_LAP, { arm2: { to: [10, 36], bend: 1 } }),
		seatedFront(FRONT_LAP, { arm2: { to: [10, 36], bend: 1 }, leg: [-160, -80] }),
		[STOOL],
		{ moves: ['ankle1', 'toe1'] }
	),
	side(
		'Ankle circles',
		seated([-84, -40], { leg: [6, -30], foot: 40, leg2: on(23, 0), foot2: 0 }),
		seated([-84, -40], { leg: [6, -30], foot: -22, leg2: on(23, 0), foot2: 0 }),
		[SEAT]
	),
	side(
		'Seated cat and camel',
		seated(on(20, 27), { torso: 88, curve: -24, head: 30 }),
		seated(on(20, 27), { torso: 86, curve: 14, head: 118 }),
		[SEAT]
	),
	side('Seated fold', seated(), seated([-92, -88], { torso: 22, curve: -26, head: -50 }), [SEAT]),
	front(
		'Seated twist',
		seatedFront([-110, -60]),
		seatedFront({ to: [-20, 40], bend: -1 }, { arm2: { to: [-12, 38], bend: 1 }, torso: 92 }),
		[STOOL]
	),
	side(
		'Seated hamstring stretch',
		seated([-60, -30], { leg: on(42, 0), foot: 70, leg2: on(20, 0), foot2: 0 }),
		seated([-60, -30], { torso: 58, head: 66, leg: on(42, 0), foot: 70, leg2: on(20, 0), foot2: 0 }),
		[chair(-10)]
	),
	side(
		'Seated figure four',
		seated([-60, -20], { leg: [10, -20], foot: 60, leg2: on(23, 0), foot2: 0 }),
		seated([-70, -30], { torso: 66, head: 74, leg: [10, -20], foot: 60, leg2: on(23, 0), foot2: 0 }),
		[SEAT]
	),
	side('Seated chest stretch', seated(), seated([-146, -128], { torso: 96, head: 104 }), [SEAT]),
	front(
		'Seated side bend',
		seatedFront([-100, -94], { arm2: [80, 90] }),
		seatedFront([-106, -92], { arm2: [112, 132], torso: 100, curve: 10, head: 122 }),
		[STOOL]
	),
	side(
		'Seated calf stretch',
		seated([-40, -10], { leg: [-6, -12], foot: 70, leg2: on(20, 0), foot2: 0 }),
		seated([-50, 4], { leg: [-6, -12], foot: 100, leg2: on(20, 0), foot2: 0 }),
		[SEAT, band('toe1', 'hand1')]
	),
	front('Neck side stretch', seatedFront(AT_THE_SIDES), seatedFront(AT_THE_SIDES, { head: 128 }), [STOOL]),

	side(
		'Russian twist',
		{ ...FLOOR_SEATED([-50, 20], 112), leg: { to: [30, 0] }, foot: 0 },
		{ ...FLOOR_SEATED([-84, 10], 112), leg: { to: [30, 0] }, foot: 0 },
		[MAT, { kind: 'dumbbell', at: 'hand1' }]
	),
	side(
		'Inner thigh stretch',
		{ torso: 96, arm: on(16, 8), leg: on(36, 2), foot: 30, at: [0, 4] },
		{ torso: 74, head: 76, arm: on(16, 8), leg: on(36, 2), foot: 30, at: [0, 4] },
		[MAT]
	),
	side(
		'Roll the calves',
		FLOOR_SEATED([-110, -100], 104),
		{ ...FLOOR_SEATED([-110, -100], 104), at: [4, 4] },
		[MAT, { kind: 'roller', x: 34 }],
		{ moves: ['hand1', 'hand2', 'ankle1', 'ankle2', 'toe1', 'toe2'] }
	)
];

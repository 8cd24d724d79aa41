import {
	ALONG,
	back,
	BESIDE,
	chair,
	DOWN,
	facing,
	fours,
	front,
	kneel,
	MAT,
	on,
	onSide,
	prone,
	side,
	split,
	stand,
	STEP2,
	STEPS,
	up,
	wall,
	type Row
} from './row';

/** Stretches: how one gets into them, and held. */
/** A mat seen from above. */
const FROM_ABOVE = { kind: 'step', x: -26, width: 52, height: 100 } as const;
/** One foot ahead, the heel behind down. */
const calf = (torso: number, hip: number, over: number, more = {}) => ({
	...split(hip, torso, on(26, 68), { over, leg: on(6), leg2: on(-24), foot2: 0 }),
	...more
});

export const STRETCHES: Row[] = [
	side('Calf stretch', calf(88, 45, -8), calf(78, 42, 2), [wall(30)]),
	side('Bent-knee calf stretch', calf(88, 43, -8), calf(88, 41, -6), [wall(30)]),
	side(
		'Thigh stretch',
		up(DOWN, { arm2: on(24, 70) }),
		up(on(-14, 46), { arm2: on(24, 70), leg: [-92, 112], foot: 150, leg2: on(0), foot2: 0 }),
		[wall(26)],
		{ moves: ['ankle1', 'toe1'] }
	),
	front(
		'Side-lying thigh stretch',
		onSide({ leg: [186, 176] }),
		onSide({ arm: { to: [-8, 16], bend: 1 }, leg: [176, 20], foot: 10 }),
		[MAT]
	),
	side(
		'Hamstring stretch',
		up(DOWN, { over: 4, leg: on(38, 27), foot: 66, leg2: on(0), foot2: 0 }),
		stand(46, 58, [-50, -30], { head: 66, over: 3, leg: on(38, 27), foot: 66, leg2: on(0), foot2: 0 }),
		[chair(30, 'left')]
	),
	side(
		'Lying hamstring stretch',
		back(ALONG, { leg: [60, 30], foot: 110, leg2: [0, -2], foot2: 84 }),
		back({ to: [4, 28] }, { leg: [84, 82], foot: 165, leg2: [0, -2], foot2: 84 }),
		[MAT, { kind: 'band', from: 'toe1', to: 'hand1' }]
	),
	side(
		'Hip flexor stretch',
		{ torso: 90, arm: [-70, -40], leg: on(26), leg2: [-92, 180], foot2: 180, at: [0, 25] },
		{ torso: 94, arm: [-70, -40], leg: on(26), leg2: { to: [-24.8, 1] }, foot2: 180, at: [9, 23] },
		[MAT]
	),
	side(
		'Standing hip flexor stretch',
		split(44, 90, on(20, 50), { over: -12 }),
		split(38, 92, on(20, 50), { over: -8 }),
		[chair(20)]
	),
	side(
		'Figure four stretch',
		back(ALONG, { leg: [62, -20], foot: 60, leg2: on(26), foot2: 0 }),
		back({ to: [2, 22] }, { leg: [86, -10], foot: 70, leg2: [98, -30], foot2: 50 }),
		[MAT],
		{ moves: STEP2 }
	),
	front(
		'Standing inner thigh stretch',
		facing([-75, 210], { at: [0, 43], leg: { to: [-20, 0], bend: -1 }, leg2: { to: [20, 0], bend: 1 } }),
		facing([-75, 210], { at: [-12, 36], leg: { to: [-20, 0], bend: -1 }, leg2: { to: [20, 0], bend: 1 } })
	),
	front(
		'Chest stretch',
		facing(BESIDE),
		facing([-180, -270], { arm2: [-80, -88], torso: 87, at: [1, 47.4] }),
		[wall(-27)]
	),
	side('Hands behind the back', up([-108, -96]), up([-132, -120], { torso: 93 })),
	front('Upper arm stretch', facing(BESIDE), facing([100, -50], { arm2: [60, 140] })),
	front(
		'Cross-body shoulder stretch',
		facing(BESIDE),
		facing([-10, -6], { arm2: { to: [4, 70], bend: -1 } })
	),
	side('Lat stretch', up(), stand(42, 10, on(46, 46), { head: 4, over: 6 }), [{ kind: 'table', x: 44 }]),
	front(
		'Side bend stretch',
		facing(BESIDE, { arm2: [80, 94] }),
		facing([-104, -94], { torso: 99, curve: 9, head: 122, arm2: [108, 136] })
	),
	side(
		'Child rest',
		fours({ at: [0, 1] }),
		{ torso: 6, curve: -14, head: -22, arm: on(29), leg: [-34.6, 180], foot: 180, at: [0, 1] },
		[MAT],
		{ anchor: 'knee1' }
	),
	front(
		'Lying twist',
		{
			torso: 90,
			at: [0, 47],
			arm: [180, 180],
			arm2: [0, 0],
			leg: { to: [-4, 3], bend: -1 },
			leg2: { to: [4, 3], bend: 1 }
		},
		{ torso: 90, at: [0, 47], arm: [180, 180], arm2: [0, 0], leg: [-20, -110], leg2: [-14, -104] },
		[FROM_ABOVE],
		{ moves: STEPS }
	),
	side('Knees to chest', back(), back({ to: [-10, 22] }, { head: 170, leg: [122, -20], foot: 40 }), [MAT], {
		moves: STEPS
	}),
	side(
		'Front body stretch',
		prone([-10, 4], { torso: 8, head: 10 }),
		prone({ to: [36, 0] }, { torso: 26, curve: 14, head: 60 }),
		[MAT],
		{
			moves: ['hand1', 'hand2']
		}
	),
	side('Wrist and forearm stretch', up([-4, 0], { arm2: DOWN }), up([-2, 2], { arm2: on(30, 72) })),
	side(
		'Shin stretch',
		kneel(90, DOWN, { at: [0, 1] }),
		{ torso: 92, arm: [-110, -100], leg: [-34.6, 180], foot: 180, at: [0, 1] },
		[MAT],
		{ anchor: 'knee1' }
	),
	side(
		'Roll the upper back',
		{ torso: 166, head: 158, arm: [60, 190], leg: on(28), at: [0, 7] },
		{ torso: 170, head: 162, arm: [60, 190], leg: on(28), at: [5, 7] },
		[MAT, { kind: 'roller', x: -20 }]
	)
];

import {
	as,
	band,
	bottle,
	chair,
	db,
	facing,
	front,
	HUG,
	low,
	on,
	OVERHEAD,
	RACK,
	SEAT,
	seated,
	seatedFront,
	side,
	split,
	stand,
	STEP2,
	STOOL,
	up,
	type Row
} from './row';

/** Seated, supported and household forms of movements that have others beside them. */
const LEANING = { torso: 52, head: 60, arm2: on(14, 32) } as const;
const WIDE_APART = seatedFront([-176, -182]);
const CLOSE = seatedFront({ to: [-8, 50], bend: -1 }, { arm2: { to: [8, 50], bend: 1 } });
const APART = seatedFront({ to: [-30, 62], bend: -1 }, { arm2: { to: [30, 62], bend: 1 } });
const LOW_CLOSE = seatedFront({ to: [-8, 40], bend: -1 }, { arm2: { to: [8, 40], bend: 1 } });
const LOW_APART = seatedFront({ to: [-14, 42], bend: -1 }, { arm2: { to: [14, 42], bend: 1 } });
const SEATED_CURL = side('Seated curl', seated([-92, -86]), seated([-86, 62]), [SEAT, db('hand1')]);
const SEATED_PRESS = side('Seated bottle press', seated(RACK), seated(OVERHEAD), [SEAT, bottle('hand1')]);
const SEATED_RAISE = front('Seated lateral raise', seatedFront([-100, -94]), WIDE_APART, [
	STOOL,
	db('hand1'),
	db('hand2')
]);
const SEATED_PULL = front('Seated dumbbell pull-apart', CLOSE, APART, [STOOL, db('hand1'), db('hand2')]);
const SEATED_TURN = front(
	'Seated turn',
	seatedFront({ to: [-4, 48], bend: -1 }, { arm2: { to: [4, 48], bend: 1 } }),
	seatedFront({ to: [-14, 48], bend: -1 }, { arm2: { to: [-6, 48], bend: 1 }, torso: 92 }),
	[STOOL]
);
const SEATED_HINGE = side('Seated hinge', seated(HUG), seated([-120, 20], { torso: 52, head: 60 }), [SEAT]);
const SEATED_DOWN = side('Seated band pull-down', seated([74, 84]), seated([-84, 58]), [
	SEAT,
	band([16, 92], 'hand1')
]);
const WRING = front(
	'Seated towel wring',
	seatedFront({ to: [-6, 42], bend: -1 }, { arm2: { to: [6, 42], bend: 1 } }),
	seatedFront({ to: [-6, 45], bend: -1 }, { arm2: { to: [6, 45], bend: 1 } }),
	[STOOL, band('hand1', 'hand2')]
);

export const FORMS: Row[] = [
	side(
		'Short split squat',
		split(42, 90, { to: [14, 50] }),
		split(36, 88, { to: [14, 50] }, { leg2: { to: [-37.4, 6.3] }, foot2: -66 }),
		[chair(14)]
	),
	side(
		'Standing kick back',
		up(on(24, 54), { leg2: on(0), foot2: 0 }),
		up(on(24, 54), { torso: 84, leg2: [-118, -118], foot2: -60 }),
		[chair(24)],
		{ moves: STEP2 }
	),
	side('Chair hinge', up(on(24, 50)), stand(44, 50, on(26, 50), { head: 58 }), [chair(26)]),
	side(
		'Seated band leg press',
		seated([-100, -20], { leg: [30, -70], foot: 20, leg2: on(23), foot2: 0 }),
		seated([-100, -20], { leg: [2, -16], foot: 70, leg2: on(23), foot2: 0 }),
		[SEAT, band('ankle1', 'hand1')]
	),
	SEATED_HINGE,
	as(SEATED_HINGE, 'Loaded seated hinge', [SEAT, db('hand1')]),
	front(
		'Seated knee press-out',
		seatedFront({ to: [-14, 32], bend: -1 }, { arm2: { to: [14, 32], bend: 1 } }),
		seatedFront({ to: [-15, 32], bend: -1 }, { arm2: { to: [15, 32], bend: 1 } }),
		[STOOL]
	),
	side(
		'Loaded seated calf raise',
		seated(on(18, 31)),
		seated(on(18, 32), { leg: on(24.5, 5.4), foot: -50 }),
		[SEAT, db('hand1')]
	),
	side('Bottle press', up(RACK), up(OVERHEAD), [bottle('hand1')]),
	SEATED_PRESS,
	as(SEATED_PRESS, 'Seated band press', [SEAT, band('hip', 'hand1')]),
	front(
		'Seated squeeze press',
		seatedFront({ to: [-2, 50], bend: -1 }, { arm2: { to: [2, 50], bend: 1 } }),
		seatedFront({ to: [-2, 55], bend: -1 }, { arm2: { to: [2, 55], bend: 1 } }),
		[STOOL, db('hand1'), db('hand2')]
	),
	SEATED_RAISE,
	front('Seated half lateral raise', seatedFront([-100, -94]), seatedFront([-128, -124]), [
		STOOL,
		bottle('hand1'),
		bottle('hand2')
	]),
	front('Dumbbell pull-apart', facing({ to: [-8, 66], bend: -1 }), facing({ to: [-34, 76], bend: -1 }), [
		db('hand1'),
		db('hand2')
	]),
	SEATED_PULL,
	as(SEATED_PULL, 'Seated band pull-apart', [STOOL, band('hand1', 'hand2')]),
	front('Towel pull-apart', facing({ to: [-8, 56], bend: -1 }), facing({ to: [-14, 58], bend: -1 }), [
		band('hand1', 'hand2')
	]),
	front('Seated towel pull-apart', LOW_CLOSE, LOW_APART, [STOOL, band('hand1', 'hand2')]),
	side('Seated shoulder blade squeeze', seated([-90, 0]), seated([-130, -10], { torso: 93 }), [SEAT]),
	side('Seated one-arm row', seated([-80, -80], LEANING), seated([186, -84], LEANING), [SEAT, db('hand1')]),
	SEATED_DOWN,
	front(
		'Seated towel pull-down',
		seatedFront([120, 92], { arm2: [60, 88] }),
		seatedFront([204, 96], { arm2: [-24, 84] }),
		[STOOL, band('hand1', 'hand2')]
	),
	side('Standing band pull-down', up([74, 84]), up([-84, 58]), [band([18, 112], 'hand1')]),
	SEATED_CURL,
	as(SEATED_CURL, 'Seated band curl', [SEAT, band('ankle1', 'hand1')]),
	as(SEATED_CURL, 'Seated bottle curl', [SEAT, bottle('hand1')]),
	side('Bottle curl', up([-92, -86]), up([-86, 62]), [bottle('hand1')]),
	side('Seated triceps press back', seated([192, -84], LEANING), seated([192, 196], LEANING), [
		SEAT,
		db('hand1')
	]),
	side('Seated band triceps press', seated([-98, 44]), seated([-98, -80]), [SEAT, band([20, 92], 'hand1')]),
	side('Towel triceps press', seated([-98, 30]), seated([-98, -30], { arm2: [-70, 40] }), [
		SEAT,
		band('hand2', 'hand1')
	]),
	SEATED_TURN,
	as(SEATED_TURN, 'Seated weight turn', [STOOL, db('hand1')]),
	as(SEATED_TURN, 'Seated band turn', [STOOL, band([-46, 48], 'hand1')]),
	side('Seated suitcase hold', seated([-92, -88]), seated([-92, -88]), [SEAT, db('hand1', true)]),
	WRING,
	front('Towel wring', facing({ to: [-6, 58], bend: -1 }), facing({ to: [-6, 61], bend: -1 }), [
		band('hand1', 'hand2')
	]),
	side('Seated curl and press', seated([-92, -86]), seated(OVERHEAD), [SEAT, db('hand1')], {
		middle: seated(RACK)
	}),
	side(
		'Seated march with curl',
		seated([-92, -86], { leg2: [32, -76] }),
		seated([-86, 62], { leg: [32, -76], leg2: { to: [23, 0] } }),
		[SEAT, db('hand1')],
		{ moves: ['ankle1', 'ankle2', 'toe1', 'toe2'] }
	),
	side(
		'Seated march with palm press',
		seated([-60, 30], { leg2: [32, -76] }),
		seated([-60, 30], { leg: [32, -76], leg2: { to: [23, 0] } }),
		[SEAT],
		{ moves: ['ankle1', 'ankle2', 'toe1', 'toe2'] }
	),
	front('Seated shoulder rolls', seatedFront([-98, -92]), seatedFront([-112, -82], { curve: 3 }), [STOOL]),
	side(
		'Seated thigh stretch',
		seated([-84, -60], { leg: on(-12, 6), foot: -60, leg2: on(23), foot2: 0 }),
		seated([-84, -60], { torso: 97, leg: on(-12, 6), foot: -60, leg2: on(23), foot2: 0 }),
		[SEAT]
	),
	front(
		'Seated inner thigh stretch',
		seatedFront(
			{ to: [-16, 34], bend: -1 },
			{ arm2: { to: [16, 34], bend: 1 }, leg: [-140, -90], leg2: [-40, -90] }
		),
		seatedFront(
			{ to: [-18, 34], bend: -1 },
			{ arm2: { to: [18, 34], bend: 1 }, leg: [-146, -90], leg2: [-34, -90] }
		),
		[STOOL]
	),
	side('Seated upper arm stretch', seated([82, 160]), seated([96, 220]), [SEAT]),
	side('Seated wrist stretch', seated([-4, 0], { arm2: [-20, 10] }), seated([2, 6], { arm2: [-14, 20] }), [
		SEAT
	]),
	side('Squat and curl', low([-88, -70]), up([-86, 62]), [db('hand1')]),
	side('Half squat with palm press', up([-60, 30]), stand(38, 74, [-66, 30]), []),
	side('Seated boxing', seated([-52, 80], { arm2: [-62, 78] }), seated([2, 2], { arm2: [-62, 78] }), [SEAT]),
	side(
		'Seated fast feet',
		seated([-84, -40], { leg2: [14, -82] }),
		seated([-84, -40], { leg: [14, -82], leg2: { to: [23, 0] } }),
		[SEAT],
		{ moves: ['ankle1', 'ankle2', 'toe1', 'toe2'] }
	)
];

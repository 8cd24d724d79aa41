import type { Limb } from '../pose';
import {
	as,
	band,
	bent,
	BESIDE,
	bottle,
	chair,
	db,
	DOWN,
	facing,
	front,
	HANG,
	low,
	on,
	OVERHEAD,
	pack,
	RACK,
	SEAT,
	seated,
	side,
	stand,
	STEPS,
	up,
	wall,
	type Row
} from './row';

/** Pushes, pulls and arms on the feet, and what is carried. */
/** Leaning with straight body on hands that stay; the feet on their toes. */
const lean = (slope: number, x: number, y: number) => ({
	torso: slope,
	head: slope + 4,
	arm: on(x, y),
	leg: [slope - 180, slope - 180] as const,
	foot: slope < 60 ? -62 : -20,
	at: [0, slope < 60 ? 6.2 : 2.4] as const
});
const PRESS = side('Overhead press', up(RACK), up(OVERHEAD), [db('hand1')]);
const RAISE = front('Lateral raise', facing(BESIDE), facing([-176, -182]), [db('hand1'), db('hand2')]);
const ROW = side('Bent-over row', bent([-92, -88], 28), bent([176, -94], 28), [db('hand1')]);
const CURL = side('Curl', up([-92, -86]), up([-86, 62]), [db('hand1')]);
const SQUAT_PRESS = side('Squat and press', low([-46, 92]), up(OVERHEAD), [db('hand1')]);
const WALK = side(
	'Suitcase carry',
	stand(46.5, 90, HANG, { over: -2, leg: { to: [12, 0] }, foot: 0, leg2: { to: [-16, 4] }, foot2: -35 }),
	stand(46.5, 90, HANG, { over: -2, leg: { to: [-16, 4] }, foot: -35, leg2: { to: [12, 0] }, foot2: 0 }),
	[db('hand1', true)],
	{ moves: STEPS }
);
const carried = (arm: Limb): Pick<Row[1], 'start' | 'end'> => ({
	start: { ...WALK[1].start, arm },
	end: { ...WALK[1].end, arm }
});
const carry = (name: string, arm: Limb, props: Row[1]['props']): Row => [
	name,
	{ ...WALK[1], ...carried(arm), props }
];

export const ARMS: Row[] = [
	side('Wall push-up', lean(74, 40, 64), lean(66, 40, 64), [wall(42)], { anchor: 'ankle1' }),
	side('Table push-up', lean(52, 45, 46), lean(41, 45, 46), [{ kind: 'table', x: 43 }], { anchor: 'ankle1' }),
	side('Incline push-up', lean(41, 54, 27), lean(27, 54, 27), [chair(52, 'left')], { anchor: 'ankle1' }),
	side('Band chest press', up([-140, 6]), up([0, 2]), [band([-34, 76], 'hand1')]),
	side(
		'Chair dip',
		{ torso: 90, arm: on(-6, 26), leg: { to: [40, 0] }, foot: 60, at: [5, 27] },
		{ torso: 88, arm: on(-6, 26), leg: { to: [40, 0] }, foot: 60, at: [5, 17] },
		[chair(-24)]
	),

	RAISE,
	as(RAISE, 'Bottle lateral raise', [bottle('hand1'), bottle('hand2')]),
	as(RAISE, 'Band lateral raise', [band('ankle1', 'hand1'), band('ankle2', 'hand2')]),
	side('Seated press', seated(RACK), seated(OVERHEAD), [SEAT, db('hand1')]),
	PRESS,
	as(PRESS, 'Band press', [band('ankle1', 'hand1')]),
	as(PRESS, 'Backpack press', [pack('hand1')]),
	side('One-arm press', up(RACK, { arm2: DOWN }), up(OVERHEAD, { arm2: DOWN }), [db('hand1')]),
	side('Push press', stand(42, 88, RACK), up(OVERHEAD), [db('hand1')]),
	side('Front raise', up([-90, -86]), up([-2, 2]), [db('hand1')]),
	side('Rear raise', bent([-92, -88], 26), bent([-176, -172], 26, { arm2: [-18, -12] }), [
		db('hand1'),
		db('hand2')
	]),
	side('Face pull', up([2, 6]), up([-30, 118]), [band([58, 82], 'hand1')]),
	side('Wall slide', up([-70, 84], { torso: 91 }), up([72, 92], { torso: 91 }), [wall(-7)]),
	front('Upright row', facing({ to: [-4, 46], bend: -1 }), facing({ to: [-3, 68], bend: -1 }), [
		db('hand1'),
		db('hand2')
	]),

	front('Band pull-apart', facing({ to: [-8, 64], bend: -1 }), facing({ to: [-39, 76], bend: -1 }), [
		band('hand1', 'hand2')
	]),
	side('Band row', up([0, 2]), up([-140, 8]), [band([58, 76], 'hand1')]),
	side(
		'Towel row',
		{ torso: 106, head: 100, arm: on(20, 66), leg: [-74, -74], at: [-14, 46] },
		{ torso: 96, head: 94, arm: on(20, 66), leg: { to: [-0.8, 0] }, at: [-6, 47] },
		[wall(36), band([36, 66], 'hand1')]
	),
	side(
		'One-arm row',
		bent([-92, -90], 16, { over: 8, arm2: on(34, 27) }),
		bent([176, -94], 18, { over: 8, arm2: on(34, 27) }),
		[chair(28, 'left'), db('hand1')]
	),
	ROW,
	as(ROW, 'Backpack row', [pack('hand1')]),

	CURL,
	side('Hammer curl', up([-92, -86]), up([-86, 58]), [db('hand1', true)]),
	as(CURL, 'Band curl', [band('ankle1', 'hand1')]),
	as(CURL, 'Backpack curl', [pack('hand1')]),
	side(
		'Triceps press back',
		bent([188, -96], 30, { arm2: on(28, 50) }),
		bent([188, 192], 30, { arm2: on(28, 50) }),
		[chair(28), db('hand1')]
	),
	side('Overhead triceps press', up([82, 212]), up([82, 92]), [db('hand1')]),
	side('Band triceps press', up([-98, 44]), up([-98, -86]), [band([22, 104], 'hand1')]),

	side('Curl and press', up([-92, -86]), up(OVERHEAD), [db('hand1')], { middle: up(RACK) }),
	SQUAT_PRESS,
	as(SQUAT_PRESS, 'Backpack squat and press', [pack('hand1')]),
	as(SQUAT_PRESS, 'Band squat and press', [band('ankle1', 'hand1')]),
	side('Squat with curl and press', low([-88, -70]), up(OVERHEAD), [db('hand1')], { middle: up(RACK) }),
	side('Deadlift and row', up([-90, -86]), bent([176, -94], 28), [db('hand1')]),
	side('Clean and press', stand(36, 36, [-92, -88], { head: 48 }), up(OVERHEAD), [db('hand1')], {
		middle: up(RACK)
	}),

	side('Suitcase hold', up(HANG), up(HANG), [db('hand1', true)]),
	WALK,
	carry('Backpack suitcase carry', HANG, [pack('hand1')]),
	carry('Two-hand carry', HANG, [db('hand1', true), db('hand2', true)]),
	carry('Bottle carry', HANG, [bottle('hand1'), bottle('hand2')]),
	carry('Pack carry', [-70, 70], [pack('back')]),
	carry('Front carry', [-68, 62], [db('hand1')]),
	carry('Overhead carry', OVERHEAD, [db('hand1')])
];

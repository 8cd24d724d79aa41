import type { Figure, Prop } from '../figure';
import type { Joint, Limb, Pose } from '../pose';

/**
 * A figure as it is written in the files beside this one. Poses as in `pose.ts`; most give places for hands and feet, so that
 * what is planted stays where it is.
 */
export type Row = [name: string, figure: Figure];

interface More {
	anchor?: Joint;
	moves?: readonly Joint[];
	middle?: Pose;
}

/** Seen from the side, looking to the right. */
export const side = (
	name: string,
	start: Pose,
	end: Pose,
	props: readonly Prop[] = [],
	{ anchor = 'hip', ...more }: More = {}
): Row => [name, { view: 'side', anchor, start, end, props, ...more }];

/** Seen from the front. */
export const front = (
	name: string,
	start: Pose,
	end: Pose,
	props: readonly Prop[] = [],
	{ anchor = 'hip', ...more }: More = {}
): Row => [name, { view: 'front', anchor, start, end, props, ...more }];

/** The same movement with other things. */
export const as = ([, figure]: Row, name: string, props: readonly Prop[]): Row => [
	name,
	{ ...figure, props }
];

/** What is in the hands or beside the figure. */
export const db = (at: Joint, along = false): Prop => ({ kind: 'dumbbell', at, along });
export const MAT: Prop = { kind: 'mat' };
export const chair = (x: number, faces: 'left' | 'right' = 'right'): Prop => ({ kind: 'chair', x, faces });
export const wall = (x: number): Prop => ({ kind: 'wall', x });
export const band = (from: Extract<Prop, { kind: 'band' }>['from'], to: Joint): Prop => ({
	kind: 'band',
	from,
	to
});
export const pack = (at: Extract<Prop, { kind: 'pack' }>['at']): Prop => ({ kind: 'pack', at });
export const bottle = (at: Joint): Prop => ({ kind: 'bottle', at });

/** Feet that step, from one place to another. */
export const STEPS: readonly Joint[] = ['ankle1', 'toe1', 'ankle2', 'toe2'];
export const STEP2: readonly Joint[] = ['ankle2', 'toe2'];

/** A limb that reaches for a place. */
export const on = (x: number, y = 0): Limb => ({ to: [x, y] });

/** Arms. */
export const DOWN: Limb = [-98, -82];
export const HANG: Limb = [-90, -88];
export const AHEAD: Limb = [-8, -4];
export const RACK: Limb = [-58, 80];
export const OVERHEAD: Limb = [84, 92];
export const HUG: Limb = [-68, 62];

/** On both feet at 0, the hips so high, balanced over the middle of the feet. */
export const stand = (hip: number, torso: number, arm: Limb, more: Partial<Pose> = {}): Pose => ({
	hip,
	over: 2.5,
	torso,
	arm,
	leg: { to: [0, 0] },
	...more
});
export const UPRIGHT = 47.8;
export const up = (arm: Limb = DOWN, more: Partial<Pose> = {}): Pose => stand(UPRIGHT, 90, arm, more);
/** Down in a squat, thighs level. */
export const low = (arm: Limb = AHEAD, more: Partial<Pose> = {}): Pose =>
	stand(25, 56, arm, { head: 72, ...more });
/** Hips back, the back long. */
export const bent = (arm: Limb, torso = 24, more: Partial<Pose> = {}): Pose =>
	stand(44, torso, arm, { head: torso + 8, ...more });
/** One foot ahead, the other on its toes behind. */
export const split = (hip: number, torso: number, arm: Limb, more: Partial<Pose> = {}): Pose => ({
	hip,
	over: -14,
	torso,
	arm,
	leg: { to: [0, 0] },
	leg2: { to: [-38, 6] },
	foot2: -60,
	...more
});
export const splitUp = (arm: Limb, more: Partial<Pose> = {}): Pose => split(42, 90, arm, more);
export const splitLow = (arm: Limb, more: Partial<Pose> = {}): Pose =>
	split(22, 86, arm, { leg2: { to: [-36.3, 6.8] }, foot2: -75, ...more });

/** From the front, feet a hip's width apart; the first side is the left one of the picture. */
export const facing = (arm: Limb, more: Partial<Pose> = {}): Pose => ({
	torso: 90,
	at: [0, 47.6],
	arm,
	leg: { to: [-6, 0], bend: -1 },
	leg2: { to: [6, 0], bend: 1 },
	...more
});
export const BESIDE: Limb = [-100, -92];

/** On a chair whose seat is around 0. */
export const seated = (arm: Limb = [-84, -40], more: Partial<Pose> = {}): Pose => ({
	torso: 90,
	arm,
	leg: { to: [23, 0] },
	at: [0, 27],
	...more
});
export const SEAT = chair(-10);
/** The same from the front. */
export const seatedFront = (arm: Limb, more: Partial<Pose> = {}): Pose => ({
	torso: 90,
	at: [0, 29.5],
	thigh: 0.25,
	arm,
	leg: [-108, -90],
	leg2: [-72, -90],
	...more
});
export const STOOL: Prop = { kind: 'table', x: -13, width: 26, height: 26 };

/** Along the body, on the floor. */
export const ALONG: Limb = { to: [1.5, 1] };
/** On the back, knees bent, the head to the left. */
export const back = (arm: Limb = ALONG, more: Partial<Pose> = {}): Pose => ({
	torso: 180,
	head: 176,
	arm,
	leg: { to: [26, 0] },
	at: [0, 3.5],
	...more
});
/** On the back with the hips lifted; shoulders, hands and feet stay. */
export const bridge = (arm: Limb = ALONG, more: Partial<Pose> = {}): Pose => ({
	torso: 203.6,
	head: 172,
	arm,
	leg: { to: [26, 0] },
	at: [-2.5, 15.5],
	...more
});
/** On hands and knees. */
export const fours = (more: Partial<Pose> = {}): Pose => ({
	torso: 13,
	head: 12,
	arm: { to: [29, 0] },
	leg: [-90, 180],
	foot: 180,
	at: [0, 25],
	...more
});
/** Kneeling upright. */
export const kneel = (torso: number, arm: Limb, more: Partial<Pose> = {}): Pose => ({
	torso,
	arm,
	leg: [-90, 180],
	foot: 180,
	at: [0, 25],
	...more
});
/** In a line from toes to head, so much above the floor; hands where they are. */
export const line = (slope: number, arm: Limb, more: Partial<Pose> = {}): Pose => ({
	torso: slope,
	head: slope + 6,
	arm,
	leg: [slope + 180, slope + 180],
	foot: -90,
	at: [0, 7],
	...more
});
/** On the side, seen from the front; the first arm and leg are the upper ones. */
export const onSide = (more: Partial<Pose> = {}): Pose => ({
	torso: 4,
	head: 16,
	arm: [195, 200],
	arm2: [12, 60],
	leg: [184, 184],
	leg2: [180, 180],
	foot: 110,
	foot2: 110,
	at: [0, 5.5],
	...more
});
/** On the front, the head to the right. */
export const prone = (arm: Limb, more: Partial<Pose> = {}): Pose => ({
	torso: 1,
	head: 4,
	arm,
	leg: [180, 180],
	foot: 195,
	at: [0, 4],
	...more
});

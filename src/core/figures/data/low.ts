import type { Figure, Prop } from '../figure';
import type { Joint, Pose } from '../pose';

/** Figures that sit, kneel, lie or hang. Joint angles as in `pose.ts`; drawn by hand, one after the other. */
type Row = [name: string, view: Figure['view'], start: Pose, end: Pose, props?: Prop[], anchor?: Joint];

const MAT: Prop = { kind: 'mat' };
const db = (at: Joint, along = false): Prop => ({ kind: 'dumbbell', at, along });
/** On the back, knees bent; the head to the left. */
const BACK: Pose = { torso: 180, arm: [-8, -2], leg: [56, -62], at: [0, 3] };
const ALL_FOURS: Pose = {
	torso: 8,
	head: 4,
	arm: { to: [32, 0], bend: -1 },
	leg: [-90, 180],
	foot: 180,
	at: [0, 24]
};
const PLANK: Pose = { torso: 17, arm: { to: [76, 0], bend: -1 }, leg: [197, 197], foot: -90, at: [0, 8] };
const LOW: Pose = {
	torso: 5,
	head: 8,
	arm: { to: [72, 0], bend: 1 },
	leg: [185, 185],
	foot: -90,
	at: [0, 8]
};
const KNEES: Pose = { torso: 28, arm: { to: [50, 0], bend: -1 }, leg: [208, 160], foot: 160, at: [0, 3] };
const SEATED: Pose = { torso: 90, arm: [-85, -60], leg: [-2, -90], at: [0, 28] };
const CHAIR: Prop = { kind: 'chair', x: -10, faces: 'right' };
const HANG: Pose = { torso: 90, arm: [88, 90], leg: [-88, -112], foot: -70, at: [0, 112] };

// prettier-ignore
export const LOW_FIGURES: Row[] = [
	['Glute bridge', 'side', BACK, { torso: 203, head: 185, arm: [-8, -2], leg: [24, -78], at: [0, 15] }, [MAT], 'hip'],
	['Loaded glute bridge', 'side', BACK, { torso: 203, head: 185, arm: [-8, -2], leg: [24, -78], at: [0, 15] }, [MAT, db('hip')], 'hip'],
	['Single-leg bridge', 'side', { ...BACK, leg2: [35, 35], foot2: 90 }, { torso: 203, head: 185, arm: [-8, -2], leg: [24, -78], leg2: [24, 24], foot2: 90, at: [0, 15] }, [MAT], 'hip'],
	['Hip thrust', 'side', { torso: 138, head: 120, arm: [-60, -20], leg: [40, -75], at: [0, 8] }, { torso: 180, head: 150, arm: [-120, -10], leg: [0, -90], at: [0, 27] }, [{ kind: 'chair', x: -44, faces: 'right' }], 'hip'],
	['Donkey kick', 'side', ALL_FOURS, { ...ALL_FOURS, leg: [172, 88], leg2: [-90, 180], foot: 180 }, [MAT], 'hip'],
	['Kneeling lean back', 'side', { torso: 90, arm: [-20, -10], leg: [-90, 180], foot: 180, at: [0, 2] }, { torso: 112, arm: [-5, 0], leg: [-68, 180], foot: 180, at: [0, 2] }, [MAT], 'knee1'],

	['Knee push-up', 'side', KNEES, { torso: 10, head: 14, arm: { to: [50, 0], bend: 1 }, leg: [190, 165], foot: 165, at: [0, 3] }, [MAT], 'knee1'],
	['Push-up', 'side', PLANK, LOW, [MAT], 'ankle1'],
	['Hand-release push-up', 'side', PLANK, { ...LOW, torso: 2, leg: [182, 182], at: [0, 5], arm: [170, 10] }, [MAT], 'ankle1'],
	['Feet-raised push-up', 'side', { torso: -2, arm: { to: [77, 0], bend: -1 }, leg: [178, 178], foot: -90, at: [0, 32] }, { torso: -14, head: -8, arm: { to: [74, 0], bend: 1 }, leg: [166, 166], foot: -90, at: [0, 32] }, [{ kind: 'chair', x: -8, faces: 'left' }], 'ankle1'],
	['Narrow push-up', 'side', PLANK, { ...LOW, arm: { to: [70, 0], bend: 1 } }, [MAT], 'ankle1'],
	['Floor press', 'side', { ...BACK, arm: [-20, 90] }, { ...BACK, arm: [90, 90] }, [MAT, db('hand1')], 'hip'],
	['Bridge and press', 'side', { torso: 203, head: 185, arm: [-20, 90], leg: [24, -78], at: [0, 15] }, { torso: 203, head: 185, arm: [90, 90], leg: [24, -78], at: [0, 15] }, [MAT, db('hand1')], 'hip'],
	['Pullover', 'side', { ...BACK, arm: [95, 85] }, { ...BACK, arm: [160, 175] }, [MAT, db('hand1')], 'hip'],
	['Chair dip', 'side', { torso: 92, arm: { to: [-4, 27], bend: 1 }, leg: [-25, -35], foot: 60, at: [4, 28] }, { torso: 92, arm: { to: [-4, 27], bend: 1 }, leg: [5, -32], foot: 60, at: [5, 12] }, [{ kind: 'chair', x: -22, faces: 'right' }], 'hip'],
	['Seated press', 'side', { ...SEATED, arm: [-55, 85] }, { ...SEATED, arm: [86, 92] }, [CHAIR, db('hand1')], 'hip'],
	['Seated band row', 'side', { torso: 84, arm: [-8, -4], leg: [4, -6], foot: 80, at: [0, 4] }, { torso: 94, arm: [-140, 5], leg: [4, -6], foot: 80, at: [0, 4] }, [MAT, { kind: 'band', from: 'ankle1', to: 'hand1' }], 'hip'],
	['Plank row', 'side', PLANK, { ...PLANK, arm: [178, -84], arm2: { to: [76, 0], bend: -1 } }, [MAT, db('hand1'), db('hand2')], 'ankle1'],
	['Band pull-down', 'side', { torso: 90, arm: [75, 85], leg: [-90, 180], foot: 180, at: [0, 2] }, { torso: 94, arm: [-75, 60], leg: [-90, 180], foot: 180, at: [0, 2] }, [MAT, { kind: 'band', from: [24, 104], to: 'hand1' }], 'knee1'],
	['Pull-up', 'side', HANG, { torso: 84, head: 92, arm: [-70, 88], leg: [-96, -134], foot: -80, at: [0, 112] }, [{ kind: 'bar', x: 0, y: 112 }], 'hand1'],
	['Dead hang', 'side', HANG, { ...HANG, arm: [90, 90] }, [{ kind: 'bar', x: 0, y: 112 }], 'hand1'],

	['Bird dog', 'side', ALL_FOURS, { ...ALL_FOURS, arm: [8, 6], arm2: { to: [32, 0], bend: -1 }, leg: [-90, 180], leg2: [178, 178], foot2: -90 }, [MAT], 'hip'],
	['Cat and camel', 'side', { ...ALL_FOURS, curve: -24, torso: 8, head: -50 }, { ...ALL_FOURS, curve: 20, torso: 6, head: 50 }, [MAT], 'hip'],
	['Dead bug', 'side', { torso: 180, arm: [90, 90], leg: [90, 0], at: [0, 3] }, { torso: 180, arm: [90, 90], arm2: [165, 170], leg: [90, 0], leg2: [14, 8], at: [0, 3] }, [MAT], 'hip'],
	['Heel slide', 'side', BACK, { ...BACK, leg2: [10, -10] }, [MAT], 'hip'],
	['Hollow hold', 'side', BACK, { torso: 165, head: 160, arm: [150, 158], leg: [18, 18], foot: 30, at: [0, 3] }, [MAT], 'hip'],
	['Leg lowering', 'side', { torso: 180, arm: [-6, -2], leg: [86, 84], foot: 160, at: [0, 3] }, { torso: 180, arm: [-6, -2], leg: [24, 22], foot: 90, at: [0, 3] }, [MAT], 'hip'],
	['Chair plank', 'side', { torso: 42, arm: { to: [62, 27], bend: -1 }, leg: [-138, -138], at: [0, 4], foot: -60 }, { torso: 41, arm: { to: [62, 27], bend: -1 }, leg: [-139, -139], at: [0, 4], foot: -60 }, [{ kind: 'chair', x: 58, faces: 'left' }], 'ankle1'],
	['Knee plank', 'side', { torso: 16, arm: [-88, 0], leg: [196, 162], foot: 162, at: [0, 3] }, { torso: 16, arm: [-88, 0], leg: [196, 162], foot: 162, at: [0, 3] }, [MAT], 'knee1'],
	['Plank', 'side', { torso: 6, head: 8, arm: [-88, 0], leg: [186, 186], foot: -90, at: [0, 8] }, { torso: 6, head: 8, arm: [-88, 0], leg: [186, 186], foot: -90, at: [0, 8] }, [MAT], 'ankle1'],
	['Side plank', 'front', { torso: 14, arm: [200, 195], arm2: { to: [58, 1], bend: -1 }, leg: [178, 178], leg2: [176, 176], foot: 90, foot2: 90, at: [0, 4] }, { torso: 15, arm: [90, 90], arm2: { to: [92, 1], bend: -1 }, leg: [195, 195], leg2: [195, 195], foot: 90, foot2: 90, at: [0, 4] }, [MAT], 'ankle2'],
	['Knee side plank', 'front', { torso: 22, arm: [200, 195], arm2: { to: [60, 1], bend: -1 }, leg: [178, 175], leg2: [176, 175], foot: 90, foot2: 90, at: [0, 4] }, { torso: 20, arm: [90, 90], arm2: { to: [66, 1], bend: -1 }, leg: [200, 178], leg2: [200, 178], foot: 90, foot2: 90, at: [0, 4] }, [MAT], 'knee2'],
	['Side-lying leg raise', 'front', { torso: 2, head: 20, arm: [160, 200], arm2: [10, 60], leg: [182, 182], leg2: [180, 180], foot: 90, foot2: 90, at: [0, 5] }, { torso: 2, head: 20, arm: [160, 200], arm2: [10, 60], leg: [142, 142], leg2: [180, 180], foot: 60, foot2: 90, at: [0, 5] }, [MAT], 'hip'],
	['Half crunch', 'side', { ...BACK, arm: [-20, 130] }, { ...BACK, torso: 172, curve: -22, head: 120, arm: [40, 10] }, [MAT], 'hip'],
	['Bicycle crunch', 'side', { ...BACK, torso: 170, curve: -16, head: 130, arm: [70, 200], leg: [100, -10], leg2: [22, 18] }, { ...BACK, torso: 170, curve: -16, head: 130, arm: [60, 190], leg: [22, 18], leg2: [100, -10] }, [MAT], 'hip'],
	['Back extension', 'side', { torso: 2, head: 0, arm: [180, 190], leg: [180, 180], foot: 200, at: [0, 4] }, { torso: 12, curve: 14, head: 22, arm: [185, 190], leg: [180, 180], foot: 200, at: [0, 4] }, [MAT], 'hip'],
	['Bear hold', 'side', ALL_FOURS, { torso: 4, head: 2, arm: { to: [32, 0], bend: -1 }, leg: [-62, 195], foot: -60, at: [0, 34] }, [MAT], 'hip'],
	['Mountain climber', 'side', { ...PLANK, leg2: [-20, 205], foot2: -60 }, { ...PLANK, leg: [197, 197], leg2: [197, 197] }, [MAT], 'ankle1'],
	['Incline climber', 'side', { torso: 42, arm: { to: [62, 27], bend: -1 }, leg: [-138, -138], leg2: [-10, -130], at: [0, 4], foot: -60 }, { torso: 42, arm: { to: [62, 27], bend: -1 }, leg: [-138, -138], at: [0, 4], foot: -60 }, [{ kind: 'chair', x: 58, faces: 'left' }], 'ankle1'],
	['Squat thrust', 'side', { torso: 30, head: 20, arm: { to: [76, 0], bend: -1 }, leg: [20, 230], foot: -20, at: [44, 13] }, { ...PLANK, at: [30, 22] }, [], 'hip'],
	['Inchworm', 'side', { torso: -62, head: -60, arm: { to: [26, 0], bend: -1 }, leg: [-88, -92], at: [0, 0] }, { torso: 17, arm: { to: [76, 0], bend: -1 }, leg: [197, 197], foot: -90, at: [0, 8] }, [], 'ankle1'],
	['Seated march', 'side', { ...SEATED, leg2: [32, -80] }, { ...SEATED, leg: [32, -80], leg2: [-2, -90] }, [CHAIR], 'hip'],
	['Seated knee lift', 'side', SEATED, { ...SEATED, torso: 94, leg: [38, -78], leg2: [-2, -90] }, [CHAIR], 'hip'],

	['Hip flexor stretch', 'side', { torso: 90, arm: [-60, -20], leg: [0, -90], leg2: [-92, 182], foot2: 180, at: [0, 25] }, { torso: 94, arm: [-50, -10], leg: [-8, -98], leg2: [-112, 180], foot2: 180, at: [8, 27] }, [MAT], 'hip'],
	['Figure four stretch', 'side', { ...BACK, leg: [62, 0], leg2: [56, -62] }, { ...BACK, arm: { to: [8, 26], bend: 1 }, leg: [84, 10], leg2: [98, -10] }, [MAT], 'hip'],
	['Lying hamstring stretch', 'side', { ...BACK, leg: [60, 20], leg2: [2, -2] }, { ...BACK, arm: { to: [2, 34], bend: 1 }, leg: [88, 86], foot: 170, leg2: [2, -2] }, [MAT], 'hip'],
	['Knees to chest', 'side', BACK, { ...BACK, torso: 178, head: 165, arm: { to: [-2, 22], bend: 1 }, leg: [118, -50] }, [MAT], 'hip'],
	['Child rest', 'side', { ...ALL_FOURS }, { torso: -8, curve: -12, head: -14, arm: [-5, 2], leg: [-22, 180], foot: 180, at: [-14, 14] }, [MAT], 'hip'],
	['Seated fold', 'side', { ...SEATED }, { ...SEATED, torso: 12, curve: -24, head: -60, arm: [-92, -88] }, [CHAIR], 'hip'],
	['Front body stretch', 'side', { torso: 2, head: 0, arm: [-30, 10], leg: [180, 180], foot: 200, at: [0, 4] }, { torso: 32, curve: 14, head: 60, arm: [-80, 0], leg: [180, 180], foot: 200, at: [0, 4] }, [MAT], 'hip']
];

import type { Figure, Prop } from '../figure';
import type { Joint, Pose } from '../pose';

/** Figures that stand. Joint angles as in `pose.ts`; drawn by hand, one after the other. */
type Row = [name: string, view: Figure['view'], start: Pose, end: Pose, props?: Prop[], anchor?: Joint];

const UP: Pose = { torso: 90, arm: [-102, -68], leg: [-90, -90] };
const SAT: Pose = { torso: 62, head: 75, arm: [-20, -8], leg: [-8, -108] };
const HALF: Pose = { torso: 72, head: 82, arm: [-25, -10], leg: [-38, -112] };
/** Weight at the breastbone. */
const HUG = [-70, 62] as const;
const RACK = [-58, 80] as const;
const LUNGE: Pose = { torso: 88, arm: [-102, -68], leg: [-8, -92], leg2: [-98, -172], foot2: -70 };
const SPLIT: Pose = { torso: 90, arm: [-102, -68], leg: [-62, -90], leg2: [-118, -118], foot2: -40 };
const BENT: Pose = { torso: 18, head: 20, arm: [-92, -88], leg: [-80, -100] };
const db = (at: Joint, along = false): Prop => ({ kind: 'dumbbell', at, along });
const both = [db('hand1', true), db('hand2', true)];
const front: Pose = { torso: 90, arm: [-100, -95], leg: [-93, -91] };
const STEP: Prop = { kind: 'step', x: 8, width: 26, height: 16 };
const ON_STEP: Pose = {
	torso: 78,
	arm: [-95, -70],
	leg: { to: [20, 16], bend: 1 },
	leg2: [-95, -96],
	at: [0, 0]
};
const TOP: Pose = {
	torso: 90,
	arm: [-95, -80],
	leg: { to: [20, 16], bend: 1 },
	leg2: [-88, -100],
	at: [19, 17],
	foot2: -10
};

// prettier-ignore
export const STANDING: Row[] = [
	['Sit to chair', 'side', { ...UP, arm: [-60, -20] }, { ...SAT, torso: 66, leg: [-2, -92], arm: [-25, -5] }, [{ kind: 'chair', x: -36, faces: 'right' }]],
	['Half squat', 'side', { ...UP, arm: { to: [22, 50], bend: -1 } }, { ...HALF, arm: { to: [22, 50], bend: -1 } }, [{ kind: 'chair', x: 22, faces: 'right' }]],
	['Squat', 'side', { ...UP, arm: [-60, -20] }, SAT],
	['Slow squat', 'side', { ...UP, arm: [-60, -20] }, { ...SAT, torso: 66 }],
	['Goblet squat', 'side', { ...UP, arm: HUG }, { ...SAT, arm: [-75, 50] }, [db('hand1')]],
	['Backpack squat', 'side', { ...UP, arm: [-55, 40] }, { ...SAT, arm: [-60, 25] }, [{ kind: 'pack', at: 'chest' }]],
	['Band squat', 'side', { ...UP, arm: RACK }, { ...SAT, arm: [-62, 70] }, [{ kind: 'band', from: 'ankle1', to: 'hand1' }]],
	['Front squat', 'side', { ...UP, arm: RACK }, { ...SAT, arm: [-40, 95] }, [db('hand1')]],
	['Wide squat', 'front', { ...front, arm: [-75, 200], leg: [-115, -105] }, { ...front, arm: [-75, 200], leg: [-160, -88] }],
	['Wide goblet squat', 'front', { ...front, arm: { to: [0, 42], bend: -1 }, arm2: { to: [0, 42], bend: 1 }, leg: [-115, -105] }, { ...front, arm: { to: [0, 16], bend: -1 }, arm2: { to: [0, 16], bend: 1 }, leg: [-160, -88] }, [db('hand1')], 'hip'],
	['Squat with band at the knees', 'front', { ...front, arm: [-75, 200], leg: [-98, -92] }, { ...front, arm: [-75, 200], leg: [-140, -80] }, [{ kind: 'loop', from: 'knee1', to: 'knee2' }]],
	['Wall sit', 'side', { ...UP, arm: [-92, -88] }, { torso: 90, arm: [-80, -40], leg: [0, -90] }, [{ kind: 'wall', x: -5 }], 'hip'],
	['Single-leg sit to chair', 'side', { ...UP, arm: [-30, -10], leg2: [-50, -60] }, { ...SAT, torso: 60, leg: [-2, -95], leg2: [15, -10], arm: [-15, 0] }, [{ kind: 'chair', x: -36, faces: 'right' }], 'ankle1'],
	['Jump squat', 'side', { ...SAT, arm: [-130, -110] }, { torso: 92, arm: [-130, -110], leg: [-88, -92], foot: -60, base: 16 }],
	['Pulse squat', 'side', { ...HALF, arm: [-40, 30] }, { ...SAT, arm: [-40, 30] }],

	['Supported split squat', 'side', { ...SPLIT, arm: { to: [26, 50], bend: -1 } }, { ...LUNGE, arm: { to: [26, 50], bend: -1 } }, [{ kind: 'chair', x: 26, faces: 'right' }], 'ankle1'],
	['Split squat', 'side', SPLIT, LUNGE, [], 'ankle1'],
	['Dumbbell split squat', 'side', { ...SPLIT, arm: [-84, -84] }, { ...LUNGE, arm: [-84, -84] }, [db('hand1', true)], 'ankle1'],
	['Rear foot raised split squat', 'side', { ...SPLIT, leg: [-72, -88], leg2: [-120, -190], foot2: 180 }, { ...LUNGE, torso: 80, leg: [-14, -98], leg2: [-112, -205], foot2: 180 }, [{ kind: 'chair', x: -62, faces: 'right' }], 'ankle1'],
	['Reverse lunge', 'side', { ...UP, leg2: [-92, -90] }, LUNGE, [], 'ankle1'],
	['Dumbbell reverse lunge', 'side', { ...UP, arm: [-84, -84], leg2: [-92, -90] }, { ...LUNGE, arm: [-84, -84] }, [db('hand1', true)], 'ankle1'],
	['Forward lunge', 'side', { ...UP, leg2: [-92, -90] }, { ...LUNGE, torso: 90 }, [], 'ankle2'],
	['Side lunge', 'front', { ...front, leg: [-92, -90] }, { torso: 80, head: 88, arm: [-60, 190], arm2: [-50, 20], leg: [-168, -82], leg2: [-48, -48] }, [], 'ankle2'],
	['Step-up', 'side', ON_STEP, TOP, [STEP], 'ankle2'],
	['Low step-up', 'side', { ...ON_STEP, leg: { to: [20, 9], bend: 1 } }, { ...TOP, leg: { to: [20, 9], bend: 1 }, at: [19, 10] }, [{ kind: 'step', x: 8, width: 26, height: 9 }], 'ankle2'],
	['Dumbbell step-up', 'side', { ...ON_STEP, arm: [-92, -88] }, { ...TOP, arm: [-92, -88] }, [STEP, db('hand1', true)], 'ankle2'],
	['Step-up and press', 'side', { ...ON_STEP, arm: [-60, 85] }, { ...TOP, arm: [85, 92] }, [STEP, db('hand1')], 'ankle2'],
	['Calf raise', 'side', { ...UP, arm: { to: [22, 66], bend: -1 } }, { ...UP, arm: { to: [22, 72], bend: -1 }, foot: -55 }, [{ kind: 'wall', x: 22 }], 'toe1'],
	['Standing leg raise to the side', 'front', { ...front, arm: [-150, -100] }, { ...front, arm: [-150, -100], leg2: [-40, -40] }, [], 'ankle1'],
	['Band side step', 'front', { ...front, arm: [-75, 200], leg: [-110, -85] }, { ...front, arm: [-75, 200], leg: [-110, -85], leg2: [-48, -72] }, [{ kind: 'loop', from: 'knee1', to: 'knee2' }], 'ankle1'],

	['Wall hinge', 'side', { ...UP, arm: [-75, 100] }, { torso: 28, head: 30, arm: [-60, 60], leg: [-76, -98] }, [{ kind: 'wall', x: -24 }]],
	['Hip hinge', 'side', { ...UP, arm: [-70, 130] }, { torso: 22, head: 24, arm: [-100, 170], leg: [-74, -98] }],
	['Romanian deadlift', 'side', { ...UP, arm: [-88, -86] }, BENT, [db('hand1')]],
	['Backpack deadlift', 'side', { ...UP, arm: [-85, -82] }, { ...BENT, torso: 30, leg: [-62, -108] }, [{ kind: 'pack', at: 'hand1' }]],
	['Suitcase deadlift', 'side', { ...UP, arm: [-90, -90] }, { torso: 42, head: 50, arm: [-92, -90], leg: [-30, -115] }, [db('hand1', true)]],
	['Band deadlift', 'side', { ...UP, arm: [-86, -86] }, { ...BENT, torso: 24 }, [{ kind: 'band', from: 'ankle1', to: 'hand1' }]],
	['Single-leg hinge', 'side', { ...UP, arm: { to: [22, 68], bend: -1 } }, { torso: 10, head: 14, arm: { to: [38, 66], bend: 1 }, leg: [-84, -96], leg2: [188, 188], foot2: -90 }, [{ kind: 'wall', x: 38 }], 'ankle1'],
	['Single-leg deadlift', 'side', { ...UP, arm: [-88, -86] }, { torso: 12, head: 14, arm: [-92, -90], leg: [-84, -96], leg2: [188, 188], foot2: -90 }, [db('hand1', true)], 'ankle1'],
	['Swing', 'side', { torso: 32, head: 42, arm: [-128, -124], leg: [-62, -106] }, { ...UP, torso: 94, arm: [0, 2] }, [db('hand1')]],
	['Swing to shoulder', 'side', { torso: 32, head: 42, arm: [-128, -124], leg: [-62, -106] }, { ...UP, arm: [-60, 85] }, [db('hand1')]],

	['Wall push-up', 'side', { torso: 74, arm: { to: [40, 62], bend: -1 }, leg: [-106, -106], at: [0, 0], foot: 0 }, { torso: 62, head: 66, arm: { to: [40, 62], bend: -1 }, leg: [-118, -118], at: [0, 0], foot: 0 }, [{ kind: 'wall', x: 42 }], 'ankle1'],
	['Table push-up', 'side', { torso: 50, arm: { to: [46, 46], bend: -1 }, leg: [-130, -130], at: [0, 3], foot: -40 }, { torso: 38, arm: { to: [46, 46], bend: -1 }, leg: [-142, -142], at: [0, 3], foot: -40 }, [{ kind: 'table', x: 44 }], 'ankle1'],
	['Incline push-up', 'side', { torso: 42, arm: { to: [62, 27], bend: -1 }, leg: [-138, -138], at: [0, 4], foot: -60 }, { torso: 26, arm: { to: [62, 27], bend: -1 }, leg: [-154, -154], at: [0, 4], foot: -60 }, [{ kind: 'chair', x: 58, faces: 'left' }], 'ankle1'],
	['Band chest press', 'side', { ...UP, arm: [-140, 5] }, { ...UP, arm: [0, 0] }, [{ kind: 'band', from: [-34, 76], to: 'hand1' }]],
	['Overhead press', 'side', { ...UP, arm: [-55, 85] }, { ...UP, arm: [86, 92] }, [db('hand1')]],
	['One-arm press', 'side', { ...UP, arm: [-55, 85], arm2: [-95, -82] }, { ...UP, arm: [86, 92], arm2: [-95, -82] }, [db('hand1')]],
	['Push press', 'side', { ...HALF, torso: 86, arm: [-55, 85], leg: [-62, -108] }, { ...UP, arm: [86, 92] }, [db('hand1')]],
	['Raise to shoulder height', 'front', { ...front }, { ...front, arm: [182, 178] }, [db('hand1'), db('hand2')]],
	['Front raise', 'side', { ...UP, arm: [-88, -84] }, { ...UP, arm: [-2, 4] }, [db('hand1')]],
	['Rear raise', 'side', { ...BENT, torso: 24, arm: [-92, -88] }, { ...BENT, torso: 26, arm: [196, 186], arm2: [-30, -20] }, [db('hand1'), db('hand2')]],
	['Band pull-apart', 'front', { ...front, arm: [-112, 55] }, { ...front, arm: [178, 182] }, [{ kind: 'band', from: 'hand1', to: 'hand2' }], 'hip'],
	['Band row', 'side', { ...UP, arm: [0, 0] }, { ...UP, torso: 92, arm: [-140, 10] }, [{ kind: 'band', from: [58, 76], to: 'hand1' }]],
	['Face pull', 'side', { ...UP, arm: [4, 4] }, { ...UP, torso: 92, arm: [175, 30] }, [{ kind: 'band', from: [58, 82], to: 'hand1' }]],
	['Towel row', 'side', { torso: 108, head: 100, arm: [-12, -5], leg: [-72, -76] }, { torso: 92, arm: [-130, 15], leg: [-84, -86] }, [{ kind: 'wall', x: 42 }, { kind: 'band', from: [42, 66], to: 'hand1' }], 'ankle1'],
	['One-arm row', 'side', { torso: 14, head: 18, arm: [-92, -90], arm2: { to: [38, 27], bend: -1 }, leg: [-84, -96], leg2: [-100, -88] }, { torso: 16, head: 20, arm: [170, -90], arm2: { to: [38, 27], bend: -1 }, leg: [-84, -96], leg2: [-100, -88] }, [{ kind: 'chair', x: 28, faces: 'left' }, db('hand1')], 'ankle1'],
	['Bent-over row', 'side', { ...BENT, torso: 26, arm: [-92, -90] }, { ...BENT, torso: 28, arm: [178, -80] }, [db('hand1')]],
	['Backpack row', 'side', { ...BENT, torso: 26, arm: [-92, -90] }, { ...BENT, torso: 28, arm: [178, -80] }, [{ kind: 'pack', at: 'hand1' }]],
	['Curl', 'side', { ...UP, arm: [-90, -86] }, { ...UP, arm: [-88, 68] }, [db('hand1')]],
	['Hammer curl', 'side', { ...UP, arm: [-90, -86] }, { ...UP, arm: [-88, 64] }, [db('hand1', true)]],
	['Band curl', 'side', { ...UP, arm: [-90, -70] }, { ...UP, arm: [-88, 62] }, [{ kind: 'band', from: 'ankle1', to: 'hand1' }]],
	['Triceps press back', 'side', { torso: 24, head: 26, arm: [190, -92], arm2: { to: [40, 50], bend: -1 }, leg: [-78, -98] }, { torso: 24, head: 26, arm: [190, 188], arm2: { to: [40, 50], bend: -1 }, leg: [-78, -98] }, [{ kind: 'chair', x: 40, faces: 'right' }, db('hand1')]],
	['Overhead triceps press', 'side', { ...UP, arm: [88, 220] }, { ...UP, arm: [88, 92] }, [db('hand1')]],
	['Standing bird dog', 'side', { torso: 40, head: 45, arm: { to: [34, 50], bend: -1 }, leg: [-84, -94] }, { torso: 38, head: 42, arm: { to: [34, 50], bend: -1 }, arm2: [40, 38], leg: [-84, -94], leg2: [212, 212], foot2: -60 }, [{ kind: 'chair', x: 34, faces: 'right' }], 'ankle1'],
	['Wall plank', 'side', { torso: 66, arm: [-58, 75], leg: [-114, -114], at: [0, 3], foot: -30 }, { torso: 66, arm: [-58, 75], leg: [-114, -114], at: [0, 3], foot: -30 }, [{ kind: 'wall', x: 41 }], 'ankle1'],

	['Curl and press', 'side', { ...UP, arm: [-90, -86] }, { ...UP, arm: [86, 92] }, [db('hand1')]],
	['Squat and press', 'side', { ...SAT, arm: [-50, 92] }, { ...UP, arm: [86, 92] }, [db('hand1')]],
	['Squat with curl and press', 'side', { ...SAT, arm: [-80, -60] }, { ...UP, arm: [86, 92] }, [db('hand1')]],
	['Suitcase carry', 'side', { ...UP, arm: [-90, -90], leg: [-70, -84], leg2: [-108, -120], foot2: -35 }, { ...UP, arm: [-90, -90], leg: [-108, -120], leg2: [-70, -84], foot: -35 }, [db('hand1', true)], 'hip'],
	['Two-hand carry', 'front', { ...front, arm: [-100, -92], leg2: [-84, -100] }, { ...front, arm: [-100, -92], leg: [-96, -80] }, both],
	['Pack carry', 'side', { ...UP, torso: 84, arm: [-70, 40], leg: [-66, -84], leg2: [-108, -124], foot2: -35 }, { ...UP, torso: 84, arm: [-70, 40], leg: [-108, -124], leg2: [-66, -84], foot: -35 }, [{ kind: 'pack', at: 'back' }], 'hip'],
	['March on the spot', 'side', { ...UP, arm: [-60, 20], arm2: [-125, -60], leg2: [-20, -95] }, { ...UP, arm: [-125, -60], arm2: [-60, 20], leg: [-20, -95], leg2: [-90, -90] }, [], 'hip'],
	['March with arms up', 'side', { ...UP, arm: [80, 88], leg2: [0, -92] }, { ...UP, arm: [60, 84], leg: [0, -92], leg2: [-90, -90] }, [], 'hip'],
	['Fast feet', 'side', { ...HALF, torso: 74, arm: [-50, 50], arm2: [-120, 0], leg: [-56, -110], leg2: [-36, -112] }, { ...HALF, torso: 74, arm: [-120, 0], arm2: [-50, 50], leg: [-36, -112], leg2: [-56, -110] }, [], 'hip'],
	['High knees', 'side', { ...UP, arm: [-40, 70], arm2: [-140, -40], leg2: [12, -88], foot: -40 }, { ...UP, arm: [-140, -40], arm2: [-40, 70], leg: [12, -88], leg2: [-90, -90], foot2: -40 }, [], 'hip'],
	['Step touch', 'front', { ...front, leg: [-92, -90] }, { ...front, arm: [-130, -110], leg: [-93, -91], leg2: [-58, -62] }, [], 'ankle1'],
	['Step jack', 'front', { ...front, leg: [-92, -90] }, { ...front, arm: [120, 110], leg: [-93, -91], leg2: [-58, -62] }, [], 'ankle1'],
	['Jumping jack', 'front', { ...front, leg: [-92, -90] }, { ...front, arm: [122, 108], leg: [-116, -112], base: 6 }, [], 'hip'],
	['Skater step', 'front', { torso: 84, arm: [-130, -60], arm2: [-60, -20], leg: [-112, -82], leg2: [-100, -140] }, { torso: 96, arm: [-120, -160], arm2: [-50, -120], leg: [-80, -40], leg2: [-68, -98] }, [], 'hip'],
	['Stair climb', 'side', { ...UP, torso: 80, arm: [-60, 10], arm2: [-125, -70], leg: { to: [20, 16], bend: 1 }, leg2: [-96, -98], at: [0, 0] }, { ...UP, torso: 80, arm: [-125, -70], arm2: [-60, 10], leg: { to: [20, 16], bend: 1 }, leg2: [-20, -100], at: [30, 32] }, [{ kind: 'step', x: 10, width: 44, height: 16 }, { kind: 'step', x: 28, width: 26, height: 32 }], 'ankle2'],
	['Brisk walk', 'side', { ...UP, torso: 86, arm: [-65, 0], arm2: [-125, -70], leg: [-66, -80], leg2: [-110, -122], foot2: -40 }, { ...UP, torso: 86, arm: [-125, -70], arm2: [-65, 0], leg: [-110, -122], leg2: [-66, -80], foot: -40 }, [], 'hip'],
	['Boxing on the spot', 'side', { ...UP, torso: 84, arm: [-40, 75], arm2: [-55, 80], leg: [-72, -96], leg2: [-104, -112] }, { ...UP, torso: 80, arm: [4, 4], arm2: [-55, 80], leg: [-72, -96], leg2: [-104, -112] }, [], 'ankle1'],
	['Arm circles', 'front', { ...front, arm: [200, 200] }, { ...front, arm: [140, 140] }],
	['Leg swing', 'side', { ...UP, arm: { to: [24, 52], bend: -1 }, leg: [-50, -58], leg2: [-90, -90] }, { ...UP, arm: { to: [24, 52], bend: -1 }, leg: [-125, -135], leg2: [-90, -90] }, [{ kind: 'chair', x: 24, faces: 'right' }], 'ankle2'],

	['Calf stretch', 'side', { ...UP, torso: 84, arm: { to: [34, 70], bend: -1 }, leg: [-66, -92], leg2: [-104, -104] }, { torso: 72, arm: { to: [38, 70], bend: -1 }, leg: [-38, -106], leg2: [-116, -116] }, [{ kind: 'wall', x: 40 }], 'ankle2'],
	['Hamstring stretch', 'side', { ...UP, leg: { to: [40, 27], bend: 1 }, leg2: [-90, -90], foot: 70 }, { torso: 52, head: 60, arm: [-50, -30], leg: { to: [40, 27], bend: 1 }, leg2: [-92, -90], foot: 70 }, [{ kind: 'chair', x: 30, faces: 'left' }], 'ankle2'],
	['Thigh stretch', 'side', { ...UP, arm2: { to: [24, 70], bend: -1 } }, { ...UP, arm: { to: [-13, 50], bend: -1 }, arm2: { to: [24, 70], bend: -1 }, leg: [-92, 106], leg2: [-90, -90], foot: 150, foot2: 0 }, [{ kind: 'wall', x: 25 }], 'ankle2'],
	['Chest stretch', 'side', { ...UP, arm: [0, 90] }, { ...UP, torso: 86, arm: [170, 90], leg: [-76, -90], leg2: [-104, -108] }, [{ kind: 'wall', x: -20 }], 'ankle2'],
	['Side bend stretch', 'front', { ...front, arm2: [80, 95] }, { ...front, torso: 112, curve: 8, head: 125, arm: [-105, -95], arm2: [108, 140] }, [], 'ankle2']
];

import type { Row } from './row';

// prettier-ignore
export const STRETCHES: Row[] = [
	['Calf stretch', 'stretch', 'supported', 'calves /', 'wall', 's side', '', 'Heel down, knee straight | Hips forward'],
	['Bent-knee calf stretch', 'stretch', 'supported', 'calves /', 'wall', 's side', '', 'Heel down, knee bent | Knee towards the wall'],
	['Thigh stretch', 'stretch', 'supported', 'quads /', 'wall', 's side', '', 'Knees together | Tuck the pelvis'],
	['Side-lying thigh stretch', 'stretch', 'side lying', 'quads /', 'mat', 's side', '', 'Heel to the seat, knees together | Tuck the pelvis'],
	['Hamstring stretch', 'stretch', 'supported', 'hamstrings /', 'chair', 's side', '', 'Heel up, back long | Toes to the ceiling'],
	['Seated hamstring stretch', 'stretch', 'seated', 'hamstrings /', 'chair', 's side', '', 'On the edge of the seat, one leg long | Lean from the hips, back long'],
	['Lying hamstring stretch', 'stretch', 'back lying', 'hamstrings /', 'mat, towel', 's side', '', 'Towel round the foot | Other leg long'],
	['Hip flexor stretch', 'stretch', 'kneeling', 'hip flexors /', 'mat', 's side', '', 'Tuck the pelvis, stay tall | Cushion under the knee'],
	['Standing hip flexor stretch', 'stretch', 'supported', 'hip flexors /', 'chair', 's side', '', 'Long step, tuck the pelvis | Back heel up, chest tall'],
	['Figure four stretch', 'stretch', 'back lying', 'glutes, outer hip /', 'mat', 's side', '', 'Ankle over the knee, pull the thigh | Shoulders stay down'],
	['Seated figure four', 'stretch', 'seated', 'glutes, outer hip /', 'chair', 's side', '', 'Ankle over the knee, lean with a long back | Press the knee down gently'],
	['Inner thigh stretch', 'stretch', 'seated', 'inner thigh /', 'mat', 's', '', 'Soles together, back tall | Lean forward from the hips'],
	['Standing inner thigh stretch', 'stretch', 'standing', 'inner thigh /', '', 's side', '', 'Sit over one leg, the other long | Toes forward, back long'],
	['Chest stretch', 'stretch', 'supported', 'chest, front shoulder /', 'wall', 's side', '', 'Elbow at shoulder height, turn away | Shoulder low'],
	['Hands behind the back', 'stretch', 'standing', 'chest, front shoulder /', '', 's', '', 'Hands clasped, lift a little | Chest open'],
	['Upper arm stretch', 'stretch', 'standing', 'triceps /', '', 's side', '', 'Elbow up, hand down the back | Ribs down, other hand helps'],
	['Cross-body shoulder stretch', 'stretch', 'standing', 'rear shoulder /', '', 's side', '', 'Arm across, shoulder low | Press with the forearm, not on the elbow'],
	['Lat stretch', 'stretch', 'supported', 'lats /', 'table', 's', '', 'Hands on the table, hips back, chest low | Let the head hang between the arms'],
	['Side bend stretch', 'stretch', 'standing', 'obliques, lats /', '', 's side', '', 'Reach up and over | Both feet heavy'],
	['Child rest', 'stretch', 'kneeling', 'lower back, lats /', 'mat', 's', '', 'Breathe into the back | Knees as wide as they like'],
	['Seated fold', 'stretch', 'seated', 'lower back /', 'chair', 's', '', 'Let the head hang | Feet wide'],
	['Lying twist', 'stretch', 'back lying', 'lower back, obliques /', 'mat', 's side', '', 'Both shoulders down | Knees fall to one side'],
	['Seated twist', 'stretch', 'seated', 'lower back, obliques /', 'chair', 's side', '', 'Grow tall, then turn | Hold the chair back, breathe'],
	['Knees to chest', 'stretch', 'back lying', 'lower back, glutes /', 'mat', 's', '', 'Both knees in, small rocks | Breathe out as they come in'],
	['Front body stretch', 'stretch', 'front lying', 'abs, hip flexors /', 'mat', 's', '', 'On the forearms, hips down | Shoulders low, breathe into the belly', 'Not on the front after the first trimester'],
	['Wrist and forearm stretch', 'stretch', 'standing', 'forearms /', '', 's side', '', 'Arm long, pull the fingers back gently | Both ways, no force'],
	['Neck side stretch', 'stretch', 'seated', 'upper back /', 'chair', 's side', '', 'Ear to shoulder, no pull | Shoulders heavy'],
	['Shin stretch', 'stretch', 'kneeling', 'shins /', 'mat', 's', '', 'Sit back on the heels | Hands take some weight', 'Sore knee: leave it out']
];

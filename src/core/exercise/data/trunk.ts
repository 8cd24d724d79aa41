import type { Row } from './row';

const BACK = 'Sore back: smaller range, or the chair form';
const BIRTH = 'Not early after birth; not after the first trimester';

// prettier-ignore
export const TRUNK: Row[] = [
	['Standing bird dog', 'trunk', 'supported', 'lower back, glutes / abs', 'chair', 'reps side b1', '1-2-1-0', 'Hands on the chair, hips level | Reach long'],
	['Bird dog', 'trunk', 'all fours', 'lower back, glutes / abs', 'mat', 'reps side', '1-2-1-0', 'Hips level, reach long | Slow'],
	['Bird dog row', 'trunk', 'all fours', 'lats, lower back / abs, glutes', 'mat, dumbbell', 'reps side b1', '2-0-1-1', 'One leg long, row with the other hand | Hips level'],
	['Heel slide', 'trunk', 'back lying', 'abs / hip flexors', 'mat', 'reps side', '2-0-1-0', 'Lower back stays down | Breathe out as it slides'],
	['Dead bug', 'trunk', 'back lying', 'abs / hip flexors', 'mat', 'reps side', '2-1-1-0', 'Lower back stays down | Opposite arm and leg', BACK],
	['Loaded dead bug', 'trunk', 'back lying', 'abs / hip flexors, front shoulder', 'mat, light dumbbell', 'reps side', '2-1-1-0', 'Weight over the chest | Lower back stays down', BACK],
	['Hollow hold', 'trunk', 'back lying', 'abs / hip flexors', 'mat', 's', '', 'Lower back down | Arms long when you can', BIRTH],
	['Wall plank', 'trunk', 'supported', 'abs / front shoulder', 'wall', 's', '', 'Forearms on the wall | Body one line'],
	['Chair plank', 'trunk', 'supported', 'abs / front shoulder', 'chair', 's', '', 'Hands on the seat | Body one line', 'Chair against a wall'],
	['Knee plank', 'trunk', 'front lying', 'abs / front shoulder', 'mat', 's', '', 'Line from knee to head, breathe | Push the floor away'],
	['Plank', 'trunk', 'front lying', 'abs / front shoulder, glutes', 'mat', 's', '', 'Elbows under the shoulders, breathe | Hips level'],
	['Plank with shoulder tap', 'trunk', 'front lying', 'abs, obliques / front shoulder', 'mat', 'reps side', '1-0-1-0', 'Feet wide, hips still | Slow, a breath to each tap'],
	['Long plank', 'trunk', 'front lying', 'abs / front shoulder, lats', 'mat', 's', '', 'Hands ahead of the shoulders | Belly firm', BACK],
	['Knee side plank', 'trunk', 'side lying', 'obliques / outer hip', 'mat', 's side', '', 'Hips forward, breathe | Elbow under the shoulder'],
	['Side plank', 'trunk', 'side lying', 'obliques / outer hip', 'mat', 's side', '', 'Hips high, breathe | Elbow under the shoulder'],
	['Side plank with leg raise', 'trunk', 'side lying', 'obliques, outer hip /', 'mat', 's side', '', 'Top leg up, hips high | Toes forward, breathe'],
	['Standing side crunch', 'trunk', 'standing', 'obliques / hip flexors', '', 'reps side b1', '1-0-1-0', 'Elbow to knee | Stand tall between'],
	['Half crunch', 'trunk', 'back lying', 'abs /', 'mat', 'reps', '2-0-1-1', 'Ribs to hips, chin free | Breathe out on the way up', BIRTH],
	['Crunch with reach', 'trunk', 'back lying', 'abs / obliques', 'mat', 'reps', '2-0-1-1', 'Reach past the knees | Lower slow', BIRTH],
	['Leg lowering', 'trunk', 'back lying', 'abs / hip flexors', 'mat', 'reps', '3-0-1-0', 'Only as low as the back stays down | Hands under the hips help', BACK],
	['Bicycle crunch', 'trunk', 'back lying', 'obliques, abs / hip flexors', 'mat', 's', '2-0-2-0', 'Slow, elbow towards the knee | Lower back stays down', BIRTH],
	['Seated knee lift', 'trunk', 'seated', 'abs / hip flexors', 'chair', 'reps side', '1-0-1-1', 'Sit tall, one knee up | No lean back'],
	['Seated lean back', 'trunk', 'seated', 'abs / hip flexors', 'chair', 's', '', 'Lean back with a long back | Feet flat, chin free'],
	['Band push from the chest', 'trunk', 'standing', 'obliques, abs / chest', 'band', 'reps side', '1-2-1-0', 'Band from the side | Do not let it turn you'],
	['Band wood chop', 'trunk', 'standing', 'obliques / abs, front shoulder', 'band', 'reps side', '2-0-1-0', 'High to low, turn the ribs and hips | Arms long, hips follow'],
	['Dumbbell wood chop', 'trunk', 'standing', 'obliques / abs, front shoulder', 'dumbbell', 'reps side', '2-0-1-0', 'Low to high | Pivot the back foot'],
	['Seated turn with weight', 'trunk', 'floor seated', 'obliques / abs', 'dumbbell, mat', 'reps side', '1-0-1-0', 'Lean back a little | Turn the ribs', BACK],
	['Standing band turn', 'trunk', 'standing', 'obliques / abs', 'band', 'reps side', '2-0-1-0', 'Arms long, turn from the ribs | Hips face front'],
	['Back extension', 'trunk', 'front lying', 'lower back / glutes', 'mat', 'reps', '2-0-1-1', 'Chest just off the floor | Look down', 'Not on the front after the first trimester'],
	['Swimmer', 'trunk', 'front lying', 'lower back, glutes / rear shoulder', 'mat', 's', '1-0-1-0', 'Opposite arm and leg | Small and quick', 'Not on the front after the first trimester'],
	['Bear hold', 'trunk', 'all fours', 'abs / quads, front shoulder', 'mat', 's', '', 'Knees a hand off the floor | Back flat'],
	['Bear crawl', 'trunk', 'all fours', 'abs / quads, front shoulder', 'mat', 's', '1-0-1-0', 'Small steps, knees low | Hips level'],
	['Inchworm', 'trunk', 'all fours', 'abs / hamstrings, front shoulder', 'mat', 'reps', '3-0-3-0', 'Walk the hands out and back | Soft knees'],
	['Suitcase hold', 'carry', 'standing', 'obliques, forearms /', 'dumbbell', 's side', '', 'No lean | Shoulders level'],
	['Suitcase carry', 'carry', 'standing', 'obliques, forearms / upper back', 'dumbbell', 'm side', '', 'Shoulders level, short steps | Tall'],
	['Backpack suitcase carry', 'carry', 'standing', 'obliques, forearms / upper back', 'loaded backpack', 'm side', '', 'Pack in one hand | Shoulders level'],
	['Two-hand carry', 'carry', 'standing', 'forearms, upper back / abs', '2 dumbbell', 'm', '', 'Shoulders low, short steps | Breathe'],
	['Bottle carry', 'carry', 'standing', 'forearms, upper back / abs', '2 water bottle', 'm', '', 'Shoulders low, short steps | The largest bottles you have'],
	['Pack carry', 'carry', 'standing', 'upper back, quads / abs, calves', 'loaded backpack', 'm', '', 'Tall, short steps | Hip belt takes the weight'],
	['Front carry', 'carry', 'standing', 'upper back, abs / biceps', 'dumbbell', 'm', '', 'Weight at the chest | Ribs down'],
	['Overhead carry', 'carry', 'standing', 'front shoulder, upper back / obliques', 'dumbbell', 'm side', '', 'Arm by the ear | Ribs down', 'Sore shoulder: suitcase carry instead']
];

/**
 * What a careful coach would object to in what somebody gets, told by the names of movements and independent of the ratings
 * that the program goes by. Common practice, no source.
 */
import type { Condition } from '$core/kit';
import type { Level } from '$core/people';

const JUMPS = /jump|\bhop\b|^rope skip|^high knees|^run$|hill run/i;
const FLOOR =
	/^(knee|hand-release|slow|feet-raised|narrow|backpack) push-up|^push-up|^hips-high|floor press|chest fly|pullover|lying|glute bridge|^band glute|single-leg bridge|hip thrust|clamshell|side-lying|bird dog(?! )|^bird dog|dead bug|heel slide|hollow|^plank|^long plank|knee plank|side plank|crunch(?! )|^half crunch|crunch with|bicycle|leg lowering|russian|back extension|swimmer|bear|inchworm|mountain climber|^squat thrust|bridge and press|get-up|cat and camel|open book|thread|^roll|child rest|knees to chest|front body|shin stretch|^hip flexor|^figure four|^inner thigh|donkey|kneeling|towel leg|table row|^band pull-down|plank row/i;
const SEATED_FLOOR = /^seated|^standing|^wall|^chair|^incline/i;
const isFloor = (name: string): boolean => FLOOR.test(name) && !SEATED_FLOOR.test(name);
const OVERHEAD =
	/press$|overhead|pull-up|hang|lowering from|pull-down|pullover|arms up|wall slide|hips-high|step jack|jumping jack|standing climber/i;
const NOT_OVERHEAD =
	/chest press|floor press|palm press|squeeze press|triceps press|leg press|seated step jack|lying triceps/i;
const isOverhead = (name: string): boolean => OVERHEAD.test(name) && !NOT_OVERHEAD.test(name);
const LONG_RAISE = /lateral raise|front raise|upright row|chest fly|jumping jack/i;
const DEEP_KNEE =
	/squat|lunge|step-up|step-down|wall sit|thrust|stair|hill|run$|jump|\bhop\b|^rope skip|skater|kneeling|high knees|donkey|bear|bird dog|knee (push|plank)|cat and camel|thread|hip flexor|child|shin|sit to chair|single-leg sit/i;
const KNEE_FINE =
	/^(half|short|low step|hip thrust|loaded hip thrust|standing bird|standing hip flexor|seated|chair hinge|sit to)|half squat/i;
const LOADED_HINGE =
	/deadlift|swing|good morning|bent-over|backpack row|clean|russian|leg lowering|hollow|bicycle|crunch with/i;
const ON_HANDS =
	/push-up|bear|climber|shoulder tap|long plank|squat thrust|inchworm|bird dog|plank row|donkey|cat and camel|chair plank|chair dip|thread|get-up/i;
const HANDS_FINE = /wall push-up|standing|table/i;
const PRESSURE =
	/crunch|hollow|leg lowering|bicycle|^plank|^long plank|side plank with|climber|squat thrust|inchworm|jump|\bhop\b|russian|get-up|plank row|hand-release|feet-raised|^run$|hill run|high knees|rope/i;
const PRESSURE_FINE = /standing (side crunch|climber)|shadow/i;
const UNSTEADY =
	/walking lunge|skater|fast feet|high knees|butt kicks|jump|\bhop\b|rope|single-leg deadlift|dumbbell (reverse lunge|step-up|split squat|side lunge)|lunge and curl|step-up and press|overhead carry|boxing on|march with arms|mountain|step jack|standing climber/i;
const UNSTEADY_FINE = /^seated/i;
const ELBOW_HARD = /dip|triceps press|curl|push-up|overhead|press$|pull-up|lowering from/i;
const ELBOW_FINE = /leg press|wall push-up|table push-up|palm|squeeze|bottle|towel triceps|chest press/i;
const ANKLE_HARD =
	/jump|\bhop\b|rope|run$|fast feet|butt|skater|hill|stair|single-leg|curtsy|^calf raise|loaded calf|shin/i;
const NECK_HARD = /crunch|hollow|swimmer|lying reach/i;

const rules: Partial<Record<Condition, (name: string) => boolean>> = {
	seated: (name) => !/seated|towel curl|ankle circles|neck side|towel triceps/i.test(name),
	'standing with a support': (name) => isFloor(name) || JUMPS.test(name) || unsteady(name),
	'unsure balance': (name) => isFloor(name) || unsteady(name),
	'no getting down to the floor': isFloor,
	'pregnant, first trimester': (name) => unsteady(name),
	'pregnant, second trimester': (name) => pregnant(name),
	'pregnant, third trimester': (name) => pregnant(name),
	'first weeks after birth': (name) => JUMPS.test(name) || pressure(name),
	'after birth': (name) => JUMPS.test(name) || pressure(name),
	'later after birth': (name) =>
		/jump|crunch|hollow|^plank|mountain climber/i.test(name) && !PRESSURE_FINE.test(name),
	'sore neck': (name) => NECK_HARD.test(name) && !/standing side/i.test(name),
	'sore shoulder': (name) =>
		isOverhead(name) || LONG_RAISE.test(name.replace(/half lateral raise/i, '')) || /dip/i.test(name),
	'sore elbow': (name) => ELBOW_HARD.test(name) && !ELBOW_FINE.test(name),
	'sore wrist': (name) => ON_HANDS.test(name) && !HANDS_FINE.test(name),
	'sore back': (name) => LOADED_HINGE.test(name) || JUMPS.test(name),
	'sore hip': (name) =>
		JUMPS.test(name) ||
		(/lunge|single-leg|leg lowering|rear foot|side lunge/i.test(name) && !/calf|wall sit/i.test(name)),
	'sore knee': (name) => DEEP_KNEE.test(name) && !KNEE_FINE.test(name),
	'sore ankle': (name) => ANKLE_HARD.test(name) && !/wall sit|single-leg bridge|seated/i.test(name),
	'over 65': (name) => isFloor(name) || JUMPS.test(name) || unsteady(name),
	'after an operation': (name) => JUMPS.test(name) || pressure(name) || LOADED_HINGE.test(name),
	'no squats or lunges': (name) =>
		/squat|lunge|wall sit|sit to chair|step-up/i.test(name) && !/^seated/i.test(name)
};
const unsteady = (name: string): boolean => UNSTEADY.test(name) && !UNSTEADY_FINE.test(name);
const pressure = (name: string): boolean => PRESSURE.test(name) && !PRESSURE_FINE.test(name);
const pregnant = (name: string): boolean =>
	JUMPS.test(name) ||
	unsteady(name) ||
	(pressure(name) && !/push-up/i.test(name)) ||
	(isFloor(name) &&
		/press|fly|pullover|bridge|dead bug|heel slide|lying|push-up|swimmer|back extension|front body/i.test(
			name
		) &&
		!/side-lying/i.test(name));

/** Whether an exercise is unsuitable for a condition. */
export const isUnsuitable = (name: string, condition: Condition | 'none'): boolean =>
	condition !== 'none' && (rules[condition]?.(name) ?? false);

/** Whether an exercise needs more than a spot on the floor. */
export const isOutside = (name: string): boolean => /walk$|^run$|hill|stair/i.test(name);

/**
 * Kilograms (of each hand, or in all for one weight) that somebody presses, curls and so on who does a goblet squat with
 * one, told by the kind of movement.
 */
export function shareOfSquat(name: string): number {
	if (
		/lateral raise|front raise|rear raise|pull-apart|chest fly|triceps press back|lying triceps/i.test(name)
	)
		return 0.3;
	if (/upright row|dead bug|squeeze/i.test(name)) return 0.4;
	if (/curl|press(?! back)|get-up|russian|chop|turn/i.test(name)) return 0.65;
	if (/row|carry|split squat|lunge|step-up|pullover|hinge/i.test(name)) return 1.1;
	return 1.4;
}

/** The most that a level lifts in a goblet squat of ten, kilograms. */
export const MOST_SQUAT: Readonly<Record<Level, number>> = {
	beginner: 14,
	'some experience': 22,
	trained: 30
};

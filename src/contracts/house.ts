import { number, object, string } from 'yup';
import { COUNT_RULES, DEPTH_RULES, KNEE_RULES, LAST_REST_RULES, type HouseRules } from '$core/practice';
import type { Assert, Same } from './same';
import { tempoSchema } from './tempo';

const whole = (label: string, min: number, max: number) =>
	number()
		.typeError(`${label} is a number from ${min} to ${max}`)
		.integer(`${label} is a whole number from ${min} to ${max}`)
		.min(min, `${label} is a number from ${min} to ${max}`)
		.max(max, `${label} is a number from ${min} to ${max}`)
		.required(`${label} is a number from ${min} to ${max}`);

export const houseSchema = object({
	knee: string()
		.oneOf([...KNEE_RULES])
		.required(),
	depth: string()
		.oneOf([...DEPTH_RULES])
		.required(),
	count: string()
		.oneOf([...COUNT_RULES])
		.required(),
	lastRest: string()
		.oneOf([...LAST_REST_RULES])
		.required(),
	betweenBlocks: whole('the seconds between blocks', 0, 600),
	stretchHold: whole('the hold of a stretch', 5, 120),
	tempo: tempoSchema.required(),
	floorChanges: whole('times down to the floor', 0, 50),
	minuteLeft: whole('the rest of a minute', 1, 45),
	warmUp: whole('minutes of warm-up', 0, 30),
	coolDown: whole('minutes of cool-down', 0, 30),
	hardSets: whole('the sets that make a day hard', 1, 30),
	weekSets: whole('sets in a week', 1, 40),
	riseMost: whole('the rise of a week, in percent,', 1, 100),
	steadyAWeek: whole('steady cardio sessions', 0, 7),
	hardAWeek: whole('hard cardio sessions', 0, 7),
	dullAfter: whole('the sessions looked back', 1, 40),
	silentFrom: whole('the days without a check-in', 1, 14),
	fadingFrom: whole('the points of adherence lost', 5, 100),
	laterBy: whole('the hours by which somebody checks in later', 1, 24),
	hardEffort: whole('the effort that is too hard', 5, 10),
	againAfter: whole('the days until somebody comes up again', 1, 28),
	finishFrom: whole('the share of all work', 10, 100)
});

export type HouseFields = Assert<Same<keyof typeof houseSchema.fields, keyof HouseRules>>;

/** The rules that say when somebody comes up under Reach out. */
export const TRIAGE_RULES = [
	'silentFrom',
	'fadingFrom',
	'laterBy',
	'hardEffort',
	'againAfter',
	'finishFrom'
] as const satisfies (keyof HouseRules)[];

export const triageRulesSchema = houseSchema.pick([...TRIAGE_RULES]);

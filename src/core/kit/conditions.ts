import { type Limitation } from './limits';

/** What is true of somebody, as far as it decides what must not be asked of them. */
export const CONDITIONS = [
	'seated',
	'standing with a support',
	'unsure balance',
	'no getting down to the floor',
	'pregnant, first trimester',
	'pregnant, second trimester',
	'pregnant, third trimester',
	'first weeks after birth',
	'after birth',
	'later after birth',
	'sore neck',
	'sore shoulder',
	'sore elbow',
	'sore wrist',
	'sore back',
	'sore hip',
	'sore knee',
	'sore ankle',
	'over 65',
	'after an operation',
	'no squats or lunges'
] as const;
export type Condition = (typeof CONDITIONS)[number];

interface Circumstance {
	limits: readonly Limitation[];
	/** What to keep in mind, sentence by sentence; professionals have the last word. */
	advice: readonly string[];
	/** Where the rule is from. */
	source: string;
}

/** Said to everyone who needs something to hold, in the same words. */
export const SUPPORT = 'A chair, wall or worktop within reach all the time.';

const SEE = 'See a professional if pain is sharp or lasts.';
const COMMON = 'common practice, no source';
const ACOG =
	'ACOG Committee Opinion 804 (2020), from memory: no long time flat on the back, no contact or risk of falling, talk test in place of heart rate';
const CLEARED = 'With clearance from a doctor or midwife.';
const PELVIC_FLOOR = 'With clearance only; pelvic floor first, no crunching early.';

const sore = (limits: readonly Limitation[], advice: string): Circumstance => ({
	limits,
	advice: [advice, SEE],
	source: COMMON
});

const LATER_IN_PREGNANCY: readonly Limitation[] = [
	'no lying on the back',
	'no lying on the front',
	'no jumps',
	'no balance without support'
];

/** Limits, advice and source of each condition; what a limit means is in `limits.ts`. */
const CIRCUMSTANCES: Readonly<Record<Condition, Circumstance>> = {
	seated: { limits: ['seated only'], advice: ['Everything on a chair that can’t slide.'], source: COMMON },
	'standing with a support': {
		limits: ['no floor', 'no jumps', 'no balance without support'],
		advice: [SUPPORT],
		source: COMMON
	},
	'unsure balance': {
		limits: ['no floor', 'no balance without support'],
		advice: [SUPPORT, 'No single-leg work without something to hold.'],
		source: COMMON
	},
	'no getting down to the floor': {
		limits: ['no floor'],
		advice: ['Wall and chair variations of floor work.'],
		source: COMMON
	},
	'pregnant, first trimester': {
		limits: ['no balance without support'],
		advice: ['Talk test rather than heart rate, no breath-holding, no overheating.', CLEARED],
		source: ACOG
	},
	'pregnant, second trimester': {
		limits: [...LATER_IN_PREGNANCY, 'no crunches'],
		advice: ['Talk test rather than heart rate, no breath-holding, range of motion as comfortable.', CLEARED],
		source: ACOG
	},
	'pregnant, third trimester': {
		limits: [...LATER_IN_PREGNANCY, 'no crunches', 'low trunk pressure', 'lighter loads'],
		advice: ['Talk test rather than heart rate, no breath-holding, range of motion as comfortable.', CLEARED],
		source: ACOG
	},
	'first weeks after birth': {
		limits: ['no jumps', 'no crunches', 'low trunk pressure', 'gentle all over', 'lighter loads'],
		advice: [PELVIC_FLOOR],
		source: ACOG
	},
	'after birth': {
		limits: ['no jumps', 'no crunches', 'low trunk pressure'],
		advice: [PELVIC_FLOOR],
		source: ACOG
	},
	'later after birth': {
		limits: ['no jumps', 'no crunches'],
		advice: ['Jumps, planks and crunches once your midwife or a physiotherapist agrees.'],
		source: COMMON
	},
	'sore neck': sore(['easy on the neck'], 'Shoulders low, no weight overhead if it pulls in the neck.'),
	'sore shoulder': sore(['easy on the shoulders'], 'Weight at the side instead of overhead.'),
	'sore elbow': sore(['easy on the elbows'], 'A loose grip, light weights, no locked elbows.'),
	'sore wrist': sore(['no weight on the wrists'], 'On forearms or handles.'),
	'sore back': sore(['easy on the back'], 'Chair or wall variations of floor work.'),
	'sore hip': sore(['easy on the hips'], 'A smaller range without pain.'),
	'sore knee': sore(['no jumps', 'no deep knee bend', 'no kneeling'], 'A smaller range without pain.'),
	'sore ankle': sore(['no jumps', 'easy on the ankles'], 'Both feet flat, firm shoes.'),
	'over 65': {
		limits: ['no floor', 'no jumps', 'no balance without support', 'lighter loads'],
		advice: [SUPPORT, 'Down to the floor only for those who choose it.'],
		source: 'ACSM, Guidelines for Exercise Testing and Prescription, from memory'
	},
	'after an operation': {
		limits: ['no jumps', 'no crunches', 'low trunk pressure', 'gentle all over', 'lighter loads'],
		advice: ['As the surgeon or physiotherapist said; nothing that pulls on the scar.'],
		source: COMMON
	},
	'no squats or lunges': {
		limits: ['no squats or lunges'],
		advice: ['Hinges and bridges for the legs.'],
		source: COMMON
	}
};

/** The limits that a condition brings. */
export const limitsOf = (condition: Condition): readonly Limitation[] => CIRCUMSTANCES[condition].limits;

/** The limits that a condition alone brings: who has one of them has it, as far as limits can tell. */
export const tellingLimits = (condition: Condition): readonly Limitation[] =>
	limitsOf(condition).filter(
		(limit) => !CONDITIONS.some((other) => other !== condition && limitsOf(other).includes(limit))
	);

/** Where the rule of a condition is from. */
export const sourceOf = (condition: Condition): string => CIRCUMSTANCES[condition].source;

/** What to keep in mind with a condition, sentence by sentence. */
export const adviceFor = (condition: Condition): readonly string[] => CIRCUMSTANCES[condition].advice;

/** For whom effort is told by talking and not by heart rate. */
export const talksRatherThanCounts = (condition: Condition): boolean => condition.startsWith('pregnant');

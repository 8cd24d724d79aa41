import { type Limitation } from './limits';

/** What a coach knows of the people a challenge is for, as far as it decides what they must not be asked for. */
export const CONDITIONS = [
	'seated',
	'standing with a support',
	'no getting down to the floor',
	'pregnant, first trimester',
	'pregnant, second trimester',
	'pregnant, third trimester',
	'after birth',
	'sore knee',
	'sore hip',
	'sore back',
	'sore shoulder',
	'sore wrist',
	'over 65',
	'no squats or lunges'
] as const;
export type Condition = (typeof CONDITIONS)[number];

interface Circumstance {
	limits: readonly Limitation[];
	/** What to keep in mind, sentence by sentence; professionals have the last word. */
	advice: readonly string[];
}

/** Said of everybody who needs something to hold, in the same words. */
export const SUPPORT = 'A chair, wall or worktop within reach all the time.';

const SEE = 'See a professional if pain is sharp or lasts.';

const LATER_IN_PREGNANCY: Circumstance = {
	limits: [
		'no lying on the back',
		'no lying on the front',
		'no jumps',
		'no balance without support',
		'no crunches'
	],
	advice: [
		'Talk test rather than heart rate, no breath-holding, range of motion as comfortable.',
		'With clearance from a doctor or midwife.'
	]
};

/**
 * What each asks for. Pregnancy: ACOG Committee Opinion 804 (2020), from memory: no long time flat on the back, no contact,
 * no risk of falling, the talk test in place of heart rate. The rest is common practice, no source.
 */
const CIRCUMSTANCES: Readonly<Record<Condition, Circumstance>> = {
	seated: { limits: ['seated only'], advice: ['Everything on a chair that can’t slide.'] },
	'standing with a support': {
		limits: ['no floor', 'no jumps', 'no balance without support'],
		advice: [SUPPORT]
	},
	'no getting down to the floor': {
		limits: ['no floor'],
		advice: ['Wall and chair variations of floor work.']
	},
	'pregnant, first trimester': {
		limits: [],
		advice: [
			'Talk test rather than heart rate, no breath-holding, no overheating.',
			'With clearance from a doctor or midwife.'
		]
	},
	'pregnant, second trimester': LATER_IN_PREGNANCY,
	'pregnant, third trimester': LATER_IN_PREGNANCY,
	'after birth': {
		limits: ['no jumps', 'no crunches'],
		advice: ['With clearance only; pelvic floor first, no crunching early.']
	},
	'sore knee': {
		limits: ['no jumps', 'no deep knee bend', 'no kneeling'],
		advice: ['A smaller range without pain.', SEE]
	},
	'sore hip': {
		limits: ['easy on the hips'],
		advice: ['A smaller range without pain.', SEE]
	},
	'sore back': {
		limits: ['easy on the back'],
		advice: ['Chair or wall variations of floor work.', SEE]
	},
	'sore shoulder': {
		limits: ['easy on the shoulders'],
		advice: ['Weight at the side instead of overhead.', SEE]
	},
	'sore wrist': {
		limits: ['no weight on the wrists'],
		advice: ['On forearms or handles.', SEE]
	},
	'over 65': {
		limits: ['no floor', 'no jumps', 'no balance without support'],
		advice: [SUPPORT, 'Down to the floor only for those who choose it.']
	},
	'no squats or lunges': { limits: ['no squats or lunges'], advice: ['Hinges and bridges for the legs.'] }
};

/** The limits that a condition brings. */
export const limitsOf = (condition: Condition): readonly Limitation[] => CIRCUMSTANCES[condition].limits;

/** The limits that a condition alone brings: who has one of them has it, as far as limits can tell. */
export const tellingLimits = (condition: Condition): readonly Limitation[] =>
	limitsOf(condition).filter(
		(limit) => !CONDITIONS.some((other) => other !== condition && limitsOf(other).includes(limit))
	);

/** What to keep in mind with a condition, sentence by sentence. */
export const adviceFor = (condition: Condition): readonly string[] => CIRCUMSTANCES[condition].advice;

/** For whom effort is told by talking and not by heart rate. */
export const talksRatherThanCounts = (condition: Condition): boolean => condition.startsWith('pregnant');

import type { Exercise, Tempo } from '../exercise';
import { cuesWithin, holdsOn, type Limitation } from '../kit';

export const KNEE_RULES = ['behind the toes', 'may pass the toes'] as const;
export const DEPTH_RULES = ['90° at the knee', 'as deep as control allows'] as const;
export const COUNT_RULES = ['the lower of two', 'clean ones only'] as const;

/** Whether the rest after the last round of a block is kept: that of the round where there is one. */
export const LAST_REST_RULES = ['left out', 'kept'] as const;

/** How a coach wants things done where coaches differ. */
export interface HouseRules {
	knee: (typeof KNEE_RULES)[number];
	depth: (typeof DEPTH_RULES)[number];
	/** What counts when two counts differ or form goes. */
	count: (typeof COUNT_RULES)[number];
	lastRest: (typeof LAST_REST_RULES)[number];
	/** Seconds from one block to the next; 0: straight on. */
	betweenBlocks: number;
	/** Seconds that a stretch is held at least. */
	stretchHold: number;
	/** For exercises without a tempo of their own. */
	tempo: Tempo;
	/** Times down to the floor and up again in one session. */
	floorChanges: number;
	/** Seconds of rest that a minute of an EMOM leaves. */
	minuteLeft: number;
	/** Minutes, at least. */
	warmUp: number;
	coolDown: number;
	/** Sets on one muscle that make a day hard for it. */
	hardSets: number;
	/** Sets for each muscle in a week that are shown as the mark to reach. */
	weekSets: number;
	/** Percent by which a week may be harder than the one before. */
	riseMost: number;
	/** Cardio sessions in a week. */
	steadyAWeek: number;
	hardAWeek: number;
	/** Sessions back to which an exercise is looked for before it counts as new again. */
	dullAfter: number;
	/** Due days without a check-in from which somebody counts as silent. */
	silentFrom: number;
	/** Points of adherence by which the last 7 days lie under the 7 before, for somebody to count as fading. */
	fadingFrom: number;
	/** Hours by which somebody checks in later than before, for it to be a reason to write. */
	laterBy: number;
	/** Effort (0…10) of two sessions running from which they were too hard. */
	hardEffort: number;
	/** Days after which somebody who was written to comes up again for the same reason. */
	againAfter: number;
	/** Percent of all work from which somebody has finished a challenge. */
	finishFrom: number;
}

/**
 * Stretch 30 s, warm-up and cool-down 5 min: ACSM's Guidelines for Exercise Testing and Prescription (10-30 s, older
 * adults 30-60 s; 5-10 min), from memory. Ten sets a muscle and week: Schoenfeld, Ogborn and Krieger 2017, J Sports
 * Sci 35:1073. The rest is common practice, no source: two seconds down and one up, for one.
 */
export const DEFAULT_HOUSE: HouseRules = {
	knee: 'may pass the toes',
	depth: '90° at the knee',
	count: 'the lower of two',
	lastRest: 'left out',
	betweenBlocks: 30,
	stretchHold: 30,
	tempo: [2, 0, 1, 0],
	floorChanges: 4,
	minuteLeft: 15,
	warmUp: 5,
	coolDown: 5,
	hardSets: 4,
	weekSets: 10,
	riseMost: 10,
	steadyAWeek: 2,
	hardAWeek: 2,
	dullAfter: 8,
	silentFrom: 2,
	fadingFrom: 25,
	laterBy: 6,
	hardEffort: 9,
	againAfter: 3,
	finishFrom: 80
};

const KNEE_CUES = { 'behind the toes': 'Knees stay behind the toes', 'may pass the toes': 'Heels stay down' };
const DEPTH_CUES = {
	'90° at the knee': 'Down to 90° at the knee',
	'as deep as control allows': 'As deep as you control'
};

/** From this rating on a knee bends far enough for the house rule on depth to mean anything. */
const BENDS = 2;

/** The cues of an exercise with what the house adds to squats and lunges that bend the knee to a right angle. */
export function cuesFor(exercise: Exercise, house: HouseRules): string[] {
	const isDeep = exercise.pattern === 'squat' || exercise.pattern === 'lunge';
	if (!isDeep || exercise.demands.knee < BENDS) return [...exercise.cues];
	const added = [DEPTH_CUES[house.depth], KNEE_CUES[house.knee]];
	const said = exercise.cues.join(' ').toLowerCase();
	return [...exercise.cues, ...added.filter((cue) => !said.includes(cue.toLowerCase()))];
}

/** What somebody with poor balance is told first. */
const HOLD_ON = 'One hand on a chair, wall or worktop';

/** The cues as one person is told them: a support where they need one, and nothing that contradicts their limits. */
export function cuesSaidTo(exercise: Exercise, house: HouseRules, limits: readonly Limitation[]): string[] {
	const said = cuesWithin(cuesFor(exercise, house), exercise, limits);
	return holdsOn(exercise, limits) ? [HOLD_ON, ...said] : said;
}

const COUNT_WORDS = {
	'the lower of two': 'Unsure of a rep? Count the lower number.',
	'clean ones only': 'Only clean repetitions count.'
};

/** What counts, as a sentence for those who count. */
export const countWords = (house: HouseRules): string => COUNT_WORDS[house.count];

import type { Muscle } from '../exercise';

/** What a coach may have asked at a check-in beside how much was done, how hard it was and whether anything hurts. */
export const QUESTIONS = {
	energy: 'Energy',
	mood: 'Mood',
	sleep: 'Hours of sleep',
	soreness: 'Soreness, on a drawing',
	water: 'Water in litres',
	fuel: 'Food target met',
	win: 'A small win',
	note: 'Note to the coach'
} as const;
export type Question = keyof typeof QUESTIONS;
export const QUESTION_KEYS = Object.keys(QUESTIONS) as Question[];

/** Common practice, no source: what fits into a minute. */
export const DEFAULT_QUESTIONS: readonly Question[] = ['energy', 'mood', 'sleep', 'soreness', 'note'];

/** Parts of the body that are sore after training, as one says it, with the muscles of each: those of a session can be told by them. */
export const SORE_AREAS = {
	shoulders: ['front shoulder', 'side shoulder', 'rear shoulder'],
	chest: ['chest'],
	arms: ['biceps', 'triceps'],
	forearms: ['forearms'],
	belly: ['abs', 'obliques'],
	'upper back': ['upper back', 'lats'],
	'lower back': ['lower back'],
	glutes: ['glutes', 'outer hip'],
	'front of thighs': ['quads', 'hip flexors', 'inner thigh'],
	'back of thighs': ['hamstrings'],
	shins: ['shins'],
	calves: ['calves']
} as const satisfies Record<string, readonly Muscle[]>;
export type SoreArea = keyof typeof SORE_AREAS;
export const SORE_KEYS = Object.keys(SORE_AREAS) as SoreArea[];

/** How sore: 1 a little, 2 clearly, 3 it hinders. */
export type Soreness = Partial<Record<SoreArea, 1 | 2 | 3>>;
export const SORENESS_WORDS = { 1: 'a little', 2: 'clearly', 3: 'it hinders' } as const;

/** What pain feels like. Sharp, or with a loss of feeling, is the one to have looked at first. */
export const PAIN_KINDS = ['sharp', 'dull', 'pulling', 'burning', 'numb'] as const;
export type PainKind = (typeof PAIN_KINDS)[number];

const ORDER = [3, 2, 1] as const;

/** Soreness in words, the worst first: `calves (it hinders), chest (a little)`. */
export const sorenessText = (soreness: Soreness): string =>
	ORDER.flatMap((level) =>
		SORE_KEYS.filter((area) => soreness[area] === level).map((area) => `${area} (${SORENESS_WORDS[level]})`)
	).join(', ');

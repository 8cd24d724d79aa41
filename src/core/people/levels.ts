import { ownOf } from '../text/own';

export const LEVELS = ['beginner', 'some experience', 'trained'] as const;
export type Level = (typeof LEVELS)[number];

/** Other words that people write for a level. */
const ALSO: Record<string, Level> = {
	new: 'beginner',
	novice: 'beginner',
	easy: 'beginner',
	intermediate: 'some experience',
	some: 'some experience',
	middle: 'some experience',
	advanced: 'trained',
	experienced: 'trained',
	hard: 'trained'
};

/** The level meant by a word; null when none is. */
export function levelNamed(word: string): Level | null {
	const wanted = word.trim().toLowerCase();
	return LEVELS.find((level) => level === wanted) ?? ownOf(ALSO, wanted) ?? null;
}

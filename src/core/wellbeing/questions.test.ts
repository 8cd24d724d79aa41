import { expect, it } from 'vitest';
import { MUSCLES } from '../exercise';
import { DEFAULT_QUESTIONS, QUESTION_KEYS, SORE_AREAS, sorenessText } from './questions';

it('says soreness in words, the worst first', () => {
	expect(sorenessText({ chest: 1, calves: 3, arms: 1, glutes: 2 })).toBe(
		'calves (it hinders), glutes (clearly), chest (a little), arms (a little)'
	);
	expect(sorenessText({})).toBe('');
});

it('asks at first for no more than there is', () => {
	expect(DEFAULT_QUESTIONS.every((one) => QUESTION_KEYS.includes(one))).toBe(true);
});

it('every muscle is a part of one place that can be sore', () => {
	expect(Object.values(SORE_AREAS).flat().sort()).toEqual([...MUSCLES].sort());
});

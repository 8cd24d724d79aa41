import { describe, expect, it } from 'vitest';
import { compileSession, parseSessionText, type Session } from '../session';
import { aerobicMinutes, cardioOf, expectedEffort } from './effort';
import type { PlannedDay } from './model';
import { PRACTICE } from '../../../tests/support/practice';

const sessionOf = (text: string): Session => parseSessionText(text, PRACTICE).session;
const day = (kind: PlannedDay['kind'], effort: number | null = null): PlannedDay => ({
	kind,
	session: 's',
	effort,
	tests: []
});
const SETS = sessionOf('3 x 10 squat, rest 60');
const STEADY = sessionOf('steady 30 min, talk test: brisk walk');
const HARD = sessionOf('hiit 8 x 30/90: hill run + easy walk');
const CIRCUIT = sessionOf(
	'warm-up: steady 5 min, talk test: brisk walk\ncircuit 4 rounds 30/30: squat + push-up'
);

describe('expectedEffort', () => {
	it('is what the coach says, else what is usual for the kind of day and of work', () => {
		expect(expectedEffort(day('train', 7.5), SETS, false)).toBe(7.5);
		expect(expectedEffort(day('train'), SETS, false)).toBe(6);
		expect(expectedEffort(day('cardio'), STEADY, false)).toBe(4);
		expect(expectedEffort(day('cardio'), HARD, false)).toBe(8);
		expect(expectedEffort(day('cardio'), CIRCUIT, false)).toBe(5);
		expect(expectedEffort(day('test'), STEADY, false)).toBe(8);
		expect(expectedEffort(day('train'), null, false)).toBe(0);
	});

	it('is lower in a lighter week, but not for a test and not where the coach has said it', () => {
		expect(expectedEffort(day('train'), SETS, true)).toBe(4);
		expect(expectedEffort(day('active-rest'), SETS, true)).toBe(0);
		expect(expectedEffort(day('test'), SETS, true)).toBe(8);
		expect(expectedEffort(day('train', 6), SETS, true)).toBe(6);
	});
});

describe('aerobicMinutes', () => {
	const minutes = (session: Session, cardioDay: boolean) =>
		aerobicMinutes(session, compileSession(session, PRACTICE).spans, cardioDay);

	it('are moderate under 6 MET and vigorous from there', () => {
		expect(minutes(STEADY, false)).toEqual({ moderate: 30, vigorous: 0 });
		// 8 × 30 s hard, 7 × 90 s easy between.
		expect(minutes(HARD, true)).toEqual({ moderate: 0, vigorous: 14.5 });
	});

	it('count circuits on cardio days alone, strength and warm-up never', () => {
		expect(minutes(SETS, true)).toEqual({ moderate: 0, vigorous: 0 });
		expect(minutes(CIRCUIT, false)).toEqual({ moderate: 0, vigorous: 0 });
		// Four rounds of two exercises with a rest after each but the last: 8 × 60 − 30 s.
		expect(minutes(CIRCUIT, true)).toEqual({ moderate: 7.5, vigorous: 0 });
	});
});

it('cardioOf looks at the main work', () => {
	expect([SETS, STEADY, HARD, CIRCUIT].map(cardioOf)).toEqual([null, 'steady', 'hard', null]);
});

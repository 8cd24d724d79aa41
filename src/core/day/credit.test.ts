import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import { prescriptionOf, type PrescribedExercise } from '../session';
import { creditOf, fullLog } from './credit';
import { PRACTICE } from '../../../tests/support/practice';

const squats: PrescribedExercise = {
	block: 0,
	part: 0,
	exercise: 'Squat',
	target: { kind: 'reps', reps: 10 },
	perSide: false,
	kg: null,
	sets: 3
};
const curls: PrescribedExercise = { ...squats, part: 1, exercise: 'Curl', sets: 1 };
const set = (part: number, n: number, amount: number) => ({ block: 0, part, set: n, amount, kg: null });

describe('creditOf', () => {
	it('is the share of the sets, part of a set counting as its part', () => {
		expect(creditOf([squats], [set(0, 1, 10), set(0, 2, 5)])).toBeCloseTo(0.5);
	});

	it('does not let extra curls pay for missed squats', () => {
		expect(creditOf([squats, curls], [set(1, 1, 100)])).toBeCloseTo(0.25);
	});

	it('weighs an exercise by its sets', () => {
		expect(creditOf([squats, curls], [set(0, 1, 10), set(0, 2, 10), set(0, 3, 10)])).toBeCloseTo(0.75);
	});

	it('is 0 without anything prescribed or done', () => {
		expect(creditOf([], [])).toBe(0);
		expect(creditOf([squats], [])).toBe(0);
	});

	it('has a full log that numbers its sets from 1', () => {
		expect(fullLog([{ ...squats, sets: 2, kg: 8 }])).toEqual([
			{ block: 0, part: 0, set: 1, amount: 10, kg: 8 },
			{ block: 0, part: 0, set: 2, amount: 10, kg: 8 }
		]);
	});

	it('does not take from one set what another has too little of', () => {
		expect(creditOf([squats], [set(0, 1, -10), set(0, 2, 30)])).toBe(1);
	});

	it('is 1 for the full log of every session, and never beyond', () => {
		fc.assert(
			fc.property(anySession, fc.double({ min: 0, max: 5, noNaN: true }), (session, times) => {
				const asked = prescriptionOf(session, PRACTICE);
				const log = fullLog(asked);
				expect(creditOf(asked, log)).toBeCloseTo(asked.some((e) => e.sets > 0) ? 1 : 0, 9);
				const some = creditOf(
					asked,
					log.map((s) => ({ ...s, amount: s.amount * times }))
				);
				expect(some).toBeGreaterThanOrEqual(0);
				expect(some).toBeLessThanOrEqual(1 + 1e-9);
			})
		);
	});
});

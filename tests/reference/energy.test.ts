/**
 * Energy of sessions against the Compendium of Physical Activities 2011 (Ainsworth et al., Med Sci Sports Exerc
 * 43:1575) and the equation of ACSM's Guidelines, kcal/min = MET × 3.5 × kg / 200. Codes and METs from memory.
 */
import { describe, expect, it } from 'vitest';
import { energyOf } from '$core/body';
import { compileSession, formatNamed, formatNames, parseSessionText } from '$core/session';
import { PRACTICE } from '../support/practice';

const COMPENDIUM: Record<string, { met: number; says: string }> = {
	'02020': { met: 8.0, says: 'calisthenics, vigorous effort' },
	'02035': { met: 4.3, says: 'circuit training, moderate effort' },
	'02040': { met: 8.0, says: 'circuit training, minimal rest, vigorous' },
	'02054': { met: 3.5, says: 'resistance training, multiple exercises, 8-15 repetitions' },
	'02101': { met: 2.3, says: 'stretching, mild' },
	'17200': { met: 4.3, says: 'walking, 3.5 mph, level, brisk' }
};

const kcal = (text: string, kg: number): number => {
	const { session, faults } = parseSessionText(text, PRACTICE);
	expect(faults).toEqual([]);
	return energyOf(session, compileSession(session, PRACTICE), kg);
};

describe('energy', () => {
	it.each(formatNames())('%s has the MET of its code', (name) => {
		const { met, code } = formatNamed(name).met;
		expect(COMPENDIUM[code]?.met).toBe(met);
	});

	it('half an hour of brisk walking at 70 kg: 4.3 × 3.5 × 70 / 200 × 30 = 158.0 kcal', () => {
		expect(kcal('steady 30 min, talk test: brisk walk', 70)).toBeCloseTo(158.025, 3);
	});

	it('twenty minutes of lifting at 80 kg: 3.5 MET are 4.9 kcal/min, 98 kcal', () => {
		// 20 min to the second: 8 sets of 45 s and 7 rests of 120 s
		expect(kcal('8 x 45 s goblet squat @ 12 kg, rest 120', 80)).toBeCloseTo(98, 6);
	});

	it('a warm-up counts as light, the way to the next block as rest', () => {
		// 2 min at 2.8 and 2 min at 2.3 MET, half a minute at 1; 60 kg: 1.05 kcal/min a MET
		const text = 'warm-up: circuit 1 round 120/0: march on the spot\ncool-down: holds: 120 s child rest';
		expect(kcal(text, 60)).toBeCloseTo(1.05 * (2 * 2.8 + 0.5 + 2 * 2.3), 6);
	});

	it('grows with time and with mass in proportion, and asks for a mass', () => {
		const one = kcal('steady 10 min, talk test: brisk walk', 60);
		expect(kcal('steady 20 min, talk test: brisk walk', 60)).toBeCloseTo(2 * one, 9);
		expect(kcal('steady 10 min, talk test: brisk walk', 90)).toBeCloseTo(1.5 * one, 9);
		expect(() => kcal('steady 10 min: brisk walk', 0)).toThrow(/above 0/);
		expect(() => kcal('steady 10 min: brisk walk', NaN)).toThrow(RangeError);
	});
});

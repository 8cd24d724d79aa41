import { describe, expect, it } from 'vitest';
import { beyondWords, gainWords, setsWords, setWords } from '.';

const REPS = { unit: 'reps', perSide: false, means: null } as const;
const sets = (...all: [number, number | null][]) => all.map(([amount, kg]) => ({ amount, kg }));

describe('what was done, in words', () => {
	it.each([
		[{ amount: 8, kg: 12 }, REPS, '8 reps with 12 kg'],
		[{ amount: 1, kg: null }, REPS, '1 rep'],
		[{ amount: 40, kg: null }, { ...REPS, unit: 's', perSide: true }, '40 seconds per side'],
		[{ amount: 8, kg: 12 }, { ...REPS, means: '2 ×' }, '8 reps with 2 × 12 kg'],
		[{ amount: 8, kg: null }, { ...REPS, means: 'light band' }, '8 reps with light band']
	] as const)('says a set', (set, how, words) => expect(setWords(set, how, 'kg')).toBe(words));
	it('says loads in the units of who reads', () => {
		expect(setWords({ amount: 8, kg: 12 }, REPS, 'lb')).toBe('8 reps with 26.5 lb');
	});
	it.each([
		[sets([8, 12], [8, 12], [8, 12]), '3 × 8 reps with 12 kg'],
		[sets([8, 12], [7, 12]), '8, 7 reps with 12 kg'],
		[sets([8, 12], [6, 14]), '8 reps with 12 kg, 6 reps with 14 kg'],
		[sets([8, 12]), '8 reps with 12 kg'],
		[sets(), 'none']
	])('says sets together', (all, words) => expect(setsWords({ ...REPS, sets: all }, 'kg')).toBe(words));
	it('says what was done beyond the plan', () => {
		const plank = { exercise: 'Plank', amount: 60, unit: 's' as const, kg: null };
		expect(beyondWords([plank, { exercise: 'Squat', amount: 20, unit: 'reps', kg: 12 }], 'kg')).toBe(
			'Plank, 60 seconds; Squat, 20 reps with 12 kg'
		);
	});
	it('says what was better', () => {
		const squat = { ...REPS, exercise: 'Squat' };
		const [a, b] = sets([8, 12], [8, 14]) as [{ amount: number; kg: number }, { amount: number; kg: number }];
		expect(gainWords({ ...squat, kind: 'load', before: a, now: b }, 'kg')).toEqual({
			what: 'heavier',
			now: '8 reps with 14 kg',
			before: '8 reps with 12 kg'
		});
		const plank = { ...squat, unit: 's' as const, kind: 'most' as const, before: a, now: b };
		expect(gainWords(plank, 'kg').what).toBe('longer');
		expect(gainWords({ ...plank, unit: 'm' }, 'kg').what).toBe('further');
		expect(gainWords({ ...plank, unit: 'reps' }, 'kg').what).toBe('more in a set');
		expect(gainWords({ ...squat, kind: 'total', before: 24, now: 32, kg: null }, 'kg')).toEqual({
			what: 'more in all',
			now: '32 reps in all',
			before: '24 reps in all'
		});
	});
});

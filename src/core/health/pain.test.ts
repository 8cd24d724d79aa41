import { DAY_MS } from '../calendar';
import { describe, expect, it } from 'vitest';
import { limitsOf } from '../kit';
import { adviseOn, painLimits, type PainReport } from './pain';

const report = (more: Partial<PainReport> = {}): PainReport => ({
	at: 100 * DAY_MS,
	areas: ['knee'],
	intensity: 3,
	isSharp: false,
	isRising: false,
	...more
});

describe('limits of pain', () => {
	it('are those of each place that hurts, once', () => {
		expect(painLimits(['knee'])).toEqual(limitsOf('sore knee'));
		expect(painLimits(['ankle', 'knee'])).toEqual(expect.arrayContaining([...limitsOf('sore ankle')]));
		expect(painLimits(['knee', 'ankle']).filter((limit) => limit === 'no jumps')).toHaveLength(1);
		expect(painLimits(['elsewhere', 'toenail'])).toEqual([]);
	});
});

describe('what is proposed', () => {
	it('is sparing the place of pain that is light and new', () => {
		expect(adviseOn(report(), [])).toEqual({ propose: 'spare', why: [] });
	});

	it.each<[string, Partial<PainReport>, PainReport[], string]>([
		['sharp', { isSharp: true }, [], 'it is sharp'],
		['severe', { intensity: 7 }, [], 'it is 7 of 10'],
		['repeated', {}, [report({ at: 90 * DAY_MS })], 'reported twice in 14 days'],
		['said to rise', { isRising: true }, [], 'it is getting worse'],
		['higher than before', { intensity: 4 }, [report({ at: 99 * DAY_MS })], 'it is getting worse']
	])('is a hold where it is %s', (_, more, before, why) => {
		const advice = adviseOn(report(more), before);
		expect(advice.propose).toBe('hold');
		expect(advice.why).toContain(why);
	});

	it('goes by the same place, and by the last fortnight', () => {
		expect(adviseOn(report(), [report({ at: 90 * DAY_MS, areas: ['wrist'] })]).propose).toBe('spare');
		expect(adviseOn(report(), [report({ at: 80 * DAY_MS })]).propose).toBe('spare');
		expect(adviseOn(report({ intensity: 6 }), []).propose).toBe('spare');
		expect(adviseOn(report({ intensity: null }), []).propose).toBe('spare');
	});
});

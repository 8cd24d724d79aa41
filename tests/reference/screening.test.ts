/** Who may begin and who asks first, against what is published. */
import { describe, expect, it } from 'vitest';
import { screen, limitsOn, type HealthAnswers } from '$core/health';
import { STANDARD } from '$core/exercise';
import { withinLimits } from '$core/kit';
import { WELL } from '../support/health';

const clearanceOf = (more: Partial<HealthAnswers>) => screen({ ...WELL, ...more }, WELL.on).clearance;

/**
 * ACSM’s recommendations for preparticipation screening (Riebe D and others 2015, Med Sci Sports Exerc 47:2473-2479, figure 2),
 * from memory: by whether somebody exercises regularly, has a known cardiovascular, metabolic or renal disease, and has signs or
 * symptoms. For who is active and has a known disease it asks for clearance before vigorous exercise; a challenge has vigorous
 * sessions, so that it counts as asking first.
 */
describe('the table of ACSM 2015', () => {
	it.each([
		[false, [], 'go'],
		[true, [], 'go'],
		[false, ['disease'], 'ask first'],
		[true, ['disease'], 'ask first'],
		[false, ['chest'], 'ask first'],
		[true, ['chest'], 'ask first'],
		[true, ['breath'], 'ask first'],
		[true, ['faint'], 'ask first'],
		[true, ['heartbeat'], 'ask first'],
		[true, ['swelling'], 'ask first']
	] as const)('active %s, yes to %j: %s', (active, yes, clearance) => {
		expect(clearanceOf({ active, yes })).toBe(clearance);
	});

	it('has whoever is not active yet begin easily', () => {
		expect(screen({ ...WELL, active: false }, WELL.on).cautions.join(' ')).toMatch(/easy at first/);
	});

	it('asks nobody first for their age alone', () => {
		expect(clearanceOf({ age: '65 or over' })).toBe('go');
	});
});

/**
 * ACOG Committee Opinion 804 (2020), “Physical Activity and Exercise During Pregnancy and the Postpartum Period”, from memory:
 * an evaluation first; no long time flat on the back; nothing with a risk of falling or of contact; effort by the talk test; after
 * birth gradually, as soon as it is medically safe.
 */
describe('pregnancy and birth, by ACOG 804', () => {
	it.each([1, 13, 14, 27, 28, 42])('asks first in week %i', (pregnantWeek) => {
		expect(clearanceOf({ pregnantWeek })).toBe('ask first');
	});

	it('asks first in the weeks after a birth', () => {
		expect(clearanceOf({ birthWeeks: 0 })).toBe('ask first');
		expect(clearanceOf({ birthWeeks: 6 })).toBe('ask first');
	});

	it('has nobody flat on the back, jumping or without support from the second trimester on', () => {
		const limits = limitsOn({ ...WELL, pregnantWeek: 20 }, WELL.on);
		const allowed = STANDARD.all.filter((exercise) => withinLimits(exercise, limits));
		expect(allowed.length).toBeGreaterThan(50);
		for (const exercise of allowed) {
			expect(exercise.position, exercise.name).not.toBe('back lying');
			expect(exercise.pattern, exercise.name).not.toBe('jump');
			expect(exercise.demands.impact, exercise.name).not.toBe('high');
			if (exercise.position !== 'seated' && exercise.position !== 'supported')
				expect(exercise.demands.balance === 0 || exercise.demands.canHoldOn, exercise.name).toBe(true);
		}
	});

	it('tells effort by talking', () => {
		expect(screen({ ...WELL, pregnantWeek: 8 }, WELL.on).cautions.join(' ')).toMatch(/Talk test/);
	});
});

import { describe, expect, it } from 'vitest';
import { parseSessionText } from '../session';
import { resolvePlan } from './resolved-plan';
import { EMPTY_PLAN, REST_DAY, type PlannedDay } from './model';
import {
	simulate,
	simulationInput,
	DEFAULT_ASSUMPTIONS,
	type Assumptions,
	type SimulationInput
} from './simulate';
import { PRACTICE } from '../../../tests/support/practice';

/** Everybody alike, at the planned pace, with nothing in the way. */
const PLAIN: Assumptions = {
	people: 100,
	usual: 0.8,
	unlike: 0,
	stop: 0,
	overMinute: 0,
	hardPoint: 0,
	dull: 0,
	lost: 0
};
/** Four weeks of five days of 25 minutes, 20 to 30 by pace. */
const trial = (more: Partial<SimulationInput['days'][number]> = {}): SimulationInput => ({
	days: Array.from({ length: 20 }, (_, i) => ({
		day: i + 1,
		week: Math.floor(i / 5) + 1,
		minutes: [20, 25, 30],
		effort: 6,
		dull: false,
		...more
	})),
	weeks: 4,
	budgetMinutes: 30
});

describe('simulate', () => {
	it('is the same for the same seed and another for another', () => {
		const run = (seed: string) => simulate(trial(), DEFAULT_ASSUMPTIONS, seed, 20);
		expect(run('a')).toEqual(run('a'));
		expect(run('a')).not.toEqual(run('b'));
	});

	it('with nothing in the way gives what was assumed, spread as a binomial share is', () => {
		const { done, good, over, weeks } = simulate(trial(), PLAIN, 'plain', 400);
		// 2,000 days a group: standard deviation √(0.8 · 0.2 / 2000) = 0.0089; a tenth lies 1.2816 of it below.
		expect(done.mid).toBeCloseTo(0.8, 2);
		expect(done.high - done.low).toBeCloseTo(2 * 1.2816 * 0.00894, 2);
		expect(over).toBe(0);
		expect(weeks[3]?.there).toEqual({ low: 1, mid: 1, high: 1 });
		// At least 16 of 20 at 0.8 each: binomial, 0.6296 (R: 1 - pbinom(15, 20, 0.8), from memory).
		expect(good.mid).toBeCloseTo(0.63, 1);
	});

	it('loses a share a week of those who are still there, the first week none', () => {
		const { weeks } = simulate(trial(), { ...PLAIN, stop: 0.1 }, 'stop', 400);
		[1, 0.9, 0.81, 0.729].forEach((share, w) => expect(weeks[w]?.there.mid).toBeCloseTo(share, 1));
		expect(weeks[3]?.done.mid).toBeCloseTo(0.8 * 0.729, 1);
	});

	it('spreads minutes by pace: half slower than planned, nobody by more than a quarter', () => {
		const { days } = simulate(trial(), PLAIN, 'pace', 100);
		const { minutes } = days[0]!;
		expect(minutes.mid).toBeCloseTo(25, 0);
		// A tenth of a normal pace lies 1.2816 standard deviations out: half a quarter each, so 0.64 of 5 minutes.
		expect(minutes.high).toBeCloseTo(25 + 0.641 * 5, 0);
		expect(minutes.low).toBeCloseTo(25 - 0.641 * 5, 0);
	});

	it('counts who runs over: with a budget at the planned length about half', () => {
		const { over, days } = simulate({ ...trial(), budgetMinutes: 25 }, PLAIN, 'over', 100);
		expect(over).toBeGreaterThan(0.45);
		expect(over).toBeLessThan(0.55);
		expect(days[0]?.over).toBeGreaterThan(0.4);
	});

	it.each([
		['minutes over the budget', { overMinute: 0.02 }, { budgetMinutes: 15 }, 0.8 - 0.02 * 10],
		['effort above seven', { hardPoint: 0.05 }, { effort: 9 }, 0.8 - 0.1],
		['a week that brings nothing new', { dull: 0.1 }, { dull: true }, 0.7]
	])('lowers what is done for %s by what was assumed', (_, more, change, expected) => {
		const { budgetMinutes = 30, ...day } = change as {
			budgetMinutes?: number;
			effort?: number;
			dull?: boolean;
		};
		const { done } = simulate({ ...trial(day), budgetMinutes }, { ...PLAIN, ...more }, 'less', 200);
		expect(done.mid).toBeCloseTo(expected, 1);
	});

	it('says how far it is, and refuses what cannot be assumed', () => {
		const seen: number[] = [];
		simulate(trial(), PLAIN, 'p', 40, (share) => seen.push(share));
		expect(seen).toEqual([0.25, 0.5, 0.75, 1]);
		expect(() => simulate(trial(), { ...PLAIN, usual: 1 }, 'x')).toThrow(/usual: 1; 0.05 to 0.99/);
		expect(() => simulate(trial(), { ...PLAIN, people: NaN }, 'x')).toThrow(/people/);
	});

	it('has nothing to say of a plan without sessions, and says it in numbers', () => {
		const { done, days, over } = simulate({ days: [], weeks: 2, budgetMinutes: 30 }, PLAIN, 'none', 10);
		expect({ done, days, over }).toEqual({ done: { low: 0, mid: 0, high: 0 }, days: [], over: 0 });
	});
});

describe('simulationInput', () => {
	it('takes the minutes, the effort and the dull weeks of a plan', () => {
		const body = parseSessionText('3 x 10 squat, rest 60', PRACTICE).session;
		const day: PlannedDay = { kind: 'train', session: 's', effort: 8, tests: [] };
		const week = [day, ...Array<PlannedDay>(6).fill(REST_DAY)];
		const resolved = resolvePlan(
			{ ...EMPTY_PLAN, days: [...week, ...week] },
			[{ key: 's', name: 'S', body }],
			PRACTICE
		);
		const { days, weeks, budgetMinutes } = simulationInput(resolved, 20, 5);
		// Three sets of ten at 3 s each with rests of 60 s between: 90 s of work at a pace, 120 s of rest.
		expect(days[0]).toMatchObject({ day: 1, week: 1, effort: 8, dull: false });
		expect(days[0]?.minutes.map((m) => Math.round(m * 60))).toEqual([187.5, 210, 232.5].map(Math.round));
		expect(days[1]).toMatchObject({ day: 8, week: 2, dull: true });
		expect({ weeks, budgetMinutes }).toEqual({ weeks: 2, budgetMinutes: 20 });
	});
});

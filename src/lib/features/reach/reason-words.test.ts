import { describe, expect, it } from 'vitest';
import { definitionOf, REASON_KINDS, REASON_TITLE, type Reason, type ReasonKind } from '$core/triage';
import { effectWords, finishWords, reasonWords, WAY_TEXT } from './reason-words';

const AT = Date.parse('2026-05-12T13:30:00Z');
const rated = (credit: number, due: number) => ({ credit, due });
type WithoutSince<R> = R extends Reason ? Omit<R, 'since'> : never;
const say = (reason: WithoutSince<Reason>) => reasonWords({ since: AT, ...reason }, 'Europe/Oslo', 'kg');

describe('why somebody needs their coach', () => {
	it('is a sentence with its figures', () => {
		expect(say({ kind: 'pain', day: 23, hurts: 'left knee', times: 1, isSharp: false })).toBe(
			'“left knee” on day 23, Tue 12 May 15:30.'
		);
		expect(say({ kind: 'pain', day: 23, hurts: 'left knee', times: 2, isSharp: false })).toContain(
			', told twice in the last 10 check-ins.'
		);
		expect(say({ kind: 'pain', day: 23, hurts: 'left knee', times: 3, isSharp: false })).toContain(
			'told 3 times'
		);
		expect(say({ kind: 'held', why: 'clearance over' })).toMatch(/^The clearance has run out/);
		expect(say({ kind: 'never started', due: 1 })).toBe('Nothing has come in, and 1 day was due.');
		expect(say({ kind: 'never started', due: 3 })).toBe('Nothing has come in, and 3 days were due.');
		expect(say({ kind: 'first miss', day: 4, doneBefore: 0 })).toBe('Day 4 was missed, their first.');
		expect(say({ kind: 'first miss', day: 4, doneBefore: 1 })).toBe(
			'Day 4 was missed, after 1 day without a miss.'
		);
		expect(say({ kind: 'missing', due: 2, lastSeen: AT })).toBe(
			'No check-in for 2 due days, last seen Tue 12 May 15:30.'
		);
		expect(say({ kind: 'silent', due: 5, days: 9, lastSeen: AT })).toMatch(
			/^No check-in for 9 days, 5 of them due\./
		);
		expect(say({ kind: 'fading', recent: rated(0.82, 3), before: rated(3.38, 5) })).toBe(
			'27 % of 3 due days done in the last 7 days, 68 % of 5 due days in the 7 before.'
		);
		expect(say({ kind: 'later', lately: 14.2, before: 5.8 })).toContain(
			'14 h after the day opened, those before 6 h'
		);
		expect(say({ kind: 'tired', energy: [2, 1, 2] })).toBe(
			'Energy 2, 1, and 2 of 5 in the last 3 check-ins.'
		);
		expect(say({ kind: 'hard', effort: [9, 10] })).toBe('Effort 9 and 10 of 10 in the last 2 sessions.');
		expect(say({ kind: 'uneven', exercise: 'Split squat', side: 'left', behind: 0.204, times: 3 })).toBe(
			'Split squat: the left side did 20 % less than the other, 3 times running.'
		);
		const plank = { exercise: 'Plank', unit: 's', perSide: false, means: null, kind: 'most' } as const;
		const gain = { ...plank, before: { amount: 60, kg: null }, now: { amount: 75, kg: null } };
		expect(say({ kind: 'best', day: 22, result: { before: 1, gain } })).toBe(
			'Plank: 75 seconds on day 22, 60 seconds at the test on day 1.'
		);
		expect(say({ kind: 'came back', day: 6, after: 1 })).toBe(
			'Did day 6 after 1 training day without a check-in.'
		);
	});

	it('has a title and something to do first for every kind', () => {
		for (const kind of Object.keys(REASON_KINDS) as ReasonKind[]) {
			expect(REASON_TITLE[kind]).toMatch(/^[A-Z]/);
			expect(WAY_TEXT[definitionOf(kind).firstAction]).toMatch(/^[A-Z]/);
		}
	});
});

it('the chance to finish is said in tenths, and never as sure as it is not', () => {
	const words = (chance: number, needed = 6, left = 10, due = 12) =>
		finishWords({ chance, needed, left, due }, 80);
	expect(words(0.31)).toBe('About 3 in 10 to reach 80 % of all work: needs 6 of the 10 training days left.');
	expect(words(0.049)).toMatch(/^Less than 1 in 20/);
	expect(words(0.05)).toMatch(/^About 1 in 10/);
	expect(words(0.95)).toMatch(/^About 9 in 10/);
	expect(words(0.951)).toMatch(/^More than 19 in 20/);
	expect(words(0.31, 6, 10, 4)).toBe(
		'Too early to tell: 4 due days so far. For 80 % of all work needs 6 of the 10 training days left.'
	);
	expect(words(0.31, 6, 10, 5)).toMatch(/^About 3 in 10/);
	expect(words(1, 0)).toBe('Has 80 % of all work already.');
	expect(words(0, 11)).toBe('80 % of all work is out of reach: 10 training days left.');
	expect(words(0, 1, 0)).toBe('The challenge is over without 80 % of all work.');
});

it('what came of it is said with the days to it', () => {
	expect(effectWords({ checkedInAt: AT, days: 0 }, 'Europe/Oslo')).toBe(
		'Checked in within a day, Tue 12 May 15:30.'
	);
	expect(effectWords({ checkedInAt: AT, days: 2 }, 'Europe/Oslo')).toMatch(/^Checked in after 2 days/);
	expect(effectWords({ checkedInAt: null, days: 0 }, 'Europe/Oslo')).toBe('No check-in since.');
	expect(effectWords({ checkedInAt: null, days: 1 }, 'Europe/Oslo')).toBe('No check-in for 1 day since.');
});

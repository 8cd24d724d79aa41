/** Ranges, sets that differ, several weights, bands and effort: from the typed line to credit. Worked out by hand. */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { blockOf, sessionOf } from '../../../tests/support/sessions';
import { creditOf, fullLog } from '../day';
import { effortText, expectedOf, targetOfSet, targetText, withAmounts, withSets } from './amount';
import { compileSession } from './compile';
import { withNumber } from './edit';
import { blockFaults } from './faults';
import { loadText } from './loads';
import type { Part } from './parts';
import { askedOf, prescriptionOf } from './prescription';
import { haveReady } from './ready';

const partOf = (line: string): Part => blockOf(line).parts[0]!;
const said = (line: string, change: Partial<Part>) =>
	blockFaults({ ...blockOf(line), parts: [{ ...partOf(line), ...change }] }, '', PRACTICE).map(
		({ path, message }) => `${path}: ${message}`
	);

describe('a range', () => {
	it('is expected in its middle, and leaves the pace to the person beyond that', () => {
		// 10 of 8-12 repetitions of 3 s, three times, and two rests of a minute
		const { totals } = compileSession(sessionOf('3 x 8-12 squat'), PRACTICE);
		expect([totals.duration, totals.repetitions]).toEqual([3 * 30 + 120, 30]);
		expect(expectedOf(partOf('3 x 20-30 s plank').target)).toBe(25);
	});

	it('counts as done from its lower end on', () => {
		const asked = prescriptionOf(sessionOf('2 x 8-12 squat'), PRACTICE);
		const log = (...amounts: number[]) =>
			creditOf(
				asked,
				amounts.map((amount, i) => ({ block: 0, part: 0, set: i + 1, amount, kg: null }))
			);
		expect([log(8, 8), log(12, 12), log(8, 4), log(12, 4)]).toEqual([1, 1, 0.75, 1]);
		expect(fullLog(asked).map(({ amount }) => amount)).toEqual([8, 8]);
	});

	it('moves as one, and falls together where both ends meet', () => {
		const part = partOf('3 x 8-12 squat');
		expect(withAmounts(part, (n) => n + 2).target).toEqual({ kind: 'reps', reps: 10, to: 14 });
		expect(withAmounts(part, () => 5).target).toEqual({ kind: 'reps', reps: 5 });
	});

	it('is told with both ends', () => {
		expect(targetText(partOf('3 x 8-12 per side split squat'))).toBe('8-12 per side');
		expect(targetText(partOf('3 x 20-30 s plank'))).toBe('20-30 s');
	});

	it.each([
		[
			{ target: { kind: 'reps', reps: 8, to: 8 } },
			'.parts[0].target.to: the upper end of 8 reps lies above the lower one of 8'
		],
		[
			{ target: { kind: 'reps', reps: 8, to: 1001 } },
			'.parts[0].target.to: 1,001 reps at the upper end: a whole number from 1 to 1,000 is possible'
		],
		[{ target: { kind: 'reps', reps: 8, to: 9 } }, undefined]
	] as [Partial<Part>, string | undefined][])('%j', (change, fault) =>
		expect(said('3 x 8 squat', change)[0]).toBe(fault)
	);
});

describe('sets that differ', () => {
	const LINE = '3 x 12/10/8 reps Squat, rest 60';
	it('take as long as each of them does', () => {
		const { totals, segments } = compileSession(sessionOf(LINE), PRACTICE);
		expect(totals.repetitions).toBe(30);
		expect(segments.filter(({ kind }) => kind === 'work').map(({ seconds }) => seconds)).toEqual([
			36, 30, 24
		]);
	});

	it('are asked for one by one, in each pass anew', () => {
		const [asked] = prescriptionOf(sessionOf(`repeat 2 times, rest 30:`, LINE, 'end repeat'), PRACTICE);
		expect(Array.from({ length: asked!.sets }, (_, i) => askedOf(asked!, i + 1))).toEqual([
			12, 10, 8, 12, 10, 8
		]);
		expect(creditOf([asked!], [{ block: 0, part: 0, set: 1, amount: 30, kg: null }])).toBe(0.5);
	});

	it('keep to the number of sets: the last one goes on, one alone is none that differs', () => {
		const four = withNumber(blockOf(LINE), 'sets', 4);
		expect(lineOf(four)).toBe('4 x 12/10/8/8 reps Squat, rest 60');
		expect(lineOf(withNumber(four, 'sets', 1))).toBe('1 x 12 reps Squat, rest 60');
		expect(withSets(partOf('3 x 10 squat'), 5)).toEqual(partOf('3 x 10 squat'));
		expect(targetOfSet(partOf(LINE), 7)).toEqual({ kind: 'reps', reps: 8 });
	});

	it.each([
		[{ each: [12, 10] }, '2 amounts for 3 sets'],
		[{ each: [12] }, 'amounts of single sets are 2 to 50'],
		[{ each: [11, 10, 8] }, 'the first of the amounts'],
		[{ each: [12, 0, 8] }, '0 reps'],
		[{ target: { kind: 'reps', reps: 12, to: 15 } }, 'without a range']
	] as [Partial<Part>, string][])('%j', (change, fault) =>
		expect(said(LINE, change).join(' ')).toContain(fault)
	);

	it('in work for time is expected lap by lap', () => {
		const block = blockOf('for time 3 rounds, limit 12 min: 21/15/9 reps squat');
		expect(compileSession({ blocks: [block] }, PRACTICE).totals.work).toBe((21 + 15 + 9) * 3);
	});
});

describe('a load', () => {
	it('may be two weights, a band or a word', () => {
		expect(loadText(partOf('3 x 8 floor press 2x16kg'))).toBe('2 × 16 kg');
		expect(loadText(partOf('3 x 8 band row red band'))).toBe('red band');
		expect(loadText(partOf('3 x 8 squat'))).toBeNull();
	});

	it('is to be had ready, also where the exercise needs none by itself', () => {
		expect(haveReady(sessionOf('3 x 8 split squat 2x8kg'), PRACTICE)).toEqual([
			'2 dumbbells of 8 kg',
			'water'
		]);
	});

	it.each([
		[{ weights: 2 }, 'several weights of no weight'],
		[{ kg: 8, weights: 5 }, '5 weights: a whole number from 2 to 4'],
		[{ kg: 8, weights: 1 }, '1 weights'],
		[{ kg: 8, resistance: 'red band' }, 'not both'],
		[{ resistance: 'pink band' as Part['resistance'] }, 'there are the loads light'],
		[{ effort: { low: 8, high: 7 } }, 'effort goes from 0 to 10'],
		[{ effort: { low: 8, high: 11 } }, 'effort goes from 0 to 10']
	] as [Partial<Part>, string][])('%j', (change, fault) =>
		expect(said('3 x 8 squat', change).join(' ')).toContain(fault)
	);

	it('goes with an effort', () => {
		expect(effortText(partOf('3 x 8 squat RPE 7-9'))).toBe('effort 7-9');
		// Two repetitions in reserve are an effort of 8 (Zourdos et al. 2016, J Strength Cond Res 30:267).
		expect(effortText(partOf('3 x 8 squat 2 RIR'))).toBe('effort 8');
		expect(effortText(partOf('3 x 8 squat'))).toBeNull();
	});
});

describe('every so many seconds', () => {
	it('starts as often, with what is left of them as rest', () => {
		const { totals } = compileSession(sessionOf('every 90 s x 8: 10 squat'), PRACTICE);
		expect(totals).toMatchObject({ duration: 720, work: 240, rest: 480 });
	});
});

describe('rounds', () => {
	it('rest after each but the last, and inside where that is asked', () => {
		// 3 × (30 + 10 + 24) of work and rest inside, 2 × 60 after
		const { totals } = compileSession(
			sessionOf('3 rounds, rest 10 inside, 60 after: 10 squat + 8 push-up'),
			PRACTICE
		);
		expect(totals.duration).toBe(3 * (30 + 10 + 24) + 120);
	});
});

describe('metres', () => {
	it.each([
		['1 x 5 km run', 2000],
		['1 x 1400 m brisk walk', 1000],
		['1 x 40 m suitcase carry', 40],
		['1 x 20 m bear crawl', 20]
	])('%s take %i s', (line, seconds) => {
		expect(compileSession(sessionOf(line), PRACTICE).totals.work).toBeCloseTo(seconds, 6);
	});
});

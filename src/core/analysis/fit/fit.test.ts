import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../../tests/support/arbitrary';
import { compileSession, parseSessionText, sessionFaults, type Session } from '../../session';
import { fitToMinutes } from './fit';
import { lineOf, PRACTICE } from '../../../../tests/support/practice';
import { runs } from '../../../../tests/support/runs';

const session = (text: string): Session => parseSessionText(text, PRACTICE).session;
const fit = (text: string, minutes: number) => fitToMinutes(session(text), minutes, PRACTICE);

describe('fitToMinutes', () => {
	it('takes sets away: 12 × 10 at 3 s with 60 s rests into 11 min', () => {
		// n × 30 + (n − 1) × 60 = 90 n − 60: 12 sets take 1020 s, 8 sets 660 s
		const alone = fit('12 x 10 squat 2-0-1, rest 60', 11).proposals.find((p) => p.name.startsWith('Fewer'));
		expect(alone?.changes).toEqual([{ block: 0, label: 'sets', from: 12, to: 8, unit: '' }]);
		expect([alone?.before, alone?.after]).toEqual([1020, 660]);
	});

	it('offers rests alone and rounds alone, before and after, the nearest first', () => {
		// circuit: 4 × 255 + 3 × 45 = 1155 s; three rounds 855 s = 14:15
		const { proposals } = fit(
			'circuit 4 rounds 30/15, 45 between: squat + push-up + plank + swing + glute bridge + fast feet',
			14.25
		);
		const rounds = proposals.find((p) => p.changes.length === 1 && p.changes[0]?.label === 'rounds');
		expect(rounds).toMatchObject({ before: 1155, after: 855, changes: [{ from: 4, to: 3 }] });
		expect(proposals.map((p) => p.distance)).toEqual(proposals.map((p) => p.distance).sort((a, b) => a - b));
	});

	it('keeps three quarters of warm-up and cool-down', () => {
		const text =
			'warm-up: circuit 4 rounds 30/10: march on the spot\n10 x 10 squat 2-0-1, rest 60\ncool-down: holds 2 rounds, rest 5: 30 s child rest';
		const before = compileSession(session(text), PRACTICE).blocks;
		for (const { session: fitted } of fit(text, 9).proposals) {
			const { blocks } = compileSession(fitted, PRACTICE);
			for (const b of [0, 2])
				expect(blocks[b]?.seconds).toBeGreaterThanOrEqual(0.75 * (before[b]?.seconds ?? 0));
		}
	});

	it('turns repeats too', () => {
		const text = 'repeat 3 times, rest 30:\ncircuit 2 rounds 40/20: squat + push-up\nend repeat';
		// a pass 220 s; 3: 720, 2: 470
		expect(fit(text, 470 / 60).proposals.some((p) => p.session.repeats?.[0]?.times === 2)).toBe(true);
	});

	it('says so when it cannot, and when it need not', () => {
		expect(fit('steady 30 min: brisk walk', 5)).toMatchObject({
			proposals: [],
			cannot: expect.stringContaining('10 min is the nearest') as string
		});
		expect(fit('steady 30 min: brisk walk', 30).cannot).toBe('It fits as it is.');
		expect(() => fit('steady 30 min: brisk walk', 0)).toThrow(RangeError);
	});

	it('names the nearest length between those that can be reached', () => {
		// Two holds take 100 min and some rest, three 150: neither is within 2 % of 120.
		const between = fit('3 x 3000 s plank, rest 5', 120);
		expect(between.proposals).toEqual([]);
		expect(between.cannot).toBe(
			'No change of rounds, rests or working times brings it to 120 min; 100 min is the nearest. Take a block out or put one in.'
		);
		expect(fit('3 x 3000 s plank, rest 5', 130).cannot).toContain('150 min is the nearest');
		expect(fit('3 x 3000 s plank, rest 5', 3).cannot).toContain('50 min is the nearest');
		expect(fit('3 x 3000 s plank, rest 5', 1000).cannot).toContain('351 min is the nearest');
	});

	it('fits from 2 % on', () => {
		// 1020 s as it is.
		const text = '12 x 10 squat 2-0-1, rest 60';
		expect(fit(text, 1000 / 60).cannot).toBe('It fits as it is.');
		expect(fit(text, 1020 / 0.9801 / 60).cannot).toBe('It fits as it is.');
		expect(fit(text, 1019 / 1.02 / 60 - 0.01).cannot).toBeNull();
		expect(fit(text, 17).proposals).toEqual([]);
	});

	it('offers each way once, the nearest first, with what going through repeats less costs', () => {
		const { proposals } = fit('12 x 10 squat 2-0-1, rest 60', 11);
		expect(
			proposals.map(({ name, after, distance }) => [name, after, Math.round(distance * 1000) / 1000])
		).toEqual([
			// Ten sets with 40 s: 0.1 + 3 × 2/12 and 0.1 + 20/60.
			['A little of everything', 660, 1.033],
			['Fewer or more rounds and sets', 660, 1.1]
		]);
		const repeated = fit(
			'repeat 3 times, rest 30:\ncircuit 2 rounds 40/20: squat + push-up\nend repeat',
			470 / 60
		).proposals.find((proposal) => proposal.session.repeats?.[0]?.times === 2);
		expect(repeated?.distance).toBeCloseTo(3, 9);
		expect(repeated?.changes).toEqual([{ block: 0, label: 'times', from: 3, to: 2, unit: '' }]);
	});

	it('every proposal is sound and within 2 % of the minutes', () => {
		fc.assert(
			fc.property(anySession, fc.integer({ min: 10, max: 60 }), (any, minutes) => {
				fc.pre(sessionFaults(any, PRACTICE).length === 0);
				for (const proposal of fitToMinutes(any, minutes, PRACTICE).proposals) {
					// Forms are laid together to the second: half a second a going through may be lost.
					const slack = compileSession(proposal.session, PRACTICE).spans.length;
					expect(Math.abs(proposal.after - minutes * 60)).toBeLessThanOrEqual(0.02 * minutes * 60 + slack);
					expect(compileSession(proposal.session, PRACTICE).totals.duration).toBe(proposal.after);
					expect(proposal.changes.length).toBeGreaterThan(0);
					expect(proposal.session.blocks.map(lineOf)).toHaveLength(any.blocks.length);
				}
			}),
			{ numRuns: runs(15) }
		);
	});
});

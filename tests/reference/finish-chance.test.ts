/** The chance to finish against jstat’s beta functions: the beta-binomial distribution in its closed form. */
import jstat from 'jstat';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { projectFinish } from '$core/attendance';

/** P(at least `needed` of `left`): the closed form with beta functions and binomial coefficients. */
function predicted(credit: number, due: number, left: number, needed: number): number {
	const [a, b] = [1 + credit, 1 + due - credit];
	let sum = 0;
	for (let k = needed; k <= left; k++)
		sum += Math.exp(jstat.combinationln(left, k) + jstat.betaln(k + a, left - k + b) - jstat.betaln(a, b));
	return sum;
}

describe('projectFinish', () => {
	it('agrees with the closed form', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 2, max: 40 }),
				fc.double({ min: 0.05, max: 0.95, noNaN: true }),
				fc.integer({ min: 1, max: 40 }),
				fc.double({ min: 0.3, max: 0.95, noNaN: true }),
				(due, rate, left, share) => {
					const credit = due * rate;
					const { chance, needed } = projectFinish({ credit, due }, left, share);
					if (needed === 0 || needed > left) expect([0, 1]).toContain(chance);
					else expect(chance).toBeCloseTo(predicted(credit, due, left, needed), 9);
				}
			),
			{ numRuns: 150, seed: 20 }
		);
	});

	it('is a uniform count without anything known', () => {
		// Of ten days each number from 0 to 10 is as likely: 8, 9 or 10 of them are three of eleven.
		expect(projectFinish({ credit: 0, due: 0 }, 10, 0.8)).toMatchObject({ needed: 8, left: 10 });
		expect(projectFinish({ credit: 0, due: 0 }, 10, 0.8).chance).toBeCloseTo(3 / 11, 12);
	});

	it('counts what is needed of all work in whole days, and knows what is sure', () => {
		expect(projectFinish({ credit: 16, due: 18 }, 2, 0.8)).toMatchObject({ chance: 1, needed: 0, left: 2 });
		expect(projectFinish({ credit: 2, due: 18 }, 2, 0.8)).toMatchObject({ chance: 0, needed: 14, left: 2 });
		expect(projectFinish({ credit: 0.1 + 0.2 + 7.7, due: 10 }, 0, 0.8)).toMatchObject({
			chance: 1,
			needed: 0,
			left: 0
		});
		expect(projectFinish({ credit: 7.5, due: 10 }, 5, 0.8).needed).toBe(5);
	});
});

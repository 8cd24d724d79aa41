/** Sums of timed work as coaches announce them. Common practice, no source. */
import { describe, expect, it } from 'vitest';
import { compileSession, parseLine, prescriptionOf } from '$core/session';
import { PRACTICE, practiceWith } from '../support/practice';

function seconds(line: string, lastRest: 'kept' | 'left out' = 'left out'): number {
	const read = parseLine(line, PRACTICE);
	if (!('block' in read)) throw new Error(read.faults[0]?.message);
	return compileSession({ blocks: [read.block] }, practiceWith({ house: { lastRest } })).totals.duration;
}
const SIX = 'squat + push-up + plank + swing + glute bridge + fast feet';
const TEN = `${SIX} + wall sit + curl + dead bug + step touch`;

describe('interval sums of common practice', () => {
	it('30/15, six exercises: a round is 255 s, with its rest 300 s, four rounds 1155 s', () => {
		expect(seconds(`circuit 1 round 30/15, 45 between: ${SIX}`)).toBe(255);
		expect(seconds(`circuit 2 rounds 30/15, 45 between: ${SIX}`)).toBe(255 + 45 + 255);
		expect(seconds(`circuit 4 rounds 30/15, 45 between: ${SIX}`)).toBe(1155);
		// With the rest after the last round, 4 × 300 s.
		expect(seconds(`circuit 4 rounds 30/15, 45 between: ${SIX}`, 'kept')).toBe(1200);
		expect(seconds(`circuit 4 rounds 30/15, 45 between, last rest: ${SIX}`)).toBe(1200);
	});

	it('35/25 × 10 exercises × 2 rounds: 1200 s with the last rest, 1175 s without', () => {
		expect(seconds(`circuit 2 rounds 35/25, last rest: ${TEN}`)).toBe(1200);
		expect(seconds(`circuit 2 rounds 35/25: ${TEN}`, 'kept')).toBe(1200);
		expect(seconds(`circuit 2 rounds 35/25: ${TEN}`)).toBe(1175);
	});

	it('every minute, 12 minutes, two alternating pairs: six rounds of each', () => {
		const read = parseLine('emom 12 min: 8 squat + 6 push-up / 8 swing + 10 curl', PRACTICE);
		if (!('block' in read)) throw new Error('not read');
		expect(prescriptionOf({ blocks: [read.block] }, PRACTICE).map((exercise) => exercise.sets)).toEqual([
			6, 6, 6, 6
		]);
		expect(compileSession({ blocks: [read.block] }, PRACTICE).totals.duration).toBe(720);
	});

	it('40/15 and 40/5 over eight exercises', () => {
		const eight = TEN.split(' + ').slice(0, 8).join(' + ');
		expect(seconds(`circuit 1 round 40/15: ${eight}`)).toBe(8 * 40 + 7 * 15);
		expect(seconds(`circuit 1 round 40/5: ${eight}`)).toBe(8 * 40 + 7 * 5);
	});

	it('15 s a side inside a 30 s slot takes no longer than the slot', () => {
		expect(seconds('circuit 1 round 30/15: bird dog per side + plank')).toBe(75);
	});

	it('eight reps of eight slow exercises stay under 15 minutes', () => {
		const slow = TEN.split(' + ')
			.slice(0, 8)
			.map((name) => `1 x 8 ${name} 3-1-1, rest 0`);
		const blocks = slow.map((line) => {
			const read = parseLine(line, PRACTICE);
			if (!('block' in read)) throw new Error(line);
			return read.block;
		});
		expect(compileSession({ blocks }, PRACTICE).totals.duration).toBeLessThan(15 * 60);
	});
});

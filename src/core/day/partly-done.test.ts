import { expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { parseSessionText, prescriptionOf } from '../session';
import { creditOf } from './credit';
import { partlyDone } from './partly-done';

const { session } = parseSessionText('4 x 8 squat, rest 60\n4 x 8 push-up, rest 60', PRACTICE);
const asked = prescriptionOf(session, PRACTICE);

it.each([
	[1, 1],
	[0.75, 0.75],
	[0.5, 0.5],
	[0.25, 0.25],
	[0, 0],
	[7, 1]
])('a share of %s of a session of alike sets is worth %s', (share, credit) => {
	expect(creditOf(asked, partlyDone(asked, share))).toBeCloseTo(credit, 10);
});
it('has the first sets done and the last ones not', () => {
	expect(partlyDone(asked, 0.5).map(({ amount }) => amount)).toEqual([8, 8, 8, 8, 0, 0, 0, 0]);
});

import { expect, it } from 'vitest';
import { doneWords, scoreWords } from './said';

it('says how much was done, and when it was not on time', () => {
	const said = (done: string, credit: number, standing: 'on time' | 'late' | 'after close' = 'on time') =>
		doneWords({ done, credit, standing });
	expect([said('all', 1), said('part', 0.915, 'late'), said('none', 0, 'after close')]).toEqual([
		'all done',
		'92 % of the work, late',
		'nothing done, after close'
	]);
});
it('says a result against the clock', () => {
	const said = (seconds: number | null, rounds: number, reps: number) =>
		scoreWords({ seconds, rounds, reps });
	expect([said(860, 3, 0), said(null, 4, 12), said(null, 1, 0), said(null, 2, 1)]).toEqual([
		'14:20',
		'4 rounds and 12 reps',
		'1 round',
		'2 rounds and 1 rep'
	]);
});

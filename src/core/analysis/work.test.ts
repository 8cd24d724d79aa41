import { describe, expect, it } from 'vitest';
import { compileSession } from '../session';
import { PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { goesOf, workOf } from './work';

describe('goesOf', () => {
	const goes = (text: string) => {
		const session = sessionOf(text);
		return goesOf(session, compileSession(session, PRACTICE), PRACTICE.library).map(
			({ block, partIndex, exercise, segment, rested, worked }) =>
				[block, partIndex, exercise?.name ?? null, segment.start, segment.side, rested, worked] as const
		);
	};

	it('takes two sides for one, and says how long the rest before was and how much was worked', () => {
		expect(
			goes('warm-up: 1 x 10 squat\n2 x 8 per side one-arm row, rest 30\n1 x 10 anvil lift\n2 x 10 squat')
		).toEqual([
			[0, 0, 'Squat', 0, 'both', null, 0],
			// The work of the warm-up tires nobody.
			[1, 0, 'One-arm row', 60, 'left', 30, 0],
			[1, 0, 'One-arm row', 159, 'left', 30, 64],
			[2, 0, null, 258, 'both', 30, 128],
			[3, 0, 'Squat', 318, 'both', 30, 158],
			[3, 0, 'Squat', 408, 'both', 60, 188]
		]);
	});

	it('keeps sides of different exercises apart', () => {
		const names = goes(
			'superset 2 rounds, rest 10 inside, 30 after: 8 per side one-arm row + 8 per side reverse lunge'
		);
		expect(names.map(([, part, name, , side]) => [part, name, side])).toEqual([
			[0, 'One-arm row', 'left'],
			[1, 'Reverse lunge', 'left'],
			[0, 'One-arm row', 'left'],
			[1, 'Reverse lunge', 'left']
		]);
	});

	it('has of the work every side', () => {
		const session = sessionOf('1 x 8 per side one-arm row\n1 x 10 squat');
		const work = workOf(session, compileSession(session, PRACTICE), PRACTICE.library);
		expect(work.map(({ segment, exercise, block }) => [segment.side, exercise?.name, block.format])).toEqual([
			['left', 'One-arm row', 'straight-sets'],
			['right', 'One-arm row', 'straight-sets'],
			['both', 'Squat', 'straight-sets']
		]);
	});
});

/** Where a rest stands, and other things that a line could be taken for silently. */
import { describe, expect, it } from 'vitest';
import { lineOf, practiceWith, PRACTICE } from '../../../../tests/support/practice';
import { STANDARD } from '../../exercise';
import { parseLine } from '../line';

const understood = (line: string): string => {
	const read = parseLine(line, PRACTICE);
	return 'block' in read ? lineOf(read.block) : `? ${read.faults.map(({ message }) => message).join('; ')}`;
};

describe('a rest', () => {
	it.each([
		[
			'3 rounds: 40 s squats, 20 s rest, 40 s push-ups, 20 s rest',
			'3 rounds, rest 20 inside, 20 after: 40 s Squat + 40 s Push-up'
		],
		[
			'3 rounds: 10 squats, rest 15, 10 push-ups',
			'3 rounds, rest 15 inside, 60 after: 10 reps Squat + 10 reps Push-up'
		],
		[
			'3 rounds: 10 squats, 10 push-ups, 30 s',
			'3 rounds, rest 0 inside, 30 after: 10 reps Squat + 10 reps Push-up'
		]
	])('%s', (typed, meant) => expect(understood(typed)).toBe(meant));

	it.each([
		'3 rounds: 10 squats, rest 15, 10 push-ups, 10 curls',
		'3 rounds: 10 squats, rest 15, 10 push-ups, rest 30, 10 curls'
	])('%s: which one?', (typed) =>
		expect(understood(typed)).toContain('between all exercises, or the one after')
	);

	it('in the midst of exercises is no rest of the round', () => {
		expect(understood('3 rounds: 10 squats 30 s, 10 push-ups')).toMatch(/^\? .*“30 s”: this is said twice/);
	});
});

describe('what is asked rather than guessed', () => {
	it.each([
		['goblet squat 3 x 12 kg', 'how much of Goblet squat'],
		['20 walking lunges (10 each leg)', 'said twice'],
		['push-ups 3 x 10 60', '“60”: this is said twice'],
		['amrap 10 min 3 rounds: 5 squats', '“3 rounds” is not understood here'],
		['superset emom 10: 5 squats + 5 push-ups', 'said twice'],
		['4 x 12/10/8 squats', 'there are 3 amounts'],
		['3 x 10 squats or', '“or” is not understood'],
		['10 squat + @ 8 kg + 5 push-up', 'name of an exercise is missing']
	])('%s', (typed, says) => {
		expect(understood(typed)).toMatch(/^\?/);
		expect(understood(typed)).toContain(says);
	});
});

describe('the coach’s own exercises', () => {
	const own = { ...STANDARD.find('Squat')!, name: 'Burpee', ownId: 'b', formerly: ['Hut burpee'] };
	const practice = practiceWith({ exercises: [own] });
	const exercise = (line: string) => {
		const read = parseLine(line, practice);
		return 'block' in read ? read.block.parts[0]?.exercise : null;
	};
	it('come before what others call them, under their former names too', () => {
		expect(exercise('3x10 burpees')).toBe('Burpee');
		expect(exercise('3x10 hut burpee')).toBe('Burpee');
		expect(understood('3x10 burpees')).toContain('Squat thrust with jump');
	});

	it('keep their name in quotation marks where nobody knows it', () => {
		const read = parseLine('3 x 10 "Burpee"', PRACTICE);
		expect('block' in read && lineOf(read.block)).toBe('3 x 10 reps "Burpee", rest 60');
	});
});

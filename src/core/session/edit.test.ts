import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import {
	addBlock,
	addSession,
	canJoin,
	duplicateBlock,
	insertBlock,
	joinBlocks,
	moveBlock,
	movePart,
	removeBlock,
	repeatBlocks,
	splitBlock,
	toggleGroup,
	withoutPart,
	withoutRepeat,
	withPart
} from './edit';
import { sessionFaults } from './faults';
import { parseSessionText } from './text';
import type { Session } from './model';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { runs } from '../../../tests/support/runs';

const session = (text: string): Session => parseSessionText(text, PRACTICE).session;
const names = (s: Session) => s.blocks.map((block) => block.parts.map((part) => part.exercise).join('+'));
const FOUR = session(
	'3 x 10 squat\nrepeat 2 times, rest 30:\n3 x 10 curl\n3 x 10 swing\nend repeat\n3 x 10 push-up'
);

describe('blocks', () => {
	it('moves one, and a repeat keeps its own', () => {
		expect(names(moveBlock(FOUR, 0, 3))).toEqual(['Curl', 'Swing', 'Push-up', 'Squat']);
		expect(moveBlock(FOUR, 0, 3).repeats).toEqual([{ from: 0, to: 1, times: 2, rest: 30 }]);
		// out of the repeat: it shrinks; into its middle: it grows
		expect(moveBlock(FOUR, 2, 0).repeats).toEqual([{ from: 2, to: 2, times: 2, rest: 30 }]);
		expect(moveBlock(FOUR, 3, 2).repeats).toEqual([{ from: 1, to: 3, times: 2, rest: 30 }]);
		// within the repeat
		expect(names(moveBlock(FOUR, 1, 2))).toEqual(['Squat', 'Swing', 'Curl', 'Push-up']);
		expect(moveBlock(FOUR, 1, 2).repeats).toEqual([{ from: 1, to: 2, times: 2, rest: 30 }]);
	});

	it('takes out the last block of a repeat and the repeat with it', () => {
		const less = removeBlock(removeBlock(FOUR, 1), 1);
		expect(names(less)).toEqual(['Squat', 'Push-up']);
		expect(less).not.toHaveProperty('repeats');
	});

	it('adds to the end of a role', () => {
		const s = session('warm-up: 1 x 10 squat\n3 x 10 curl\ncool-down: holds: 30 s child rest');
		const [swing] = session('3 x 10 swing').blocks;
		expect(names(addBlock(s, swing!))).toEqual(['Squat', 'Curl', 'Swing', 'Child rest']);
		expect(names(insertBlock(s, 0, swing!))[0]).toBe('Swing');
	});

	it('duplicates into the same repeat', () => {
		expect(duplicateBlock(FOUR, 1).repeats).toEqual([{ from: 1, to: 3, times: 2, rest: 30 }]);
	});

	it('splits a superset into straight sets and joins them again', () => {
		const pair = session('superset 3 rounds, rest 30 inside, 60 after: 10 squat + 8 curl @ 8 kg');
		const split = splitBlock(pair, 0, PRACTICE);
		expect(split.blocks.map(lineOf)).toEqual([
			'3 x 10 reps Squat, rest 60',
			'3 x 8 reps Curl @ 8 kg, rest 60'
		]);
		expect(canJoin(split, 0, PRACTICE)).toBe(true);
		expect(joinBlocks(split, 0, PRACTICE)).toEqual(pair);
		expect(canJoin(session('circuit 1 round 30/15: squat\n3 x 10 curl'), 0, PRACTICE)).toBe(false);
	});

	it('splits a circuit into its seconds', () => {
		expect(
			splitBlock(session('circuit 2 rounds 40/20: squat + bird dog per side'), 0, PRACTICE).blocks.map(lineOf)
		).toEqual(['2 x 40 s Squat, rest 60', '2 x 20 s per side Bird dog, rest 60']);
	});

	it('repeats blocks in place of the repeats they stood in, and takes it away again', () => {
		const again = repeatBlocks(FOUR, 2, 3, 3, 10);
		expect(again.repeats).toEqual([{ from: 2, to: 3, times: 3, rest: 10 }]);
		expect(withoutRepeat(again, 2)).not.toHaveProperty('repeats');
	});
});

describe('parts', () => {
	const EMOM = session('emom 6 min: 5 squat + 5 curl / 5 swing').blocks[0]!;

	it('groups keep their sizes when exercises change places', () => {
		expect(lineOf(movePart(EMOM, 2, 0))).toBe('emom 6 min: 5 reps Swing + 5 reps Squat / 5 reps Curl');
	});
	it('leaves no empty group', () => {
		expect(lineOf(withoutPart(EMOM, 2))).toBe('emom 6 min: 5 reps Squat + 5 reps Curl');
	});
	it('adds a part as a group of its own or to the last', () => {
		const part = EMOM.parts[0]!;
		expect(lineOf(withPart(EMOM, part))).toMatch(/ \/ 5 reps Squat$/);
		expect(lineOf(withPart(EMOM, part, 'last'))).toMatch(/Swing \+ 5 reps Squat$/);
	});
	it('parts and joins groups', () => {
		const apart = toggleGroup(EMOM, 1);
		expect(lineOf(apart)).toBe('emom 6 min: 5 reps Squat / 5 reps Curl / 5 reps Swing');
		expect(toggleGroup(apart, 1)).toEqual(EMOM);
	});
});

it('no edit of a sound session makes its repeats unsound', () => {
	fc.assert(
		fc.property(anySession, fc.nat(7), fc.nat(7), (any, i, j) => {
			fc.pre(sessionFaults(any, PRACTICE).length === 0);
			const n = any.blocks.length;
			const [a, b] = [i % n, j % n];
			const edits = [
				moveBlock(any, a, b),
				duplicateBlock(any, a),
				splitBlock(any, a, PRACTICE),
				repeatBlocks(any, Math.min(a, b), Math.max(a, b), 2, 0)
			];
			if (n > 1) edits.push(removeBlock(any, a));
			for (const edited of edits)
				expect(sessionFaults(edited, PRACTICE).filter((fault) => fault.path.startsWith('repeats'))).toEqual(
					[]
				);
			expect(moveBlock(any, a, b).blocks).toHaveLength(n);
		}),
		{ numRuns: runs(200) }
	);
});

describe('addSession', () => {
	const more = session('note: slowly\nrepeat 2 times, rest 30:\n3 x 10 curl\nend repeat\nrecovery: walk');
	it('keeps what is repeated, and what goes with it', () => {
		const both = addSession(session('note: warm first\n3 x 10 squat'), more);
		expect(both.blocks.map(lineOf)).toEqual(['3 x 10 reps Squat, rest 60', '3 x 10 reps Curl, rest 60']);
		expect(both).toMatchObject({
			repeats: [{ from: 1, to: 1, times: 2, rest: 30 }],
			note: 'warm first\nslowly',
			recovery: ['walk']
		});
	});

	it('puts blocks to those of their role', () => {
		const both = addSession(
			session('3 x 10 squat\ncool-down: 30 s calf stretch'),
			session('warm-up: 1 x 10 squat\n3 x 10 curl')
		);
		expect(both.blocks.map(({ role }) => role)).toEqual(['warm-up', 'main', 'main', 'cool-down']);
		expect(both).not.toHaveProperty('note');
	});
});

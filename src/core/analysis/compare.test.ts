import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { compareSessions } from './compare';

describe('compareSessions', () => {
	const compare = (before: string, after: string) =>
		compareSessions(sessionOf(before), sessionOf(after), PRACTICE);
	const kinds = (before: string, after: string) =>
		compare(before, after).blocks.map(({ kind, before: b, after: a }) => [
			kind,
			b?.index ?? null,
			a?.index ?? null
		]);

	it('shows what changed, what went, what came, and what it comes to', () => {
		expect(
			compare(
				'3 x 10 squat, rest 60\n3 x 10 curl @ 8 kg, rest 60\nrepeat 2 times, rest 30:\n2 x 30 s plank\nend repeat\nlink: A | https://a.example/x',
				'setup 20 s: pair\n3 x 12 squat, rest 60\nsteady 20 min: brisk walk\nrepeat 3 times, rest 30:\n2 x 30 s plank\nend repeat\nrecovery: walk\nrecovery: bath'
			)
		).toEqual({
			blocks: [
				{
					kind: 'changed',
					before: { index: 0, line: '3 x 10 reps Squat, rest 60' },
					after: { index: 0, line: '3 x 12 reps Squat, rest 60 (first: pair, 20 s)' }
				},
				{ kind: 'gone', before: { index: 1, line: '3 x 10 reps Curl @ 8 kg, rest 60' }, after: null },
				{ kind: 'new', before: null, after: { index: 1, line: 'steady 20 min, talk test: Brisk walk' } },
				{
					kind: 'same',
					before: { index: 2, line: '2 x 30 s Plank, rest 60' },
					after: { index: 2, line: '2 x 30 s Plank, rest 60' }
				}
			],
			notes: [
				'repeats: blocks 3 to 3, 2 times, rest 30 → blocks 3 to 3, 3 times, rest 30',
				'links: A (https://a.example/x) → none',
				'what follows: none → walk, bath'
			],
			duration: { before: 780, after: 1928 },
			work: { before: 330, after: 1488 },
			repetitions: { before: 60, after: 36 }
		});
	});

	it('keeps the order, and pairs what is most alike', () => {
		expect(
			kinds('3 x 10 squat\nsteady 20 min: brisk walk', 'steady 20 min: brisk walk\n3 x 10 squat')
		).toEqual([
			['gone', 0, null],
			['same', 1, 0],
			['new', null, 1]
		]);
		expect(kinds('3 x 10 squat', '3 x 10 curl\n3 x 10 squat\n3 x 10 plank shoulder tap')).toEqual([
			['new', null, 0],
			['same', 0, 1],
			['new', null, 2]
		]);
		expect(kinds('3 x 10 curl\n3 x 10 squat\n3 x 10 floor press', '3 x 10 squat')).toEqual([
			['gone', 0, null],
			['same', 1, 0],
			['gone', 2, null]
		]);
		expect(kinds('3 x 10 squat, rest 60', '4 x 8 squat, rest 90')).toEqual([['changed', 0, 0]]);
		expect(kinds('steady 20 min: brisk walk', '4 x 8 squat, rest 90')).toEqual([
			['gone', 0, null],
			['new', null, 0]
		]);
	});

	it('has nothing to say of two that are alike', () => {
		expect(compare('note: a\n3 x 10 squat', 'note: a\n3 x 10 squat').notes).toEqual([]);
		expect(compare('note: a\n3 x 10 squat', '3 x 10 squat').notes).toEqual(['note: a → none']);
	});
});

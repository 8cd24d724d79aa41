import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import { STANDARD } from '../exercise';
import { compileSession, parseSessionText, type Session } from '../session';
import { balanceOf } from './balance';
import { PRACTICE, practiceWith } from '../../../tests/support/practice';

const session = (text: string): Session => parseSessionText(text, PRACTICE).session;

describe('balanceOf', () => {
	it('counts a set directly as 1 and assisting as ½', () => {
		// push-up: chest, triceps; front shoulder and abs assist
		const { sets } = balanceOf(session('3 x 10 push-up'), PRACTICE);
		expect(sets).toMatchObject({ chest: 3, triceps: 3, 'front shoulder': 1.5, abs: 1.5, quads: 0 });
	});

	it('sets pull beside push and knee beside hip', () => {
		const b = balanceOf(
			session('3 x 10 push-up\n4 x 8 bent-over row\n2 x 10 squat\nemom 6 min: 8 swing / 8 glute bridge'),
			PRACTICE
		);
		expect(b.pullPush).toEqual({ a: 4, b: 3, ratio: 4 / 3 });
		expect(b.kneeHip).toEqual({ a: 2, b: 6, ratio: 1 / 3 });
	});

	it('a combination is half of each thing it does', () => {
		const b = balanceOf(session('4 x 8 squat and press'), PRACTICE);
		expect([b.kneeHip.a, b.pullPush.b]).toEqual([2, 2]);
	});

	it('counts repeats and rounds, and leaves warm-up, stretches and cardio out of the sets', () => {
		const text =
			'warm-up: circuit 2 rounds 30/10: squat\nrepeat 2 times, rest 30:\ncircuit 3 rounds 30/15: squat\nend repeat\nsteady 20 min: brisk walk\ncool-down: holds, rest 5: 30 s per side calf stretch';
		const b = balanceOf(session(text), PRACTICE);
		expect(b.sets.quads).toBe(6);
		expect(b.sets.calves).toBe(0);
		expect(b.stretched.calves).toBe(30);
	});

	it('has no ratio where there is nothing to compare with', () => {
		expect(balanceOf(session('3 x 10 row'), PRACTICE).pullPush.ratio).toBeNull();
	});

	it('counts the ways to the floor and the hard landings', () => {
		// plank down 1, squat up, push-up down 2; 20 jump squats
		const b = balanceOf(session('1 x 30 s plank\n2 x 10 jump squat 1-0-1\n1 x 10 push-up'), PRACTICE);
		expect(b.floorChanges).toBe(2);
		expect(b.impact).toEqual({ seconds: 40, reps: 20 });
	});

	it('leaves out what nobody knows', () => {
		expect(
			Object.values(balanceOf(session('3 x 10 barrel lift'), PRACTICE).sets).every((sets) => sets === 0)
		).toBe(true);
	});

	it('works both sides alike in every session that stations and limits do not cut', () => {
		fc.assert(
			fc.property(anySession, (any) => {
				const blocks = any.blocks.filter(
					(block) => !['stations', 'for-time', 'amrap', 'emom'].includes(block.format)
				);
				const { left, right } = balanceOf({ blocks }, PRACTICE);
				expect(left).toBeCloseTo(right, 6);
			})
		);
	});
});

it('counts an own exercise at its own pace: of 16 s a repetition, three rounds fit into a minute', () => {
	const slow = { ...STANDARD.find('Squat')!, name: 'Hut squat', ownId: 'x', tempo: [4, 4, 4, 4] as const };
	const practice = practiceWith({ exercises: [slow] });
	const { session } = parseSessionText('amrap 1 min: 1 reps hut squat', practice);
	const timeline = compileSession(session, practice);
	expect(timeline.segments.filter(({ kind }) => kind === 'work')).toHaveLength(4);
	expect(balanceOf(session, practice, timeline).sets.quads).toBe(3);
});

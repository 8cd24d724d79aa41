import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import { compileSession, sessionSeconds } from './compile';
import { parseLine } from './line';
import type { Block } from './formats';
import type { Session } from './model';
import type { Part } from './parts';
import type { HouseRules } from '../practice';
import { runs } from '../../../tests/support/runs';
import { PRACTICE, practiceWith } from '../../../tests/support/practice';

/** A block from a typed line; the test fails when it cannot be read. */
function block(line: string): Block {
	const read = parseLine(line, PRACTICE);
	if (!('block' in read)) throw new Error(read.faults.map((fault) => fault.message).join('; '));
	return read.block;
}
const total = (line: string, house: Partial<HouseRules> = {}) =>
	compileSession({ blocks: [block(line)] }, practiceWith({ house })).totals;

describe('compileSession, worked out by hand', () => {
	it('straight sets: three of ten at 3-1-1 with two rests between', () => {
		// 3 × (10 × 5 s) + 2 × 90 s
		expect(total('3 x 10 goblet squat 3-1-1, rest 90')).toMatchObject({
			duration: 330,
			work: 150,
			rest: 180,
			repetitions: 30
		});
	});

	it('keeps the rest after the last round where the house does: that of the round, in every format', () => {
		const kept = (line: string) =>
			total(line, { lastRest: 'kept' }).duration - total(line, { lastRest: 'left out' }).duration;
		expect(kept('3 x 10 goblet squat 3-1-1, rest 90')).toBe(90);
		expect(kept('superset 3 rounds, rest 30 inside, 75 after: 10 push-up + 10 squat')).toBe(75);
		expect(kept('3 rounds, rest 20 inside, 50 after: 10 push-up, 10 squat')).toBe(50);
		expect(kept('circuit 3 rounds 30/15, 45 between: squat + plank')).toBe(45);
		expect(kept('circuit 3 rounds 30/15: squat + plank')).toBe(15);
		expect(kept('hiit 8 x 30/60: fast feet')).toBe(60);
		expect(kept('holds 2 rounds, rest 5: 30 s child rest')).toBe(5);
	});

	it('lies as many seconds between blocks as the house says, none too', () => {
		const two = (betweenBlocks: number) =>
			compileSession(
				{ blocks: [block('1 x 10 squat'), block('1 x 10 curl')] },
				practiceWith({ house: { betweenBlocks } })
			).totals.duration;
		expect([two(0), two(30), two(90)].map((seconds) => seconds - two(0))).toEqual([0, 30, 90]);
	});

	it('superset: rest inside the pair, the longer one between rounds', () => {
		// round: 10 × 3 s + 30 + 8 × 4 s on each side with 5 s to change = 30 + 30 + 69
		expect(
			total('superset 3 rounds, rest 30 inside, 90 after: 10 push-up 2-0-1 + 8 per side one-arm row 2-0-1-1')
				.duration
		).toBe(3 * 129 + 2 * 90);
	});

	it('a circuit slot that is done per side is shared, and no longer for it', () => {
		const timeline = compileSession(
			{ blocks: [block('circuit 1 round 30/15: bird dog per side + plank')] },
			PRACTICE
		);
		expect(timeline.totals.duration).toBe(75);
		expect(timeline.segments[0]).toMatchObject({ seconds: 15, side: 'left' });
		expect(timeline.segments[1]).toMatchObject({ start: 15, seconds: 15, side: 'right' });
	});

	it('EMOM: work begins on each full minute and the rest fills it', () => {
		const { segments, totals } = compileSession(
			{
				blocks: [block('emom 4 min: 10 swing 1-0-1 / 6 per side step-up 1-0-1')]
			},
			PRACTICE
		);
		expect(totals.duration).toBe(240);
		expect(segments.filter((s) => s.kind === 'work' && s.side !== 'right').map((s) => s.start)).toEqual([
			0, 60, 120, 180
		]);
		// 10 × 2 s leaves 40; 2 × 6 × 2 s + 5 s leaves 31
		expect(segments.filter((s) => s.kind === 'rest').map((s) => s.seconds)).toEqual([40, 31, 40, 31]);
	});

	it('holds: both sides, and the way from one to the next', () => {
		// 30 + 5 + 30, 5 s, 30
		expect(total('holds, rest 5: 30 s per side calf stretch + 30 s child rest').duration).toBe(100);
	});

	it('carries are timed at a walking pace of one metre a second', () => {
		expect(total('2 x 40 m pack carry, rest 60').duration).toBe(140);
	});

	it('takes the exercise’s own tempo where the line gives none', () => {
		// goblet squat: 3-1-1-0 in the library; an exercise of one's own: 2-0-1-0
		expect(total('1 x 10 goblet squat, rest 0').duration).toBe(50);
		expect(total('1 x 10 "barrel lift", rest 0').duration).toBe(30);
	});

	it('is certain where the clock paces', () => {
		const { lower, upper } = total('circuit 2 rounds 40/20: plank + wall sit');
		expect(lower).toBe(upper);
	});
});

describe('laws of every session', () => {
	it('has no gap and no overlap, and its totals are the sums of its segments', () => {
		fc.assert(
			fc.property(anySession, (session: Session) => {
				const { segments, totals } = compileSession(session, PRACTICE);
				let now = 0;
				for (const segment of segments) {
					expect(segment.start).toBeCloseTo(now, 6);
					expect(segment.seconds).toBeGreaterThan(0);
					now += segment.seconds;
				}
				expect(totals.duration).toBeCloseTo(now, 6);
				expect(totals.work + totals.rest).toBeCloseTo(totals.duration, 6);
				expect(totals.lower).toBeLessThanOrEqual(totals.upper);
			})
		);
	});

	it('calls every cue within the session, in order of time', () => {
		fc.assert(
			fc.property(anySession, (session) => {
				const { cues, totals } = compileSession(session, PRACTICE);
				const times = cues.map((cue) => cue.time);
				expect(times).toEqual([...times].sort((a, b) => a - b));
				for (const time of times) expect(time).toBeLessThanOrEqual(totals.duration);
			})
		);
	});

	it('takes as long as its blocks and the ways between them', () => {
		fc.assert(
			fc.property(anySession, (session) => {
				const blocksAlone = session.blocks.map(({ setup: _setup, ...b }) => b);
				const plain: Session = { blocks: blocksAlone, ...(session.pieces && { pieces: true }) };
				const { blocks, totals } = compileSession(plain, PRACTICE);
				const sum = blocks.reduce((seconds, b) => seconds + b.seconds, 0);
				// Blocks at a time of their own have no way to them.
				const ways = plain.blocks.filter((b, i) => i > 0 && !plain.pieces && b.dayPart === undefined).length;
				expect(totals.duration).toBeCloseTo(sum + 30 * ways, 6);
			})
		);
	});
});

describe('a part without its block', () => {
	it('an EMOM whose group points past its parts writes rest, not nonsense', () => {
		const part: Part = {
			exercise: 'Squat',
			target: { kind: 'reps', reps: 5 },
			perSide: false,
			tempo: null,
			kg: null
		};
		const { totals } = compileSession(
			{
				blocks: [{ format: 'emom', role: 'main', starts: 2, every: 60, groups: [[0], [7]], parts: [part] }]
			},
			PRACTICE
		);
		expect(totals.duration).toBe(120);
	});
});

it('the length alone is what the whole timeline comes to', () => {
	fc.assert(
		fc.property(anySession, (session) => {
			expect(sessionSeconds(session, PRACTICE)).toBeCloseTo(
				compileSession(session, PRACTICE).totals.duration,
				6
			);
		}),
		{ numRuns: runs(300) }
	);
});

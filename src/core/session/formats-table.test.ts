/**
 * Every format as it is typed: how it is written back, what is said of it, how often each exercise is done and owed, and
 * how long it takes. A squat and a push-up take 3 s, a curl 4 s.
 */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { compileSession } from './compile';
import { putPart } from './edit';
import { formatOf } from './formats';
import { parseSessionText } from './text';

type Row = [
	typed: string,
	written: string,
	summary: string,
	done: number[],
	owed: (number | null)[],
	seconds: number,
	work: number,
	segments: number,
	marks: (string | null)[],
	pair: object | null,
	round: number | null
];
// prettier-ignore
const ROWS: Row[] = [
	['3 sets of 10 squat', '3 x 10 reps Squat, rest 60', '3 × · rest 60', [3], [3], 210, 90, 5, [null], { rounds: 3, restInside: 30, restAfter: 60 }, null],
	['4 x 30 s plank, rest 1:30', '4 x 30 s Plank, rest 90', '4 × · rest 90', [4], [4], 390, 120, 7, [null], { rounds: 4, restInside: 30, restAfter: 90 }, null],
	['5 × 10 squat, rest 2 min', '5 x 10 reps Squat, rest 120', '5 × · rest 120', [5], [5], 630, 150, 9, [null], { rounds: 5, restInside: 30, restAfter: 120 }, null],
	['2 x 10 squat @ 12 kg, drop 20%', '2 x 10 reps Squat @ 12 kg, drop 1 x 20% on last, rest 60', '2 × · rest 60 · one drop of 20 % on the last set: 12, 9.6 kg', [3], [2], 155, 90, 5, [null], null, null],
	['superset: 10 squat + 10 curl', 'superset 3 rounds, rest 30 inside, 90 after: 10 reps Squat + 10 reps Curl', '3 rounds · 30 s between exercises, 90 s after each round', [3, 3], [null, null], 480, 210, 11, ['A1', 'A2'], { rounds: 3, restInside: 30, restAfter: 90 }, null],
	['pair 4 x, rest 15 s inside, 60 s after: 10 squat + 10 curl', 'superset 4 rounds, rest 15 inside, 60 after: 10 reps Squat + 10 reps Curl', '4 rounds · 15 s between exercises, 60 s after each round', [4, 4], [null, null], 520, 280, 15, ['A1', 'A2'], { rounds: 4, restInside: 15, restAfter: 60 }, null],
	['tri-set 2 rounds: 10 squat + 10 curl + 10 push-up', 'superset 2 rounds, rest 30 inside, 90 after: 10 reps Squat + 10 reps Curl + 10 reps Push-up', 'tri-set · 2 rounds · 30 s between exercises, 90 s after each round', [2, 2, 2], [null, null, null], 410, 200, 11, ['A1', 'A2', 'A3'], { rounds: 2, restInside: 30, restAfter: 90 }, null],
	['superset 3 sets, inside 10, after 45: 10 squat + 10 curl', 'superset 3 rounds, rest 10 inside, 45 after: 10 reps Squat + 10 reps Curl', '3 rounds · 10 s between exercises, 45 s after each round', [3, 3], [null, null], 330, 210, 11, ['A1', 'A2'], { rounds: 3, restInside: 10, restAfter: 45 }, null],
	['circuit 30/15: squat', 'circuit 1 round 30/15: Squat', '1 round · 30 s on, 15 s off', [1], [null], 30, 30, 1, [null], null, null],
	['intervals 4 x 40 s / 20, 60 s between, last rest: squat + push-up per side', 'circuit 4 rounds 40/20, 60 between, last rest: Squat + per side Push-up', '4 rounds · 40 s on, 20 s off · 60 between rounds', [4, 4], [null, null], 640, 320, 20, [null, null], null, null],
	['circuit 1 round 20/10: squat', 'circuit 1 round 20/10: Squat', '1 round · 20 s on, 10 s off', [1], [null], 20, 20, 1, [null], null, null],
	['emom 12: 10 squat', 'emom 12 min: 10 reps Squat', '12 minutes', [12], [null], 720, 360, 24, [null], null, 1],
	['emom 12 minutes: 10 squat + 5 push-up / 8 curl', 'emom 12 min: 10 reps Squat + 5 reps Push-up / 8 reps Curl', '12 minutes · 2 groups in turn', [6, 6, 6], [null, null, null], 720, 462, 30, [null, null, null], null, 2],
	['every minute 10 min: 10 squat', 'emom 10 min: 10 reps Squat', '10 minutes', [10], [null], 600, 300, 20, [null], null, 1],
	['amrap 12 min: 10 squat', 'amrap 12 min: 10 reps Squat', '12 min · about 24 rounds expected', [24], [1], 720, 720, 24, [null], null, null],
	['amrap 720 s: 10 squat', 'amrap 12 min: 10 reps Squat', '12 min · about 24 rounds expected', [24], [1], 720, 720, 24, [null], null, null],
	['amrap 12:30: 10 squat + 5 push-up', 'amrap 750 s: 10 reps Squat + 5 reps Push-up', '750 s · about 17 rounds expected', [16, 16], [1, 1], 750, 750, 33, [null, null], null, null],
	['for time 3 rounds, limit 12 min: 10 squat', 'for time 3 rounds, limit 12 min: 10 reps Squat', '3 rounds · limit 12:00, expected 1:30', [3], [null], 720, 90, 4, [null], null, null],
	['for time, limit 12:30: 10 squat', 'for time 1 round, limit 750 s: 10 reps Squat', '1 round · limit 12:30, expected 0:30', [1], [null], 750, 30, 2, [null], null, null],
	['for time 2 rounds limit 90 s: 10 squat', 'for time 2 rounds, limit 90 s: 10 reps Squat', '2 rounds · limit 1:30, expected 1:00', [2], [null], 90, 60, 3, [null], null, null],
	['stations 2 rounds, 60 s each, 15 change, 8 people: 10 squat / 8 push-up', 'stations 2 rounds, 60 s each, 15 change, 8 people: 10 reps Squat / 8 reps Push-up', '2 stations · 2 rounds · 1:00 each, 15 s to change · 8 people: 4 × 2, up to 2 a station', [4, 6], [2, 2], 285, 240, 13, [null, null], null, null],
	['stations: 10 squat / 8 push-up', 'stations 1 round, 180 s each, 20 change: 10 reps Squat / 8 reps Push-up', '2 stations · 1 round · 3:00 each, 20 s to change', [6, 8], [1, 1], 380, 360, 15, [null, null], null, null],
	['stations 1 round, 3 min each: 10 squat + 5 curl / 8 push-up', 'stations 1 round, 180 s each, 20 change: 10 reps Squat + 5 reps Curl / 8 reps Push-up', '2 stations · 1 round · 3:00 each, 20 s to change', [3, 3, 8], [1, 1, 1], 380, 360, 15, [null, null, null], null, null],
	['steady 30 min at 145-155 bpm: brisk walk', 'steady 30 min, 145-155 bpm: Brisk walk', '30 minutes · 145 to 155 bpm', [1], [null], 1800, 1800, 1, [null], null, null],
	['steady 20 min, talk test: brisk walk', 'steady 20 min, talk test: Brisk walk', '20 minutes · able to speak, not to chat', [1], [null], 1200, 1200, 1, [null], null, null],
	['steady 45 minutes: run', 'steady 45 min, talk test: Run', '45 minutes · able to speak, not to chat', [1], [null], 2700, 2700, 1, [null], null, null],
	['hiit 8 x 30/60: fast feet', 'hiit 8 x 30/60: Fast feet', '8 × 30 s hard, 60 s easy · 4:00 hard in all', [8], [null], 660, 240, 15, [null], null, null],
	['hiit 4 x 60 s / 120 s: hill run + easy walk', 'hiit 4 x 60/120: Hill run + Easy walk', '4 × 60 s hard, 120 s easy · 4:00 hard in all', [4, 3], [null, null], 600, 600, 7, [null, null], null, null],
	['hiit 30/30: fast feet', 'hiit 8 x 30/30: Fast feet', '8 × 30 s hard, 30 s easy · 4:00 hard in all', [8], [null], 450, 240, 15, [null], null, null],
	['holds 2 rounds, rest 10: 30 s child rest', 'holds 2 rounds, rest 10: 30 s Child rest', '2 rounds · 10 s from one to the next', [2], [null], 70, 60, 3, [null], null, null],
	['hold 30 s child rest', 'holds 1 round, rest 5: 30 s Child rest', '5 s from one to the next', [1], [null], 30, 30, 1, [null], null, null],
	['stretches: 30 s per side calf stretch + 20 s child rest', 'holds 1 round, rest 5: 30 s per side Calf stretch + 20 s Child rest', '5 s from one to the next', [1, 1], [null, null], 90, 80, 5, [null, null], null, null],
];

describe('a typed line', () => {
	it.each(ROWS)('%s', (typed, written, summary, done, owed, seconds, work, segments, marks, pair, round) => {
		const { session, faults } = parseSessionText(typed, PRACTICE);
		expect(faults).toEqual([]);
		const [block] = session.blocks;
		if (!block) throw new Error('a block');
		const format = formatOf(block);
		expect(lineOf(block)).toBe(written);
		expect(parseSessionText(written, PRACTICE).session.blocks).toEqual([block]);
		expect(format.summary(block, PRACTICE)).toBe(summary);
		expect(block.parts.map((_, i) => format.timesDone(block, i, PRACTICE))).toEqual(done);
		expect(block.parts.map((_, i) => format.timesOwed?.(block, i) ?? null)).toEqual(owed);
		const timeline = compileSession({ blocks: [block] }, PRACTICE);
		expect(timeline.totals).toMatchObject({ duration: seconds, work });
		expect(timeline.segments).toHaveLength(segments);
		expect(block.parts.map((_, i) => format.mark?.(block, i) ?? null)).toEqual(marks);
		expect(format.asPair?.(block, PRACTICE) ?? null).toEqual(pair);
		expect(format.round?.(block) ?? null).toBe(round);
	});
});

describe('a minute', () => {
	const block = (line: string) => {
		const [found] = parseSessionText(line, PRACTICE).session.blocks;
		if (!found) throw new Error(line);
		return found;
	};
	const full = (line: string) => formatOf(block(line)).full?.(block(line), PRACTICE) ?? null;

	it('is full where less than the house’s rest is left', () => {
		// 15 squats take 45 s and leave 15; 16 leave 12.
		expect(full('emom 8 min: 15 squat')).toBeNull();
		expect(full('emom 8 min: 5 squat / 16 squat')).toEqual({
			what: 'the minute is full',
			figure: '12 s of rest are left in it; 15 s are the house rule.'
		});
	});

	it('says what it leaves, at the first exercise of its group', () => {
		const sound = block('emom 8 min: 5 squat / 10 squat + 6 push-up / 8 squat');
		const line = putPart(sound, 3, { ...sound.parts[3]!, target: { kind: 'reps', reps: 21 } });
		const remark = (part: number) => formatOf(line).remark?.(line, part, PRACTICE) ?? null;
		expect([0, 1, 2, 3].map(remark)).toEqual([null, '48 s of 60, 12 s left', null, '63 s of 60, 0 s left']);
	});
});

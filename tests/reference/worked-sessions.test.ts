/**
 * Sessions as coaches write them, one for each format and some together, worked out on paper to the second.
 * Common practice, no source. The sums stand beside each; the pace of every exercise is given in its line.
 */
import { describe, expect, it } from 'vitest';
import { compileSession, parseSessionText, prescriptionOf, type Timeline } from '$core/session';
import { PRACTICE } from '../support/practice';

function timeline(text: string): Timeline {
	const { session, faults } = parseSessionText(text, PRACTICE);
	expect(faults).toEqual([]);
	return compileSession(session, PRACTICE);
}

interface Worked {
	name: string;
	text: string;
	duration: number;
	work: number;
	reps: number;
}

const WORKED: Worked[] = [
	{
		name: 'straight sets: four of eight slow squats, two minutes between',
		text: '4 x 8 goblet squat 3-1-1 @ 12 kg, rest 120',
		// a set 8 × 5 = 40
		duration: 4 * 40 + 3 * 120,
		work: 160,
		reps: 32
	},
	{
		name: 'straight sets per side: the single-leg hinge, four seconds down',
		text: '3 x 6 per side single-leg hinge 4-0-1, rest 60',
		// a side 6 × 5 = 30; both 30 + 5 + 30 = 65
		duration: 3 * 65 + 2 * 60,
		work: 180,
		reps: 36
	},
	{
		name: 'a pair for the arms: 30 s inside, 90 s after it',
		text: 'superset 4 rounds, rest 30 inside, 90 after: 12 curl 2-0-1 @ 8 kg + 12 overhead triceps press 2-0-1 @ 8 kg',
		// a round 36 + 30 + 36 = 102
		duration: 4 * 102 + 3 * 90,
		work: 288,
		reps: 96
	},
	{
		name: 'a tri-set without rest inside',
		text: 'tri-set 3 rounds, rest 0 inside, 120 after: 10 squat 2-0-1 + 10 push-up 2-0-1 + 10 bent-over row 2-0-1',
		duration: 3 * 90 + 2 * 120,
		work: 270,
		reps: 90
	},
	{
		name: 'a drop set: three sets, the last one twice lighter',
		text: '3 x 12 curl 2-0-1 @ 12 kg, drop 2 x 25% on last, rest 60',
		// sets 3 × 36, rests 2 × 60, drops 2 × (5 + 36)
		duration: 108 + 120 + 82,
		work: 5 * 36,
		reps: 60
	},
	{
		name: 'one and a quarter: 12 counted take the time of 15',
		text: '2 x 12 1¼ push-up 2-0-1, rest 60',
		duration: 2 * 45 + 60,
		work: 90,
		reps: 24
	},
	{
		name: 'an interval circuit with both sides in one slot: 15 s and 15 s',
		text: 'circuit 3 rounds 30/15, 45 between: squat + bird dog per side + plank + step-up per side',
		// a round 4 × 30 + 3 × 15 = 165
		duration: 3 * 165 + 2 * 45,
		work: 360,
		reps: 0
	},
	{
		name: 'sixty seconds of strength, sixty of cardio, no rest: 20 min',
		text: 'circuit 5 rounds 60/0: squat + fast feet + push-up + step touch',
		duration: 1200,
		work: 1200,
		reps: 0
	},
	{
		name: 'EMOM of three groups over 15 minutes: five of each',
		text: 'emom 15 min: 10 swing 1-0-1 / 8 push-up 2-0-1 / 6 per side step-up 1-0-1',
		duration: 900,
		// 20, 24 and 2 × 12 with 5 s to change that is not work
		work: 5 * (20 + 24 + 24),
		reps: 5 * (10 + 8 + 12)
	},
	{
		name: 'for time under a limit: the limit is the length',
		text: 'for time 5 rounds, limit 15 min: 10 squat 1-0-1 + 8 push-up 1-0-1 + 40 m suitcase carry',
		// a lap 20 + 16 + 40 = 76; five of them 380
		duration: 900,
		work: 380,
		reps: 90
	},
	{
		name: 'AMRAP: twelve minutes of a lap of 90 s, eight rounds',
		text: 'amrap 12 min: 10 squat 2-0-1 + 10 push-up 2-0-1 + 30 s plank',
		duration: 720,
		work: 720,
		reps: 8 * 20
	},
	{
		name: 'stations: four of three minutes, a round is twelve',
		text: 'stations 1 round, 180 s each, 0 change: 10 squat 2-0-1 + 30 s plank / 10 push-up 2-0-1 + 30 s wall sit / 10 curl 2-0-1 + 30 s plank / 10 swing 2-0-1 + 30 s plank',
		// a turn 30 s, six a station, three of them one's own fixed work
		duration: 720,
		work: 720,
		reps: 4 * 3 * 10
	},
	{
		name: 'steady cardio: half an hour at talking pace',
		text: 'steady 30 min, talk test: brisk walk',
		duration: 1800,
		work: 1800,
		reps: 0
	},
	{
		name: 'hard intervals: ten times half a minute, a minute easy between',
		text: 'hiit 10 x 30/60: fast feet',
		duration: 10 * 30 + 9 * 60,
		work: 300,
		reps: 0
	},
	{
		name: 'stretches: five of 30 s, three of them per side, 5 s to get there',
		text: 'holds, rest 5: 30 s per side calf stretch + 30 s per side thigh stretch + 30 s per side chest stretch + 30 s child rest + 30 s lat stretch',
		// 3 × 65 + 2 × 30 + 4 × 5
		duration: 275,
		work: 240,
		reps: 0
	},
	{
		name: 'three circuits three times, 30 s breaks: within the half hour',
		text: [
			'repeat 3 times, rest 30:',
			'circuit 1 round 30/15: squat + push-up + swing + plank',
			'setup 30 s: to the mat',
			'circuit 1 round 30/15: glute bridge + dead bug + side plank per side + plank',
			'setup 30 s: up again',
			'circuit 1 round 30/15: fast feet + curl + step touch + wall sit',
			'end repeat'
		].join('\n'),
		// a circuit 165; a pass 3 × 165 + 2 × 30 = 555; three with two breaks of 30
		duration: 3 * 555 + 2 * 30,
		work: 3 * 3 * 120,
		reps: 0
	}
];

describe('worked out on paper', () => {
	it.each(WORKED)('$name', ({ text, duration, work, reps }) => {
		const { totals } = timeline(text);
		expect([totals.duration, totals.work, totals.repetitions]).toEqual([duration, work, reps]);
		expect(totals.rest).toBe(duration - work);
	});

	it('a whole session: warm-up, pair, EMOM, stretches, with the ways between', () => {
		const { totals, blocks } = timeline(
			[
				'warm-up: circuit 2 rounds 30/10: march with arms up + squat + hip hinge',
				'superset 3 rounds, rest 30 inside, 90 after: 10 goblet squat 3-1-1 @ 12 kg + 8 per side one-arm row 2-0-1-1 @ 12 kg',
				'emom 8 min: 10 swing 1-0-1 @ 10 kg / 6 per side step-up 1-0-1 @ 8 kg',
				'cool-down: holds, rest 5: 30 s per side calf stretch + 30 s child rest'
			].join('\n')
		);
		// 230 = 6 × 30 + 5 × 10; pair: 3 × (50 + 30 + 69) + 2 × 90 = 627; 480; stretches 65 + 5 + 30 = 100; three ways of 30
		expect(blocks.map((block) => block.seconds)).toEqual([230, 627, 480, 100]);
		expect(blocks.map((block) => block.start)).toEqual([0, 260, 917, 1427]);
		expect(totals.duration).toBe(230 + 627 + 480 + 100 + 90);
	});

	it('asks in the log for what the coach counts', () => {
		const { session } = parseSessionText(
			'emom 12 min: 8 squat / 6 push-up\n3 x 10 curl @ 8 kg, drop 20%\namrap 8 min: 5 squat',
			PRACTICE
		);
		expect(prescriptionOf(session, PRACTICE).map(({ exercise, sets }) => [exercise, sets])).toEqual([
			['Squat', 6],
			['Push-up', 6],
			['Curl', 3],
			['Squat', 1]
		]);
	});
});

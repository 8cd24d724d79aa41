/** Each format and rule worked out by hand at the tempo written beside it. */
import { describe, expect, it } from 'vitest';
import { compileSession } from './compile';
import { formatOf } from './formats';
import { expectedRounds, type Amrap } from './formats/amrap';
import { expectedFinish, type ForTime } from './formats/for-time';
import { teamsOf, type Stations } from './formats/stations';
import { dropLoads } from './formats/straight-sets';
import { targetText } from './amount';
import { blockFaults } from './faults';
import { prescriptionOf } from './prescription';
import { parseSessionText } from './text';
import type { Block } from './formats';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';

const block = <B extends Block>(line: string): B => sessionOf(line).blocks[0] as B;
const timeline = (text: string) => compileSession(sessionOf(text), PRACTICE);

describe('for time', () => {
	// a round: 10 × 3 s + 5 × 4 s = 50 s
	const LINE = 'for time 3 rounds, limit 5 min: 10 squat 2-0-1 + 5 push-up 3-0-1';

	it('takes its limit, and the work in it as expected', () => {
		expect(expectedFinish(block<ForTime>(LINE), PRACTICE)).toBe(150);
		expect(timeline(LINE).totals).toMatchObject({
			duration: 300,
			work: 150,
			rest: 150,
			lower: 300,
			upper: 300
		});
		expect(formatOf(block(LINE)).summary(block(LINE), PRACTICE)).toBe('3 rounds · limit 5:00, expected 2:30');
	});

	it('never runs past the limit, and counts only the repetitions that fit', () => {
		const { totals, segments } = timeline('for time 1 round, limit 20 s: 10 squat 2-0-2');
		expect(totals.duration).toBe(20);
		expect(segments[0]).toMatchObject({ seconds: 20, reps: 5 });
	});

	it('asks for its limit', () => {
		expect(parseSessionText('for time 3 rounds: 10 squat', PRACTICE).faults[0]?.message).toContain(
			'needs a time limit'
		);
	});
});

describe('AMRAP', () => {
	// a lap: 10 × 3 + (2 × 5 × 3 + 5) = 65 s; 600 / 65 = 9.23
	const LINE = 'amrap 10 min: 10 squat 2-0-1 + 5 per side reverse lunge 2-0-1';

	it('takes its time whatever the pace, and expects the rounds that go into it', () => {
		expect(expectedRounds(block<Amrap>(LINE), PRACTICE)).toBeCloseTo(9.2308, 4);
		expect(timeline(LINE).totals).toMatchObject({ duration: 600, lower: 600, upper: 600 });
		expect(formatOf(block(LINE)).summary(block(LINE), PRACTICE)).toBe('10 min · about 9.2 rounds expected');
	});

	it('owes one go: how many rounds is the result, not the duty', () => {
		expect(prescriptionOf(sessionOf(LINE), PRACTICE).map(({ sets }) => sets)).toEqual([1, 1]);
		expect(formatOf(block(LINE)).timesDone(block(LINE), 0, PRACTICE)).toBe(9);
	});
});

describe('stations', () => {
	// a turn is the pacer's 8 × 3 = 24 s; 3 min hold 7.5 turns: 4 of one's own work, 4 of the hold
	const LINE =
		'stations 1 round, 3 min each, 20 change, 8 people: 8 squat 2-0-1 + 1 s wall sit / 24 s plank + 1 s step touch';

	it('changes the two roles at the pace of the first, until the time is over', () => {
		const segments = timeline(LINE).segments;
		expect(segments.slice(0, 3).map((s) => [s.part, s.seconds])).toEqual([
			[0, 24],
			[1, 24],
			[0, 24]
		]);
		expect(segments[7]).toMatchObject({ part: 1, start: 168, seconds: 12 });
		expect(segments[8]).toMatchObject({ kind: 'station-change', start: 180, seconds: 20 });
		expect(timeline(LINE).totals.duration).toBe(380);
		expect(prescriptionOf(sessionOf(LINE), PRACTICE)).toHaveLength(4);
		expect(formatOf(block(LINE)).timesDone(block(LINE), 0, PRACTICE)).toBe(4);
	});

	it.each([
		[8, { twos: 4, threes: 0, perStation: 2 }],
		[9, { twos: 3, threes: 1, perStation: 2 }],
		[2, { twos: 1, threes: 0, perStation: 1 }],
		[3, { twos: 0, threes: 1, perStation: 1 }]
	])('makes teams of two out of %i people, one of three where they do not go up', (people, teams) => {
		expect(teamsOf({ ...block<Stations>(LINE), people })).toEqual(teams);
	});

	it.each([
		[7, { twos: 2, threes: 1, perStation: 2 }],
		[4, { twos: 2, threes: 0, perStation: 1 }],
		[9, { twos: 0, threes: 3, perStation: 2 }]
	])('makes teams of three out of %i where a station has three to do', (people, teams) => {
		const three = block<Stations>(
			'stations: 8 squat + 1 s plank + 1 s wall sit / 8 push-up + 1 s plank + 1 s curl'
		);
		expect(teamsOf({ ...three, people })).toEqual(teams);
	});

	describe('with half of the group elsewhere', () => {
		const LINE =
			'stations 1 round, 180 s each, 20 change, 26 people, half elsewhere: 10 goblet squat 2-0-1 + 20 s plank / 8 push-up + 20 s wall sit / 95 s march on the spot';

		it('takes twice as long: the stations, the change, and as long again elsewhere', () => {
			// Two stations of 180 s with 20 s between: 380 s; the change over: 20 s; and 380 s.
			expect(timeline(LINE).totals.duration).toBe(780);
			const away = timeline(LINE).segments.filter(({ part }) => part === 4);
			expect(away.map(({ start, seconds }) => [start, seconds])).toEqual([
				[400, 95],
				[495, 95],
				[590, 95],
				[685, 95]
			]);
		});

		it('has half of the people at the stations', () => {
			expect(teamsOf(block<Stations>(LINE))).toEqual({ twos: 5, threes: 1, perStation: 3 });
			const one = LINE.replace('26 people', '3 people');
			expect(teamsOf(block<Stations>(one))).toEqual({ twos: 1, threes: 0, perStation: 1 });
		});

		it.each([
			['95 s march on the spot', [4]],
			['100 s march on the spot', [4]],
			['60 s march on the spot + 30 s step touch', [5, 4]],
			['380 s march on the spot + 30 s step touch', [1, 0]]
		])('elsewhere is “%s”, begun %j times', (away, times) => {
			const meant = block<Block>(LINE.replace('95 s march on the spot', away));
			const format = formatOf(meant);
			const done = meant.parts.map((_, p) => format.timesDone(meant, p, PRACTICE)).slice(4);
			expect(done).toEqual(times);
			const begun = times.map(
				(_, i) =>
					timeline(lineOf(meant)).segments.filter((one) => one.kind === 'work' && one.part === 4 + i).length
			);
			expect(begun).toEqual(times);
		});

		it('is asked for once, whatever the rounds, and says so in words and at its exercise', () => {
			const meant = block<Block>(LINE.replace('1 round', '2 rounds'));
			const format = formatOf(meant);
			expect([0, 2, 4].map((part) => format.timesOwed?.(meant, part))).toEqual([2, 2, 1]);
			expect(format.summary(meant, PRACTICE)).toBe(
				'2 stations · 2 rounds · 3:00 each, 20 s to change · halves change over after 13:00 · 26 people: 5 × 2 and 1 × 3, up to 3 a station'
			);
			expect([0, 4].map((part) => format.remark?.(meant, part, PRACTICE))).toEqual([
				null,
				'the other half, meanwhile'
			]);
		});

		it('needs a station beside it', () => {
			const meant = { ...block<Stations>(LINE), groups: [[0, 1, 2, 3, 4]] };
			expect(blockFaults(meant, '', PRACTICE).map(({ message }) => message)).toContain(
				'half of the group elsewhere needs a station, and what the others do meanwhile'
			);
		});

		it.each(['half elsewhere', 'half of the group is elsewhere', 'half of them away'])(
			'is typed “%s”',
			(said) => {
				expect(lineOf(block<Block>(LINE.replace('half elsewhere', said)))).toBe(lineOf(block<Block>(LINE)));
			}
		);
	});

	it('takes four stations of three minutes as twelve, and the ways between them', () => {
		const four = ['squat', 'push-up', 'swing', 'curl'].map((name) => `8 ${name} + 20 s plank`).join(' / ');
		expect(timeline(`stations 1 round, 180 s each, 0 change: ${four}`).totals.duration).toBe(720);
	});
});

describe('steady cardio', () => {
	it.each([
		['steady 30 min at 155-145 bpm: run', 'lies under'],
		['steady 30 min at 20-155 bpm: run', 'from 60 to 220'],
		['steady: run', 'needs its minutes'],
		['steady 30 min: run + squat', 'takes one exercise, here are 2']
	])('%s is refused', (line, says) =>
		expect(parseSessionText(line, PRACTICE).faults[0]?.message).toContain(says)
	);
});

describe('HIIT', () => {
	it('fills the easy seconds with the second exercise', () => {
		expect(
			prescriptionOf(sessionOf('hiit 2 x 30/60: hill run + easy walk'), PRACTICE).map((p) => [
				p.sets,
				targetText(p)
			])
		).toEqual([
			[2, '30 s'],
			[1, '60 s']
		]);
	});
});

describe('drop sets', () => {
	it('adds its drops to the last set, five seconds to change the load', () => {
		// 3 × 30 + 2 × 60 rests + 2 × (5 + 30)
		expect(timeline('3 x 10 curl 2-0-1 @ 10 kg, drop 2 x 20% on last, rest 60').totals.duration).toBe(280);
		expect(timeline('3 x 10 curl 2-0-1 @ 10 kg, drop 20% on every, rest 60').totals.duration).toBe(
			90 + 120 + 3 * 35
		);
	});

	it('takes the percentage off the load before: 10, 8, 6.4 kg', () => {
		expect(dropLoads(10, { times: 2, percent: 20, on: 'last' })).toEqual([10, 8, 6.4]);
	});

	it('says its loads', () => {
		const line = '3 x 10 curl @ 10 kg, drop 2 x 20% on last, rest 60';
		expect(formatOf(block(line)).summary(block(line), PRACTICE)).toBe(
			'3 × · rest 60 · 2 drops of 20 % on the last set: 10, 8, 6.4 kg'
		);
	});

	it('needs a load, and owes the sets alone', () => {
		expect(parseSessionText('3 x 10 curl, drop 20%', PRACTICE).faults[0]?.message).toContain(
			'give it a load'
		);
		expect(parseSessionText('3 x 10 curl @ 8 kg, drop it', PRACTICE).faults[0]?.message).toContain(
			'drop 2 x 20%'
		);
		expect(prescriptionOf(sessionOf('3 x 10 curl @ 8 kg, drop 20%'), PRACTICE)[0]?.sets).toBe(3);
	});
});

describe('partial repetitions and choices', () => {
	it.each([
		['1¼', 12 * 3 * 1.25],
		['1 1/4', 12 * 3 * 1.25],
		['1½', 12 * 3 * 1.5],
		['lower half reps', 12 * 3 * 0.5],
		['upper half', 12 * 3 * 0.5]
	])('12 at 2-0-1, %s', (rule, seconds) => {
		expect(timeline(`1 x 12 ${rule} push-up 2-0-1, rest 0`).totals.duration).toBe(seconds);
	});

	it('seconds or reps: the range holds both', () => {
		// reps: 30 s, 22.5 to 37.5 at one's own pace; or 60 s
		const { duration, lower, upper } = timeline('1 x 10 or 60 s squat 2-0-1, rest 0').totals;
		expect([lower, duration, upper]).toEqual([22.5, 30, 60]);
		expect(targetText(block('1 x 10 or 60 s squat').parts[0]!)).toBe('10 or 60 s');
	});

	it('a choice between twice the same is none', () => {
		expect(parseSessionText('1 x 30 s or 40 s squat', PRACTICE).faults[0]?.message).toContain(
			'two ways to count'
		);
	});
});

describe('repeats', () => {
	const THREE = 'repeat 3 times, rest 30:\n1 x 10 squat 2-0-1\n1 x 10 push-up 2-0-1\nend repeat';

	it('goes through its blocks again with the rest between', () => {
		// a pass: 30 + 30 s way + 30; three of them with two rests of 30
		expect(timeline(THREE).totals).toMatchObject({ duration: 3 * 90 + 2 * 30, repetitions: 60 });
		expect(timeline(THREE).spans.map((span) => [span.block, span.pass])).toEqual([
			[0, 1],
			[1, 1],
			[0, 2],
			[1, 2],
			[0, 3],
			[1, 3]
		]);
		expect(prescriptionOf(sessionOf(THREE), PRACTICE).map(({ sets }) => sets)).toEqual([3, 3]);
	});

	it('nine rounds: a circuit of three rounds three times, 30 s between', () => {
		expect(
			timeline('repeat 3 times, rest 30:\ncircuit 3 rounds 40/20, 30 between: squat + push-up\nend repeat')
				.totals.duration
		).toBe(3 * (3 * 100 + 2 * 30) + 2 * 30);
	});
});

/** The same line in other spellings; and groups that do not add up. */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { blockOf } from '../../../tests/support/sessions';
import { amountOf, targetOf } from './amount';
import { putPart } from './edit';
import { sessionFaults } from './faults';
import { parseLine } from './line';
import { formatNamed, type Block } from './formats';
import { parseSessionText } from './text';

describe('hold', () => {
	const faults = (line: string) => {
		const read = parseLine(line, PRACTICE);
		return 'faults' in read ? read.faults.map(({ message }) => message) : lineOf(read.block);
	};

	it('of one exercise several times asks for the rest, which may be long or hardly any', () => {
		expect(faults('hold plank 3x30s')).toEqual([
			'how long is the rest between the 3 holds of Plank? Add it, as in rest 60'
		]);
		expect(faults('hold plank 3x30s, rest 60')).toBe('holds 3 rounds, rest 60: 30 s Plank');
		expect(faults('hold plank 30 s')).toBe('holds 1 round, rest 5: 30 s Plank');
		expect(faults('hold 3 rounds: 20 s hollow hold, 20 s bear hold')).toBe(
			'holds 3 rounds, rest 5: 20 s Hollow hold + 20 s Bear hold'
		);
	});
});

describe('other spellings', () => {
	it.each([
		['1 set of 10 squat', '1 x 10 squat'],
		['12 sets of 10 squat', '12 x 10 squat'],
		['  3 x 10 squat', '3 x 10 squat'],
		['3 x 10 rep squat', '3 x 10 squat'],
		['3 x 10 reps squat', '3 x 10 squat'],
		['3 x 10 squat per  side', '3 x 10 per side squat'],
		['3 x 10 squat @12 kg', '3 x 10 squat @ 12 kg'],
		['3 x 10 squat @ 12,5 kg', '3 x 10 squat @ 12.5 kg'],
		['3 x 10 squat @ 12,25 kg', '3 x 10 squat @ 12.25 kg'],
		['3 x 10 squat @ 10 pound', '3 x 10 squat @ 10 lb'],
		['3 x 10 squat @ 10 pounds', '3 x 10 squat @ 10 lbs'],
		['3 x 10 goblet   squat', '3 x 10 goblet squat'],
		['3 x 8 lower half rep squat', '3 x 8 lower half reps squat'],
		['3 x 8 1 1/2 squat', '3 x 8 1½ squat'],
		['3 x 2 min plank', '3 x 120 s plank'],
		['3 x 20 metres farmer carry', '3 x 20 m farmer carry'],
		['warmup 3 x 10 squat', 'warm-up: 3 x 10 squat'],
		['warm up, 3 x 10 squat', 'warm-up: 3 x 10 squat'],
		['  warm-up : 3 x 10 squat', 'warm-up: 3 x 10 squat'],
		['cooldown 3 x 10 squat', 'cool-down: 3 x 10 squat'],
		['main: 3 x 10 squat', '3 x 10 squat'],
		['2 x 10 squat @ 12 kg, drop  5times  15 %  on  the  last', '2 x 10 squat @ 12 kg, drop 5 x 15% on last'],
		['2 x 10 squat @ 12 kg, drop 2x20%on every', '2 x 10 squat @ 12 kg, drop 2 x 20% on every'],
		[
			'superset 1 round, 15inside, 60after: 10 squat + 10 curl',
			'superset 1 rounds, rest 15 inside, 60 after: 10 squat + 10 curl'
		],
		['superset 1 set: 10 squat + 10 curl', 'superset 1 round: 10 squat + 10 curl'],
		['emom 8 minute: 10 squat', 'emom 8 min: 10 squat'],
		['emom 8: 10 squat', 'emom 8 min: 10 squat'],
		["emom 8': 10 squat", 'emom 8 min: 10 squat'],
		['for time 1 round, cap 2 min: 10 squat', 'for time, limit 120 s: 10 squat'],
		['for time 1 x, under 2:00: 10 squat', 'for time, limit 120 s: 10 squat'],
		['steady 30 minute: brisk walk', 'steady 30 min: brisk walk'],
		['steady 30: brisk walk', 'steady 30 min: brisk walk'],
		['steady 30 min at 145 to 155 beats: brisk walk', 'steady 30 min, 145-155bpm: brisk walk'],
		['circuit 1 round 30 s/ 15: squat + plank', 'circuit 1 round 30/15: squat + plank'],
		[
			'circuit 2 rounds 30/15, 45s  between: squat + plank',
			'circuit 2 rounds 30/15, 45 between: squat + plank'
		],
		['hiit 8 x 30s / 60s: fast feet', 'hiit 8 x 30/60: fast feet'],
		['hold 30 s child rest, 1 round', 'holds 1 round: 30 s child rest']
	])('%s', (typed, plain) => expect(blockOf(typed)).toEqual(blockOf(plain)));

	it('reads every figure of a tempo, of two digits and with decimals', () => {
		expect(blockOf('3 x 10 squat 12-10-11-13').parts[0]?.tempo).toEqual([12, 10, 11, 13]);
		expect(blockOf('3 x 10 squat 1.25-0.25-2.75-0.15').parts[0]?.tempo).toEqual([1.25, 0.25, 2.75, 0.15]);
		expect(blockOf('3 x 10 squat 1.5-0-2').parts[0]?.tempo).toEqual([1.5, 0, 2, 0]);
	});

	it('refuses a weight of nothing where it stands', () => {
		const { faults } = parseSessionText('3 x 10 squat @ 0 kg', PRACTICE);
		expect(faults).toMatchObject([{ line: 1, from: 13, to: 19 }]);
	});
});

describe('groups', () => {
	const told = (block: Block, groups: number[][]) =>
		sessionFaults({ blocks: [{ ...block, groups } as Block] }, PRACTICE).map(
			({ path, message }) => `${path}: ${message}`
		);
	const EMOM = blockOf('emom 8 min: 5 squat + 5 push-up / 5 curl');
	const wrong = (what: string) =>
		`blocks[0].groups: every exercise of ${what} belongs to exactly one group, and no group is empty`;

	it.each([
		['one is in none', [[0], [2]]],
		[
			'one is in two',
			[
				[0, 1],
				[1, 2]
			]
		],
		[
			'one is twice in one',
			[
				[0, 1],
				[2, 2]
			]
		],
		[
			'one is not there',
			[
				[0, 1],
				[2, 3]
			]
		],
		['a group is empty', [[0, 1, 2], []]]
	])('do not add up: %s', (_, groups) => expect(told(EMOM, groups)).toContain(wrong('an EMOM')));

	it('add up in any order', () => {
		expect(told(EMOM, [[2], [1, 0]])).toEqual([]);
		expect(told(EMOM, [[0, 1, 2]])).toEqual([]);
	});

	it('of stations have three exercises at most', () => {
		const stations = blockOf('stations: 5 squat + 5 push-up / 5 curl + 5 swing');
		expect(told(stations, [[0, 1, 2, 3]])).toEqual([
			'blocks[0].groups[0]: a station has up to three exercises for a team of three, this one 4'
		]);
		expect(told(stations, [[0, 1, 2], [3]])).toEqual([]);
		expect(told(stations, [[0, 1], [2]])).toContain(wrong('a round of stations'));
	});

	it('of an EMOM leave some of the minute', () => {
		// Fifteen curls of 4 s are the minute.
		const full = putPart(EMOM, 2, { ...EMOM.parts[2]!, target: targetOf('reps', 15) });
		expect(sessionFaults({ blocks: [full] }, PRACTICE)).toMatchObject([
			{
				path: 'blocks[0].groups[1]',
				message:
					'the work of minute 2 takes 60 s and leaves no rest in the minute; fewer reps or one exercise less would fit'
			}
		]);
	});
});

describe('an amount', () => {
	it('is of its kind', () => {
		expect(targetOf('seconds', 40)).toEqual({ kind: 'seconds', seconds: 40 });
		expect(targetOf('metres', 20)).toEqual({ kind: 'metres', metres: 20 });
		expect(targetOf('reps', 12)).toEqual({ kind: 'reps', reps: 12 });
		for (const kind of ['seconds', 'metres', 'reps'] as const) expect(amountOf(targetOf(kind, 7))).toBe(7);
	});
});

it('a format that is not there is named', () => {
	expect(() => formatNamed('nothing' as 'emom')).toThrow('format: there is no nothing; there are');
});

/**
 * Sessions told segment by segment, call by call. Worked out by hand: a squat and a push-up take 3 s, a curl 4 s, a
 * metre of carrying 1 s; a change of sides or of weights takes 5 s, the way to the next block 30 s.
 */
import { describe, expect, it } from 'vitest';
import { PRACTICE, practiceWith } from '../../../tests/support/practice';
import { blockOf, sessionOf } from '../../../tests/support/sessions';
import { compileSession, blockSeconds } from './compile';
import type { Segment } from './timeline';

function tell(s: Segment): string {
	const marks = [
		s.block > 0 && `block ${s.block}`,
		s.part !== null && `part ${s.part}`,
		s.round > 1 && `round ${s.round}`,
		s.pass > 1 && `pass ${s.pass}`,
		s.side !== 'both' && s.side,
		s.reps > 0 && `× ${s.reps}`,
		s.paced && 'own pace',
		s.free && 'free',
		s.hard && 'hard'
	];
	return [`${s.start}+${s.seconds} ${s.kind}`, ...marks.filter(Boolean)].join(', ');
}
const told = (text: string, practice = PRACTICE) =>
	compileSession(sessionOf(text), practice).segments.map(tell);
const calls = (text: string) =>
	compileSession(sessionOf(text), PRACTICE)
		.cues.map(({ time, kind }) => `${time} ${kind}`)
		.join(', ');

describe('segment by segment', () => {
	it.each([
		[
			'2 x 4 squat per side, rest 30',
			[
				'0+12 work, part 0, left, × 4, own pace, free',
				'12+5 side-change, part 0',
				'17+12 work, part 0, right, × 4, own pace, free',
				'29+30 rest',
				'59+12 work, part 0, round 2, left, × 4, own pace, free',
				'71+5 side-change, part 0, round 2',
				'76+12 work, part 0, round 2, right, × 4, own pace, free'
			]
		],
		[
			'2 x 4 squat @ 10 kg, drop 2 x 20% on last, rest 30',
			[
				'0+12 work, part 0, × 4, own pace, free',
				'12+30 rest',
				'42+12 work, part 0, round 2, × 4, own pace, free',
				'54+5 setup, part 0, round 2',
				'59+12 work, part 0, round 2, × 4, own pace, free',
				'71+5 setup, part 0, round 2',
				'76+12 work, part 0, round 2, × 4, own pace, free'
			]
		],
		[
			'superset 2 rounds, rest 10 inside, 40 after: 4 squat + 4 curl',
			[
				'0+12 work, part 0, × 4, own pace, free',
				'12+10 rest',
				'22+16 work, part 1, × 4, own pace, free',
				'38+40 round-rest',
				'78+12 work, part 0, round 2, × 4, own pace, free',
				'90+10 rest, round 2',
				'100+16 work, part 1, round 2, × 4, own pace, free'
			]
		],
		[
			'circuit 2 rounds 20/10, 45 between: squat + plank',
			[
				'0+20 work, part 0',
				'20+10 rest',
				'30+20 work, part 1',
				'50+45 round-rest',
				'95+20 work, part 0, round 2',
				'115+10 rest, round 2',
				'125+20 work, part 1, round 2'
			]
		],
		['circuit 2 rounds 20/10: squat', ['0+20 work, part 0', '20+10 rest', '30+20 work, part 0, round 2']],
		[
			'circuit 3 rounds 20/10, last rest: squat',
			[
				'0+20 work, part 0',
				'20+10 rest',
				'30+20 work, part 0, round 2',
				'50+10 rest, round 2',
				'60+20 work, part 0, round 3',
				'80+10 rest, round 3'
			]
		],
		[
			'emom 3 min: 5 squat + 2 push-up per side / 4 curl',
			[
				'0+15 work, part 0, × 5',
				'15+6 work, part 1, left, × 2',
				'21+5 side-change, part 1',
				'26+6 work, part 1, right, × 2',
				'32+28 rest',
				'60+16 work, part 2, × 4',
				'76+44 rest',
				'120+15 work, part 0, round 2, × 5',
				'135+6 work, part 1, round 2, left, × 2',
				'141+5 side-change, part 1, round 2',
				'146+6 work, part 1, round 2, right, × 2',
				'152+28 rest, round 2'
			]
		],
		[
			'for time 2 rounds, limit 40 s: 4 squat',
			['0+12 work, part 0, × 4', '12+12 work, part 0, round 2, × 4', '24+16 rest, round 2']
		],
		// Of five squats in 15 s one is done within 5 s.
		['for time 2 rounds, limit 20 s: 5 squat', ['0+15 work, part 0, × 5', '15+5 work, part 0, round 2, × 1']],
		[
			'amrap 30 s: 4 squat',
			['0+12 work, part 0, × 4', '12+12 work, part 0, round 2, × 4', '24+6 work, part 0, round 3, × 2']
		],
		[
			'stations 1 round, 20 s each, 10 change: 2 squat + 2 curl / 5 push-up',
			[
				'0+6 work, part 0, × 2',
				'6+6 work, part 1',
				'12+6 work, part 0, × 2',
				'18+2 work, part 1',
				'20+10 station-change',
				'30+15 work, part 2, × 5',
				'45+5 work, part 2, × 1'
			]
		],
		[
			'stations 2 rounds, 15 s each, 10 change: 5 squat / 5 push-up',
			[
				'0+15 work, part 0, × 5',
				'15+10 station-change',
				'25+15 work, part 1, × 5',
				'40+10 station-change',
				'50+15 work, part 0, round 2, × 5',
				'65+10 station-change, round 2',
				'75+15 work, part 1, round 2, × 5'
			]
		],
		['steady 1 min: brisk walk', ['0+60 work, part 0']],
		[
			'hiit 2 x 30/60: fast feet',
			['0+30 work, part 0, hard', '30+60 rest', '90+30 work, part 0, round 2, hard']
		],
		[
			'hiit 2 x 30/60: hill run + easy walk',
			['0+30 work, part 0, hard', '30+60 work, part 1', '90+30 work, part 0, round 2, hard']
		],
		[
			'holds 2 rounds, rest 5: 20 s per side calf stretch + 20 s child rest',
			[
				'0+20 work, part 0, left, free',
				'20+5 side-change, part 0',
				'25+20 work, part 0, right, free',
				'45+5 rest',
				'50+20 work, part 1, free',
				'70+5 rest',
				'75+20 work, part 0, round 2, left, free',
				'95+5 side-change, part 0, round 2',
				'100+20 work, part 0, round 2, right, free',
				'120+5 rest, round 2',
				'125+20 work, part 1, round 2, free'
			]
		],
		[
			'1 x 4 squat, rest 0\nsetup 20 s: move the bench\n1 x 20 m farmer carry, rest 0\n1 x 4 curl, rest 0',
			[
				'0+12 work, part 0, × 4, own pace, free',
				'12+20 setup, block 1',
				'32+20 work, block 1, part 0, own pace, free',
				'52+30 transition, block 1',
				'82+16 work, block 2, part 0, × 4, own pace, free'
			]
		],
		// What is repeated together is set up each time, what is repeated by itself once.
		[
			'repeat 2 times, rest 20:\n1 x 4 squat, rest 0\nsetup 15 s: bench\n1 x 4 curl, rest 0\nend repeat',
			[
				'0+12 work, part 0, × 4, own pace, free',
				'12+15 setup, block 1',
				'27+16 work, block 1, part 0, × 4, own pace, free',
				'43+20 round-rest, block 1',
				'63+12 work, part 0, pass 2, × 4, own pace, free',
				'75+15 setup, block 1, pass 2',
				'90+16 work, block 1, part 0, pass 2, × 4, own pace, free'
			]
		],
		[
			'setup 15 s: bench\nrepeat 2 times, rest 20:\n1 x 4 curl, rest 0\nend repeat',
			[
				'0+15 setup',
				'15+16 work, part 0, × 4, own pace, free',
				'31+20 round-rest',
				'51+16 work, part 0, pass 2, × 4, own pace, free'
			]
		]
	])('%s', (text, segments) => expect(told(text)).toEqual(segments));

	it('keeps the rest after the last set where the coach counts it', () => {
		const practice = practiceWith({ house: { lastRest: 'kept' } });
		expect(told('2 x 4 squat, rest 30', practice).at(-1)).toBe('54+30 rest, round 2');
		expect(told('holds 1 round, rest 5: 20 s child rest', practice).at(-1)).toBe('20+5 rest');
	});
});

describe('call by call', () => {
	it.each([
		[
			'2 x 4 squat per side, rest 30',
			'0 start, 12 change-side, 17 start, 29 next-up, 59 last-round, 59 start, 71 change-side, 76 start'
		],
		[
			'circuit 3 rounds 22/45: plank',
			'0 start, 11 halfway, 12 ten-left, 19 three-two-one, 22 next-up, 22 water, ' +
				'67 round, 67 start, 78 halfway, 79 ten-left, 86 three-two-one, 89 next-up, 89 water, ' +
				'134 last-round, 134 start, 145 halfway, 146 ten-left, 153 three-two-one'
		],
		// The second side follows in the same slot.
		[
			'circuit 1 round 40/0: bird dog per side',
			'0 start, 10 halfway, 17 three-two-one, 20 change-side, 30 halfway, 37 three-two-one'
		],
		// A repeat is called at its first block alone, with its own count.
		[
			'repeat 3 times, rest 10:\n1 x 4 squat, rest 0\n1 x 4 curl, rest 0\nend repeat',
			'0 start, 12 next-up, 42 start, 58 next-up, ' +
				'68 round, 68 start, 80 next-up, 110 start, 126 next-up, ' +
				'136 last-round, 136 start, 148 next-up, 178 start'
		],
		// A new block begins with its first round, whatever the one before had.
		[
			'2 x 4 squat, rest 30\n2 x 4 curl, rest 30',
			'0 start, 12 next-up, 42 last-round, 42 start, 54 next-up, 84 start, 100 next-up, 130 last-round, 130 start'
		],
		['steady 1 min: brisk walk', '0 start, 30 halfway, 50 ten-left, 57 three-two-one'],
		// Calls that would run into each other are left out.
		['1 x 21 s plank, rest 0', '0 start, 10.5 halfway, 11 ten-left, 18 three-two-one'],
		['1 x 20 s plank, rest 0', '0 start, 10 halfway, 17 three-two-one'],
		['1 x 19 s plank, rest 0', '0 start'],
		['circuit 1 round 30/0: bird dog per side', '0 start, 15 change-side'],
		[
			'circuit 2 rounds 15/10, 44 between: plank + wall sit',
			'0 start, 15 next-up, 25 start, 40 next-up, 84 last-round, 84 start, 99 next-up, 109 start'
		]
	])('%s', (text, cues) => expect(calls(text)).toBe(cues));
});

describe('sums', () => {
	const totals = (text: string) => compileSession(sessionOf(text), PRACTICE).totals;

	it('part work, rest, repetitions and time under tension', () => {
		// 32 s of push-ups and squats; a plank is work without repetitions.
		expect(totals('2 x 4 squat per side, rest 30\n1 x 20 s plank, rest 0')).toEqual({
			duration: 138,
			lower: 138 - 12,
			upper: 138 + 12,
			work: 68,
			rest: 70,
			restPerWork: 70 / 68,
			repetitions: 16,
			timeUnderTension: 48,
			hard: 0
		});
		expect(totals('hiit 2 x 30/60: fast feet')).toMatchObject({
			hard: 60,
			restPerWork: 1,
			timeUnderTension: 0
		});
	});

	it('spread by a quarter of what people pace themselves, and by their choice', () => {
		// 12 s of squats, 9 to 15; or 20 s, which nobody paces. 20 m at 1 s, 15 to 25, or 4 squats.
		expect(totals('1 x 4 reps or 20 s squat, rest 0')).toMatchObject({ duration: 12, lower: 9, upper: 20 });
		expect(totals('1 x 20 s or 4 reps squat, rest 0')).toMatchObject({ duration: 20, lower: 9, upper: 20 });
		expect(totals('1 x 20 m farmer carry, rest 0')).toMatchObject({ duration: 20, lower: 15, upper: 25 });
		expect(totals('1 x 10 s or 8 reps squat, rest 0')).toMatchObject({ duration: 10, lower: 10, upper: 30 });
		expect(totals('amrap 30 s: 4 squat')).toMatchObject({ lower: 30, upper: 30 });
	});

	it('of nothing are nothing', () => {
		expect(compileSession({ blocks: [] }, PRACTICE).totals).toMatchObject({ duration: 0, restPerWork: null });
	});

	it('of a block are over all its passes, from its first', () => {
		const { blocks, spans } = compileSession(
			sessionOf('1 x 4 squat, rest 0\nrepeat 2 times, rest 20:\n1 x 4 curl, rest 0\nend repeat'),
			PRACTICE
		);
		expect(blocks).toEqual([
			{ start: 0, seconds: 12 },
			{ start: 42, seconds: 32 }
		]);
		expect(spans).toEqual([
			{ block: 0, pass: 1, of: 1, start: 0, seconds: 12 },
			{ block: 1, pass: 1, of: 2, start: 42, seconds: 16 },
			{ block: 1, pass: 2, of: 2, start: 78, seconds: 16 }
		]);
		expect(blockSeconds(blockOf('2 x 4 squat, rest 30'), PRACTICE)).toBe(54);
	});
});

/** One session with something of everything, worked out by hand from end to end. */
import { describe, expect, it } from 'vitest';
import { compileSession, type Session } from '../session';
import { PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { balanceOf } from './balance';
import { callSheetOf } from './call-sheet';
import { checkSession } from './check-session';
import { outlineOf } from './outline';

/**
 * Warm-up 30 s, 20 s to set up; then twice: a superset of 2 × (50 s squat, 10 rest, 32 + 5 + 32 s row) with 30 s between
 * the rounds, 288 s; 30 s on; two planks with 20 s between, 80 s; 60 s between the times, of which the second begins with
 * its set-up of 20 s; at the end 30 s on and a stretch of 30 + 5 + 30 s.
 */
const RIDGE = sessionOf(`note: slower
link: Song | https://example.org/song
recovery: walk
warm-up: circuit 1 round 30/10: march on the spot
repeat 2 times, rest 60:
setup 20 s: swap to the heavy pair
superset 2 rounds, rest 10 inside, 30 after: 10 goblet squat 3-1-1-0 @ 12 kg + 8 per side one-arm row @ 12 kg
2 x 30 s plank, rest 20
end repeat
cool-down: holds, rest 5: 30 s per side calf stretch`);

describe('outlineOf', () => {
	it('has everything that a page shows', () => {
		expect(outlineOf(RIDGE, PRACTICE)).toEqual({
			lower: 907,
			upper: 1135,
			work: 666,
			ready: ['chair', 'dumbbell of 12 kg', 'mat', 'wall', 'water'],
			counting: 'Unsure of a rep? Count the lower number.',
			note: 'slower',
			links: [{ title: 'Song', url: 'https://example.org/song' }],
			recovery: ['walk'],
			blocks: [
				{
					role: 'warm-up',
					title: 'Warm-up',
					summary: '1 round · 30 s on, 10 s off',
					start: 0,
					seconds: 30,
					setup: null,
					dayPart: null,
					repeat: null,
					parts: [
						{
							mark: '1',
							exercise: 'March on the spot',
							much: '',
							load: null,
							tempo: null,
							cues: ['Easy pace, shoulders low', 'Land softly'],
							cautions: [],
							easier: 'Seated march',
							harder: 'March with arms up',
							instead: [],
							figure: 'March on the spot'
						}
					]
				},
				{
					role: 'main',
					title: 'Superset',
					summary: '2 rounds · 10 s between exercises, 30 s after each round',
					start: 50,
					seconds: 576,
					setup: 'swap to the heavy pair',
					dayPart: null,
					repeat: 'this and the next block, 2 times, 60 s between',
					parts: [
						{
							mark: 'A1',
							exercise: 'Goblet squat',
							much: '10 reps',
							load: '12 kg',
							tempo: '3-1-1-0',
							cues: [
								'Weight at the breastbone',
								'Elbows close to the ribs',
								'Stand fully',
								'Down to 90° at the knee',
								'Heels stay down'
							],
							cautions: [],
							easier: 'Slow squat',
							harder: 'Front squat',
							instead: [],
							figure: 'Goblet squat'
						},
						{
							mark: 'A2',
							exercise: 'One-arm row',
							much: '8 per side',
							load: '12 kg',
							tempo: null,
							cues: ['Elbow close, back flat, breathe out as you pull', 'Weaker side first'],
							cautions: [],
							easier: 'Seated band row',
							harder: 'Backpack row',
							instead: [],
							figure: 'One-arm row'
						}
					]
				},
				{
					role: 'main',
					title: 'Straight sets',
					summary: '2 × · rest 20',
					start: 368,
					seconds: 160,
					setup: null,
					dayPart: null,
					repeat: null,
					parts: [
						{
							mark: '1',
							exercise: 'Plank',
							much: '30 s',
							load: null,
							tempo: null,
							cues: ['Elbows under the shoulders, breathe', 'Hips level'],
							cautions: [],
							easier: 'Knee plank',
							harder: 'Plank with shoulder tap',
							instead: [],
							figure: 'Plank'
						}
					]
				},
				{
					role: 'cool-down',
					title: 'Cool-down',
					summary: '5 s from one to the next',
					start: 956,
					seconds: 65,
					setup: null,
					dayPart: null,
					repeat: null,
					parts: [
						{
							mark: '1',
							exercise: 'Calf stretch',
							much: '30 s per side',
							load: null,
							tempo: null,
							cues: ['Heel down, knee straight', 'Hips forward'],
							cautions: [],
							easier: 'Bent-knee calf stretch',
							harder: null,
							instead: [],
							figure: 'Calf stretch'
						}
					]
				}
			]
		});
	});

	it('of a bare session says nothing that is not there', () => {
		const bare = outlineOf(
			{
				blocks: [
					{
						...sessionOf('3 x 10 squat').blocks[0]!,
						parts: [{ ...sessionOf('3 x 10 squat').blocks[0]!.parts[0]!, exercise: 'Anvil lift' }]
					}
				]
			},
			PRACTICE
		);
		expect(bare).toMatchObject({ note: null, links: [], recovery: [] });
		expect(bare.blocks[0]?.parts[0]).toMatchObject({ cues: [], cautions: [], easier: null });
	});

	it('says how many blocks are repeated', () => {
		const repeat = (text: string) => outlineOf(sessionOf(text), PRACTICE).blocks.map((block) => block.repeat);
		expect(repeat('repeat 2 times, rest 30:\n2 x 10 squat\nend repeat\n2 x 10 curl')).toEqual([
			'this, 2 times, 30 s between',
			null
		]);
		expect(
			repeat('2 x 10 curl\nrepeat 3 times, rest 0:\n2 x 10 squat\n2 x 10 curl\n2 x 10 squat\nend repeat')
		).toEqual([null, 'this and the next 2 blocks, 3 times, 0 s between', null, null]);
	});
});

describe('callSheetOf', () => {
	const sheet = (session: Session, options?: { countdowns: boolean }) =>
		callSheetOf(session, compileSession(session, PRACTICE), PRACTICE, options);
	const told = (session: Session, options?: { countdowns: boolean }) =>
		sheet(session, options).flatMap((block) => [
			`# ${block.title} ${block.setup ? `(${block.setup}) ` : ''}${block.start}+${block.seconds}`,
			...block.calls.map(({ time, say, detail }) => `${time} ${say}${detail ? ` | ${detail}` : ''}`)
		]);
	const SQUAT = 'Go: Goblet squat | 10 reps, 12 kg. Weight at the breastbone. Elbows close to the ribs';
	const row = (side: string) =>
		`Go: One-arm row, ${side} side | 8 per side, 12 kg. Elbow close, back flat, breathe out as you pull. Weaker side first`;

	it('says when what is done, from the first second to the last', () => {
		const lines = told(RIDGE);
		expect(lines.slice(0, 32)).toEqual([
			'# Warm-up 0+30',
			'0 Go: March on the spot | 30 s. Easy pace, shoulders low. Land softly',
			'15 Half',
			'20 Ten left',
			'27 Three, two, one',
			'30 swap to the heavy pair. Next: Goblet squat | 0:20 to set up',
			'# Superset, 1 of 2 (swap to the heavy pair) 50+288',
			`50 ${SQUAT}`,
			'100 Next: One-arm row, left side | 0:10 rest',
			`110 ${row('left')}`,
			'142 Change side',
			`147 ${row('right')}`,
			'179 Next: Goblet squat | 0:30 rest',
			`209 Last round. ${SQUAT}`,
			'259 Next: One-arm row, left side | 0:10 rest',
			`269 ${row('left')}`,
			'301 Change side',
			`306 ${row('right')}`,
			'338 Next: Plank | 0:30 rest',
			'# Straight sets, 1 of 2 368+80',
			'368 Go: Plank | 30 s. Elbows under the shoulders, breathe. Hips level',
			'383 Half',
			'388 Ten left',
			'395 Three, two, one',
			'398 Next: Plank | 0:20 rest',
			'418 Last round. Go: Plank | 30 s. Elbows under the shoulders, breathe. Hips level',
			'433 Half',
			'438 Ten left',
			'445 Three, two, one',
			'448 Next: Goblet squat. Water | 1:00 rest',
			'508 swap to the heavy pair. Next: Goblet squat | 0:20 to set up',
			'# Superset, 2 of 2 (swap to the heavy pair) 528+288'
		]);
		expect(lines[32]).toBe(`528 Last time through. ${SQUAT}`);
		expect(lines.slice(-10)).toEqual([
			'# Cool-down 956+65',
			'956 Go: Calf stretch, left side | 30 s per side. Heel down, knee straight. Hips forward',
			'971 Half',
			'976 Ten left',
			'983 Three, two, one',
			'986 Change side',
			'991 Go: Calf stretch, right side | 30 s per side. Heel down, knee straight. Hips forward',
			'1006 Half',
			'1011 Ten left',
			'1018 Three, two, one'
		]);
		expect(sheet(RIDGE)[1]?.calls[6]?.kinds).toEqual(['last-round', 'start']);
	});

	it('counts rounds, and times through', () => {
		const lines = told(
			sessionOf('repeat 3 times, rest 30:\ncircuit 3 rounds 40/20, 60 between: squat + push-up\nend repeat'),
			{ countdowns: false }
		);
		const said = lines
			.map(
				(line) => /^\d+ (Round \d|Last round|Time through number \d|Last time through)/.exec(line)?.[0] ?? ''
			)
			.filter(Boolean);
		expect(said).toEqual([
			'160 Round 2',
			'320 Last round',
			'450 Time through number 2',
			'610 Round 2',
			'770 Last round',
			'900 Last time through',
			'1060 Round 2',
			'1220 Last round'
		]);
		expect(lines.slice(1, 6)).toEqual([
			'0 Go: Squat | 40 s. Sit back, knees over the feet. Heels stay down',
			'40 Next: Push-up | 0:20 rest',
			'60 Go: Push-up | 40 s. Elbows 45°, body one line. Chest leads',
			'100 Next: Squat. Water | 1:00 rest',
			'160 Round 2. Go: Squat | 40 s. Sit back, knees over the feet. Heels stay down'
		]);
	});

	it('says where to change the station', () => {
		const lines = told(sessionOf('stations 1 round, 60 s each, 15 change: 10 squat / 8 push-up'), {
			countdowns: false
		});
		expect(lines).toContain('60 Next: Push-up | 0:15 to change station');
	});
});

describe('balanceOf', () => {
	const some = (record: Record<string, number>) =>
		Object.fromEntries(Object.entries(record).filter(([, value]) => value > 0));

	it('counts sets, sides, jumps and ways to the floor over every time through', () => {
		const session = sessionOf(
			'repeat 2 times, rest 30:\n3 x 10 per side reverse lunge @ 8 kg, rest 30\n2 x 10 jump squat, rest 30\nend repeat\ncool-down: holds 2 rounds, rest 5: 30 s per side calf stretch + 30 s child rest'
		);
		const { sets, direct, stretched, ...rest } = balanceOf(session, PRACTICE);
		expect(some(direct)).toEqual({ glutes: 10, quads: 10 });
		// Six sets of lunges (glutes and quads, hamstrings half), four of jumps (glutes and quads, calves half).
		expect(some(sets)).toEqual({ glutes: 10, quads: 10, hamstrings: 3, calves: 2 });
		expect(some(stretched)).toEqual({ lats: 60, 'lower back': 60, calves: 60 });
		// Six sets of ten lunges of 3 s and twice 30 s of calves a side; forty jumps of 2 s.
		expect(rest).toEqual({
			pullPush: { a: 0, b: 0, ratio: null },
			kneeHip: { a: 10, b: 0, ratio: null },
			upper: 0,
			trunk: 0,
			lower: 25,
			left: 240,
			right: 240,
			impact: { seconds: 80, reps: 40 },
			floorChanges: 2
		});
	});

	it('counts neither mobility nor cardio as sets, and stretches only what is held', () => {
		const { sets, stretched, upper, trunk, lower } = balanceOf(
			sessionOf(
				'2 x 8 cat-camel\n2 x 10 s calf stretch\n3 x 10 curl\n3 x 20 s plank\nsteady 10 min: brisk walk'
			),
			PRACTICE
		);
		expect(some(sets)).toEqual({ biceps: 3, forearms: 1.5, abs: 3, 'front shoulder': 1.5, glutes: 1.5 });
		expect(some(stretched)).toEqual({ calves: 20 });
		expect({ upper, trunk, lower }).toEqual({ upper: 6, trunk: 3, lower: 1.5 });
		const counted = { ...sessionOf('2 x 10 s calf stretch') };
		counted.blocks = counted.blocks.map((block) => ({
			...block,
			parts: block.parts.map((part) => ({ ...part, target: { kind: 'reps', reps: 10 } as const }))
		}));
		expect(some(balanceOf(counted, PRACTICE).stretched)).toEqual({});
	});

	it('leaves out what the library does not know', () => {
		const session = sessionOf('3 x 10 squat\n3 x 10 curl');
		const strange = {
			blocks: session.blocks.map((block, b) =>
				b === 0
					? { ...block, parts: block.parts.map((part) => ({ ...part, exercise: 'Anvil lift' })) }
					: block
			)
		} as Session;
		expect(some(balanceOf(strange, PRACTICE).sets)).toEqual({ biceps: 3, forearms: 1.5 });
	});
});

it('finds nothing in a session of no blocks', () => {
	expect(checkSession({ blocks: [] }, PRACTICE, { budgetMinutes: 0.001 })).toEqual([]);
});

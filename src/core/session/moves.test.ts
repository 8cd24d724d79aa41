/** Changes to blocks and exercises at their edges: the first, the last, one that is not there. */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { cuesOf } from './cues';
import {
	addBlock,
	canJoin,
	duplicateBlock,
	insertBlock,
	joinBlocks,
	moveBlock,
	movePart,
	putBlock,
	putPart,
	removeBlock,
	repeatBlocks,
	splitBlock,
	toggleGroup,
	withNumber,
	withoutPart,
	withoutRepeat,
	withPart
} from './edit';
import { numberOf } from './faults';
import type { Session } from './model';
import { equipmentOf, haveReady } from './ready';
import { passesOf, repeatAround, visitsOf } from './repeats';
import type { Segment } from './timeline';

const names = (s: Session) =>
	s.blocks.map((block) => block.parts.map((part) => part.exercise).join('+')).join(' ');
const FIVE = sessionOf(
	'1 x 10 squat\nrepeat 2 times, rest 30:\n1 x 10 curl\n1 x 10 swing\nend repeat\n1 x 10 push-up\nrepeat 3 times, rest 10:\n1 x 30 s plank\nend repeat'
);
const [PRESS] = sessionOf('1 x 10 floor press').blocks;
const press = () => {
	if (!PRESS) throw new Error('a block');
	return PRESS;
};
const repeats = (s: Session) =>
	(s.repeats ?? []).map(({ from, to, times }) => `${from}-${to}×${times}`).join(' ');

describe('blocks at the edges', () => {
	it('go in before the first, after the last, between two of a repeat', () => {
		expect([names(insertBlock(FIVE, 0, press())), repeats(insertBlock(FIVE, 0, press()))]).toEqual([
			'Floor press Squat Curl Swing Push-up Plank',
			'2-3×2 5-5×3'
		]);
		expect([names(insertBlock(FIVE, 5, press())), repeats(insertBlock(FIVE, 5, press()))]).toEqual([
			'Squat Curl Swing Push-up Plank Floor press',
			'1-2×2 4-4×3'
		]);
		expect(repeats(insertBlock(FIVE, 2, press()))).toBe('1-3×2 5-5×3');
		expect(repeats(insertBlock(FIVE, 1, press()))).toBe('2-3×2 5-5×3');
		expect(repeats(insertBlock(FIVE, 3, press()))).toBe('1-2×2 5-5×3');
	});

	it('are added by their role: before the first of a later one, or at the end', () => {
		const s = sessionOf('warm-up: 1 x 10 squat\n1 x 10 curl\ncool-down: 1 x 10 swing');
		const as = (role: 'warm-up' | 'main' | 'cool-down') => names(addBlock(s, { ...press(), role }));
		expect([as('warm-up'), as('main'), as('cool-down')]).toEqual([
			'Squat Floor press Curl Swing',
			'Squat Curl Floor press Swing',
			'Squat Curl Swing Floor press'
		]);
	});

	it('move to either end, and one that is not there moves nothing', () => {
		expect(names(moveBlock(FIVE, 4, 0))).toBe('Plank Squat Curl Swing Push-up');
		expect(repeats(moveBlock(FIVE, 4, 0))).toBe('0-0×3 2-3×2');
		expect(names(moveBlock(FIVE, 0, 4))).toBe('Curl Swing Push-up Plank Squat');
		expect(moveBlock(FIVE, 9, 0)).toBe(FIVE);
		// Beside its own it stays with them; away from them it is on its own.
		expect(repeats(moveBlock(FIVE, 1, 2))).toBe('1-2×2 4-4×3');
		expect(repeats(moveBlock(FIVE, 1, 4))).toBe('1-1×2 3-3×3');
	});

	it('go, double, are put in place', () => {
		expect([names(removeBlock(FIVE, 4)), repeats(removeBlock(FIVE, 4))]).toEqual([
			'Squat Curl Swing Push-up',
			'1-2×2'
		]);
		expect(removeBlock(FIVE, 9)).toEqual(FIVE);
		expect(duplicateBlock(FIVE, 9)).toBe(FIVE);
		const twice = duplicateBlock(FIVE, 0);
		expect(names(twice)).toBe('Squat Squat Curl Swing Push-up Plank');
		expect(twice.blocks[1]).not.toBe(twice.blocks[0]);
		expect(names(putBlock(FIVE, 1, press()))).toBe('Squat Floor press Swing Push-up Plank');
	});

	it('are repeated in place of what they were repeated in, and no more', () => {
		expect(repeats(repeatBlocks(FIVE, 0, 1, 4, 5))).toBe('0-1×4 4-4×3');
		expect(repeats(repeatBlocks(FIVE, 3, 3, 4, 5))).toBe('1-2×2 3-3×4 4-4×3');
		expect(repeats(repeatBlocks(FIVE, 2, 4, 4, 5))).toBe('2-4×4');
		expect(repeats(repeatBlocks(FIVE, 0, 0, 4, 5))).toBe('0-0×4 1-2×2 4-4×3');
		expect(repeats(withoutRepeat(FIVE, 2))).toBe('4-4×3');
		expect(repeats(withoutRepeat(FIVE, 3))).toBe('1-2×2 4-4×3');
		expect(withoutRepeat(withoutRepeat(FIVE, 1), 4)).not.toHaveProperty('repeats');
	});
});

describe('splitting and joining', () => {
	it('keeps sets, set-up, role and repeat', () => {
		const s = sessionOf(
			'repeat 2 times, rest 30:\nsetup 20 s: swap\nsuperset 3 rounds: 10 squat @ 12 kg + 8 per side one-arm row\nend repeat\n1 x 10 curl'
		);
		const split = splitBlock(s, 0, PRACTICE);
		expect(split.blocks.map(lineOf)).toEqual([
			'3 x 10 reps Squat @ 12 kg, rest 60',
			'3 x 8 reps per side One-arm row, rest 60',
			'1 x 10 reps Curl, rest 60'
		]);
		expect(split.blocks.map(({ setup }) => setup?.text ?? null)).toEqual(['swap', null, null]);
		expect(repeats(split)).toBe('0-1×2');
		expect(splitBlock(s, 1, PRACTICE)).toBe(s);
		expect(splitBlock(s, 5, PRACTICE)).toBe(s);
		expect(
			splitBlock(
				sessionOf('warm-up: circuit 2 rounds 30/10: squat + push-up per side'),
				0,
				PRACTICE
			).blocks.map(lineOf)
		).toEqual(['warm-up: 2 x 30 s Squat, rest 60', 'warm-up: 2 x 15 s per side Push-up, rest 60']);
	});

	it('joins two of one role with three exercises at most', () => {
		const s = sessionOf('setup 20 s: swap\n3 x 10 squat, rest 45\n4 x 10 curl, rest 90\n1 x 10 swing');
		const joined = joinBlocks(s, 0, PRACTICE);
		expect(joined.blocks.map(lineOf)).toEqual([
			'superset 4 rounds, rest 30 inside, 90 after: 10 reps Squat + 10 reps Curl',
			'1 x 10 reps Swing, rest 60'
		]);
		expect(joined.blocks[0]?.setup?.text).toBe('swap');
		expect(joinBlocks(joined, 0, PRACTICE).blocks.map(lineOf)).toEqual([
			'superset 4 rounds, rest 30 inside, 90 after: 10 reps Squat + 10 reps Curl + 10 reps Swing'
		]);
		expect(canJoin(joinBlocks(joined, 0, PRACTICE), 0, PRACTICE)).toBe(false);
		const can = (text: string) => canJoin(sessionOf(text), 0, PRACTICE);
		expect(can('1 x 10 squat\n1 x 10 curl')).toBe(true);
		expect(can('1 x 10 squat')).toBe(false);
		expect(can('warm-up: 1 x 10 squat\n1 x 10 curl')).toBe(false);
		expect(can('superset 2 rounds: 10 squat + 10 curl\nsuperset 2 rounds: 10 squat + 10 curl')).toBe(false);
		expect(can('1 x 10 squat\ncircuit 2 rounds 30/10: curl')).toBe(false);
		expect(can('1 x 10 squat @ 8 kg, drop 20%\n1 x 10 curl')).toBe(false);
		const apart = sessionOf('1 x 10 squat\ncircuit 2 rounds 30/10: curl');
		expect(joinBlocks(apart, 0, PRACTICE)).toBe(apart);
		expect(repeats(joinBlocks(FIVE, 1, PRACTICE))).toBe('1-1×2 3-3×3');
		expect(repeats(joinBlocks(FIVE, 0, PRACTICE))).toBe('1-1×2 3-3×3');
	});
});

describe('exercises of a block', () => {
	const [emom] = sessionOf('emom 8 min: 10 squat + 5 curl / 8 push-up').blocks;
	const line = (block: typeof emom) => (block ? lineOf(block) : '');
	const block = () => {
		if (!emom) throw new Error('a block');
		return emom;
	};

	it('move, go and come with their groups', () => {
		expect(line(movePart(block(), 0, 2))).toBe('emom 8 min: 5 reps Curl + 8 reps Push-up / 10 reps Squat');
		expect(line(movePart(block(), 2, 0))).toBe('emom 8 min: 8 reps Push-up + 10 reps Squat / 5 reps Curl');
		expect(movePart(block(), 5, 0)).toBe(block());
		expect(line(withoutPart(block(), 0))).toBe('emom 8 min: 5 reps Curl / 8 reps Push-up');
		expect(line(withoutPart(block(), 2))).toBe('emom 8 min: 10 reps Squat + 5 reps Curl');
		expect(line(withoutPart(block(), 5))).toBe(line(block()));
		const part = block().parts[0]!;
		expect(line(withPart(block(), part))).toBe(
			'emom 8 min: 10 reps Squat + 5 reps Curl / 8 reps Push-up / 10 reps Squat'
		);
		expect(line(withPart(block(), part, 'last'))).toBe(
			'emom 8 min: 10 reps Squat + 5 reps Curl / 8 reps Push-up + 10 reps Squat'
		);
		expect(line(putPart(block(), 1, part))).toBe(
			'emom 8 min: 10 reps Squat + 10 reps Squat / 8 reps Push-up'
		);
		expect(line(withPart(press(), part))).toBe('1 x 10 reps Floor press + 10 reps Squat, rest 60');
	});

	it('are parted and joined where they stand', () => {
		const parted = toggleGroup(block(), 1);
		expect(line(parted)).toBe('emom 8 min: 10 reps Squat / 5 reps Curl / 8 reps Push-up');
		expect(toggleGroup(parted, 1)).toEqual(block());
		expect(line(toggleGroup(block(), 2))).toBe('emom 8 min: 10 reps Squat + 5 reps Curl + 8 reps Push-up');
		expect(toggleGroup(block(), 0)).toEqual(block());
		expect(toggleGroup(block(), 7)).toBe(block());
		expect(toggleGroup(press(), 0)).toBe(press());
	});

	it('go along with the seconds of their circuit', () => {
		const [circuit] = sessionOf('circuit 2 rounds 30/10: squat + push-up').blocks;
		const longer = withNumber(circuit!, 'work', 45);
		expect(longer.parts.map(({ target }) => target)).toEqual([
			{ kind: 'seconds', seconds: 45 },
			{ kind: 'seconds', seconds: 45 }
		]);
		expect(withNumber(circuit!, 'rest', 20).parts).toEqual(circuit!.parts);
		expect([numberOf(longer, 'work'), numberOf(longer, 'roundRest'), numberOf(longer, 'nothing')]).toEqual([
			45,
			null,
			null
		]);
	});
});

describe('repeats written out', () => {
	it('go through their blocks as often as they say, with the rest between', () => {
		expect(visitsOf(FIVE).map(({ block, pass, of, restAfter }) => [block, pass, of, restAfter])).toEqual([
			[0, 1, 1, null],
			[1, 1, 2, null],
			[2, 1, 2, 30],
			[1, 2, 2, null],
			[2, 2, 2, null],
			[3, 1, 1, null],
			[4, 1, 3, 10],
			[4, 2, 3, 10],
			[4, 3, 3, null]
		]);
		expect([0, 1, 2, 3, 4].map((block) => passesOf(FIVE, block))).toEqual([1, 2, 2, 1, 3]);
		expect(repeatAround(FIVE, 0)).toBeNull();
		expect(repeatAround(FIVE, 2)).toBe(FIVE.repeats?.[0]);
		// One that runs past the end stops there.
		expect(
			visitsOf({ ...FIVE, repeats: [{ from: 4, to: 9, times: 2, rest: 1 }] }).map(({ block }) => block)
		).toEqual([0, 1, 2, 3, 4, 4]);
	});
});

describe('what to have ready', () => {
	it('counts what is wanted at once, and each load', () => {
		const session = sessionOf(
			'2 x 10 front squat @ 8 kg\n2 x 10 goblet squat @ 12 kg\n2 x 10 goblet squat @ 12 kg\n1 x 10 band row\n1 x 10 step-up'
		);
		expect(equipmentOf(session, PRACTICE)).toEqual([
			{ item: 'band', count: 1, kg: [], perLoad: [] },
			{ item: 'dumbbell', count: 2, kg: [8, 12], perLoad: [2, 1] },
			{ item: 'step', count: 1, kg: [], perLoad: [] }
		]);
		expect(haveReady(session, PRACTICE)).toEqual([
			'band',
			'dumbbells: 2 of 8 kg, 1 of 12 kg',
			'step',
			'water'
		]);
		expect(haveReady(sessionOf('2 x 10 front squat @ 8 kg'), PRACTICE)).toEqual([
			'2 dumbbells of 8 kg',
			'water'
		]);
		expect(haveReady(sessionOf('2 x 10 front squat'), PRACTICE)).toEqual(['2 dumbbells', 'water']);
		expect(haveReady(sessionOf('2 x 10 anvil lift @ 8 kg'), PRACTICE)).toEqual(['water']);
	});
});

describe('cuesOf', () => {
	const segment = (
		kind: Segment['kind'],
		start: number,
		seconds: number,
		more: Partial<Segment> = {}
	): Segment => ({
		kind,
		start,
		seconds,
		block: 0,
		part: kind === 'work' ? 0 : null,
		round: 1,
		side: 'both',
		reps: 0,
		paced: false,
		hard: false,
		free: false,
		pass: 1,
		...more
	});
	const told = (...segments: Segment[]) => cuesOf(segments).map(({ time, kind }) => `${time} ${kind}`);

	it('calls half, ten and three of what is long enough', () => {
		expect(told(segment('work', 0, 19))).toEqual(['0 start']);
		expect(told(segment('work', 0, 20))).toEqual(['0 start', '10 halfway', '17 three-two-one']);
		expect(told(segment('work', 0, 21))).toEqual([
			'0 start',
			'10.5 halfway',
			'11 ten-left',
			'18 three-two-one'
		]);
		expect(told(segment('work', 5, 60, { paced: true }))).toEqual(['5 start']);
	});

	it('calls what comes in a rest, and water in a long one', () => {
		expect(told(segment('rest', 0, 45), segment('work', 45, 10))).toEqual([
			'0 next-up',
			'0 water',
			'45 start'
		]);
		expect(told(segment('rest', 0, 44), segment('work', 44, 10))).toEqual(['0 next-up', '44 start']);
		expect(told(segment('rest', 0, 44))).toEqual([]);
		for (const kind of ['round-rest', 'station-change', 'setup', 'transition'] as const)
			expect(told(segment(kind, 0, 10), segment('work', 10, 10)), kind).toEqual(['0 next-up', '10 start']);
		expect(told(segment('side-change', 0, 5), segment('work', 5, 10))).toEqual(['0 change-side', '5 start']);
	});

	it('calls the second side of one slot as it begins', () => {
		expect(
			told(segment('work', 0, 10, { side: 'left' }), segment('work', 10, 10, { side: 'right' }))
		).toEqual(['0 start', '10 change-side']);
		expect(told(segment('rest', 0, 10), segment('work', 10, 10, { side: 'right' }))).toEqual([
			'0 next-up',
			'10 start'
		]);
	});

	it('calls each round but the first, and the last by its name', () => {
		const rounds = (n: number) =>
			told(...Array.from({ length: n }, (_, i) => segment('work', i * 10, 10, { round: i + 1 })));
		expect(rounds(1)).toEqual(['0 start']);
		expect(rounds(2)).toEqual(['0 start', '10 last-round', '10 start']);
		expect(rounds(3)).toEqual(['0 start', '10 round', '10 start', '20 last-round', '20 start']);
		expect(told(segment('work', 0, 10), segment('work', 10, 10, { block: 1, round: 2 }))).toEqual([
			'0 start',
			'10 start'
		]);
	});
});

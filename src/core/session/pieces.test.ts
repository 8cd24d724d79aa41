/** Sessions of several parts of a day: typed, timed, changed, and two made one. */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import { compileSession } from './compile';
import { canJoin, duplicateBlock, joinBlocks, moveBlock, removeBlock, splitBlock } from './edit';
import { sessionFaults } from './faults';
import type { Session } from './model';
import { joinSessions, piecesOf } from './pieces';
import { formatSessionText, parseSessionText } from './text';

const TWO = sessionOf('when: Morning\n3 x 10 squat\n3 x 10 push-up\nwhen: Evening\nsteady 30 min: run');
const parts = (session: Session) => session.blocks.map(({ dayPart }) => dayPart ?? null);

describe('parts of a day', () => {
	it.each(['Evening', 'EVENING:', '## Evening', '**Evening**'])('a line “%s” begins one', (heading) => {
		expect(parts(sessionOf(`3 x 10 squat\n${heading}\n3 x 10 push-up\n3 x 10 curl @ 8 kg`))).toEqual([
			null,
			'Evening',
			null
		]);
	});

	it('are not what a line says of when something hurts', () => {
		const { faults, session } = parseSessionText('3 x 10 squat\nwhen the knee hurts: sit to chair', PRACTICE);
		expect(faults.length).toBeGreaterThan(0);
		expect(parts(session)).toEqual([null]);
	});

	it.each([
		['AM', 'Morning'],
		['p.m.:', 'Evening'],
		['lunch', 'Lunch'],
		['when: after work', 'after work']
	])('“%s” is %s', (heading, part) => {
		expect(parts(sessionOf(`${heading}\n3 x 10 squat`))).toEqual([part]);
	});

	it('asks for the words and for a block where there is none', () => {
		const faults = (text: string) => parseSessionText(text, PRACTICE).faults.map(({ message }) => message);
		expect(faults('when:\n3 x 10 squat')).toEqual(['when in the day? as in when: Evening']);
		expect(faults('3 x 10 squat\nwhen: Evening')).toEqual(['no block follows for Evening']);
		const long = { ...TWO, blocks: TWO.blocks.map((block) => ({ ...block, dayPart: 'x'.repeat(101) })) };
		expect(sessionFaults(long, PRACTICE)[0]).toMatchObject({ path: 'blocks[0].dayPart' });
	});

	it('are pieces; without one, or with the first alone, there are none', () => {
		expect(piecesOf(TWO)).toEqual([
			{ dayPart: 'Morning', from: 0, to: 1 },
			{ dayPart: 'Evening', from: 2, to: 2 }
		]);
		expect(piecesOf(sessionOf('when: Morning\n3 x 10 squat\n3 x 10 push-up'))).toEqual([]);
		expect(piecesOf(sessionOf('3 x 10 squat\n3 x 10 push-up'))).toEqual([]);
	});

	it('take no time to get to: only blocks that follow at once have a way between them', () => {
		const plain = sessionOf('3 x 10 squat\n3 x 10 push-up\nsteady 30 min: run');
		const between = PRACTICE.house.betweenBlocks;
		expect(between).toBeGreaterThan(0);
		const seconds = (session: Session) => compileSession(session, PRACTICE).totals.duration;
		expect(seconds(plain) - seconds(TWO)).toBe(between);
		expect(seconds(plain) - seconds({ ...plain, pieces: true })).toBe(2 * between);
	});

	it.each(['in pieces over the day', 'pieces', 'In pieces.'])('“%s” makes every block a piece', (line) => {
		const session = sessionOf(`${line}\n3 x 10 squat\n3 x 10 push-up`);
		expect(session.pieces).toBe(true);
		expect(piecesOf(session)).toHaveLength(2);
		expect(formatSessionText(session, PRACTICE)).toContain('in pieces over the day\n');
	});

	it('stay where they begin when blocks are taken out, doubled, split and joined', () => {
		expect(parts(removeBlock(TWO, 0))).toEqual(['Morning', 'Evening']);
		expect(parts(removeBlock(TWO, 1))).toEqual(['Morning', 'Evening']);
		// Evening keeps its own words when the last of the morning goes.
		expect(parts(removeBlock(removeBlock(TWO, 0), 0))).toEqual(['Evening']);
		expect(parts(duplicateBlock(TWO, 0))).toEqual(['Morning', null, null, 'Evening']);
		const pair = sessionOf('when: Evening\nsuperset 3 rounds: 10 squat + 10 push-up');
		expect(parts(splitBlock(pair, 0, PRACTICE))).toEqual(['Evening', null]);
		expect(parts(joinBlocks(TWO, 0, PRACTICE))).toEqual(['Morning', 'Evening']);
		expect(canJoin(sessionOf('3 x 10 squat\nwhen: Evening\n3 x 10 push-up'), 0, PRACTICE)).toBe(false);
		expect(parts(moveBlock(TWO, 2, 0))).toEqual(['Evening', 'Morning', null]);
	});
});

describe('joinSessions', () => {
	it('has both in order, with repeats, notes and links of both', () => {
		const first = sessionOf('note: Slowly.\n3 x 10 squat\nlink: Songs | https://a.example/1');
		const second = sessionOf(
			'note: Shoes.\nrepeat 2 times, rest 30:\n3 x 10 curl @ 8 kg\nend repeat\nrecovery: sleep\nin pieces over the day'
		);
		const both = joinSessions(
			{ dayPart: 'Morning', session: first },
			{ dayPart: 'Evening', session: second }
		);
		expect(both.blocks.map(lineOf)).toEqual([...first.blocks, ...second.blocks].map(lineOf));
		expect(parts(both)).toEqual(['Morning', 'Evening']);
		expect(both).toMatchObject({
			note: 'Slowly.\nShoes.',
			repeats: [{ from: 1, to: 1, times: 2, rest: 30 }],
			links: [{ title: 'Songs' }],
			recovery: ['sleep']
		});
		expect(sessionFaults(both, PRACTICE)).toEqual([]);
	});

	it('keeps the parts of the day that a session has itself, and its pieces', () => {
		const first = sessionOf('3 x 10 squat\n3 x 10 push-up');
		const second = sessionOf(
			'in pieces over the day\nwhen: Late\n3 x 10 squat\n3 x 10 curl @ 8 kg\nwhen: Bedtime\n2 x 30 s plank'
		);
		const both = joinSessions(
			{ dayPart: 'Morning: A', session: first },
			{ dayPart: 'Evening: B', session: second }
		);
		expect(parts(both)).toEqual([
			'Morning: A',
			null,
			'Evening: B, Late',
			'Evening: B, 2 of 3',
			'Evening: B, Bedtime'
		]);
		// The morning is done in one go, whatever the evening is.
		expect(piecesOf(both).map(({ from, to }) => [from, to])).toEqual([
			[0, 1],
			[2, 2],
			[3, 3],
			[4, 4]
		]);
	});

	it('shifts the repeats of the second by the blocks of the first, and has nothing where neither has', () => {
		const first = sessionOf(
			'repeat 2 times, rest 30:\n3 x 10 squat\n3 x 10 push-up\nend repeat\n3 x 10 curl @ 8 kg'
		);
		const second = sessionOf(
			'3 x 10 squat\nrepeat 3 times, rest 60:\n3 x 10 push-up\n3 x 10 curl @ 8 kg\nend repeat'
		);
		const both = joinSessions(
			{ dayPart: 'Morning', session: first },
			{ dayPart: 'Evening', session: second }
		);
		expect(both.repeats).toEqual([
			{ from: 0, to: 1, times: 2, rest: 30 },
			{ from: 4, to: 5, times: 3, rest: 60 }
		]);
		expect(Object.keys(both).sort()).toEqual(['blocks', 'repeats']);
	});

	it('takes as long as both', () => {
		const [first, second] = [sessionOf('3 x 10 squat\n3 x 10 push-up'), sessionOf('steady 30 min: run')];
		const both = joinSessions(
			{ dayPart: 'Morning', session: first },
			{ dayPart: 'Evening', session: second }
		);
		const seconds = (session: Session) => compileSession(session, PRACTICE).totals.duration;
		expect(seconds(both)).toBe(seconds(first) + seconds(second));
		expect(both).not.toHaveProperty('repeats');
		expect(both).not.toHaveProperty('note');
	});
});

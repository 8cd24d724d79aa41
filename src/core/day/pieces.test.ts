/** Pieces of a day add up to the whole. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anySession } from '../../../tests/support/arbitrary';
import { PRACTICE } from '../../../tests/support/practice';
import { runs } from '../../../tests/support/runs';
import { sessionOf } from '../../../tests/support/sessions';
import { creditOf, type LoggedSet } from './credit';
import type { Override } from './overrides';
import { personalSession } from './personal';
import { logWith, ownPieces } from './pieces';

const TWO = sessionOf(
	'when: Morning\n2 x 10 squat, rest 60\n2 x 10 push-up, rest 60\nwhen: Evening\n4 x 10 curl @ 8 kg, rest 60'
);
const WITHOUT_CURLS: Override = {
	target: { kind: 'exercise', exercise: 'Curl' },
	change: { kind: 'leave out' },
	fromDay: 1,
	toDay: null,
	why: 'elbow'
};
const own = (session = TWO, overrides: Override[] = []) => {
	const made = personalSession(session, 1, { profile: null, overrides }, PRACTICE);
	if (!made) throw new Error('nothing is left');
	return made;
};

describe('a day in two parts', () => {
	it('has a piece for each, with the blocks of it', () => {
		expect(ownPieces(TWO, own(), [])).toEqual([
			{ dayPart: 'Morning', from: 0, to: 1, blocks: [0, 1], credit: 0 },
			{ dayPart: 'Evening', from: 2, to: 2, blocks: [2], credit: 0 }
		]);
	});

	it('ticked off one by one adds up to the whole, and back again', () => {
		const { asked } = own();
		const [morning, evening] = ownPieces(TWO, own(), []);
		if (!morning || !evening) throw new Error('two pieces');
		// Morning: 2 sets of each of two exercises; evening: 4 sets. Half and half.
		const first = logWith([], asked, morning, true);
		expect(creditOf(asked, first)).toBe(0.5);
		expect(ownPieces(TWO, own(), first).map(({ credit }) => credit)).toEqual([1, 0]);
		const both = logWith(first, asked, evening, true);
		expect(creditOf(asked, both)).toBe(1);
		const back = logWith(both, asked, morning, false);
		expect(ownPieces(TWO, own(), back).map(({ credit }) => credit)).toEqual([0, 1]);
		expect(back).toEqual(logWith([], asked, evening, true));
	});

	it('keeps what was logged set by set of another piece', () => {
		const { asked } = own();
		const [, evening] = ownPieces(TWO, own(), []);
		const typed: LoggedSet = { block: 0, part: 0, set: 1, amount: 7, kg: null };
		if (!evening) throw new Error('two pieces');
		expect(logWith([typed], asked, evening, true)).toContainEqual(typed);
		expect(ownPieces(TWO, own(), [typed])[0]?.credit).toBeCloseTo(7 / 40);
	});

	it('begins with what comes next where its first exercise is left out for somebody, or its block falls apart', () => {
		const dayParts = (exercise: string, text: string) => {
			const session = sessionOf(text);
			const gone = { ...WITHOUT_CURLS, target: { kind: 'exercise' as const, exercise } };
			return own(session, [gone]).session.blocks.map(({ dayPart }) => dayPart ?? null);
		};
		const evening =
			'when: Morning\n2 x 10 squat\nwhen: Evening\n2 x 10 curl @ 8 kg\n2 x 10 push-up\n2 x 30 s plank';
		expect(dayParts('curl', evening)).toEqual(['Morning', 'Evening', null]);
		expect(dayParts('squat', evening)).toEqual(['Evening', null, null]);
		const pair = 'when: Morning\n2 x 10 squat\nwhen: Evening\nsuperset 2 rounds: 10 curl @ 8 kg + 10 push-up';
		expect(dayParts('curl', pair)).toEqual(['Morning', 'Evening']);
	});

	it('has no piece for what was left out for somebody', () => {
		expect(ownPieces(TWO, own(TWO, [WITHOUT_CURLS]), []).map(({ dayPart }) => dayPart)).toEqual(['Morning']);
	});
});

describe('a session in pieces', () => {
	it('has each block as one, and one in one go has none', () => {
		const pieces = sessionOf('in pieces over the day\n10 x 10 push-up, rest 0\n10 x 10 squat, rest 0');
		expect(ownPieces(pieces, own(pieces), []).map(({ from, to }) => [from, to])).toEqual([
			[0, 0],
			[1, 1]
		]);
		const plain = sessionOf('3 x 10 push-up\n3 x 10 squat');
		expect(ownPieces(plain, own(plain), [])).toEqual([]);
	});

	it('is all done when every piece of it is ticked off, whatever the session', () => {
		fc.assert(
			fc.property(anySession, (session) => {
				const made = personalSession(
					{ ...session, pieces: true },
					1,
					{ profile: null, overrides: [] },
					PRACTICE
				);
				if (!made) return;
				const pieces = ownPieces({ ...session, pieces: true }, made, []);
				const log = pieces.reduce<LoggedSet[]>((done, piece) => logWith(done, made.asked, piece, true), []);
				if (pieces.length > 0 && made.asked.some(({ sets }) => sets > 0))
					expect(creditOf(made.asked, log)).toBeCloseTo(1);
			}),
			{ numRuns: runs(60) }
		);
	});
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { courseFrom } from '../../../tests/support/course';
import { answerAbsence, openAbsence, rebased, withAbsence } from './absence';
import { runLogOf } from './log';
import { momentOf, type Act } from './moment';

const T = Date.UTC(2026, 4, 13, 6, 0, 0);
const s = (seconds: number) => T + seconds * 1000;
const start: Act = { do: 'start', at: T };

/** Work 30, rest 15: plank and squat in turn, two rounds; 165 s and four sets. */
const CIRCUIT = courseFrom('circuit 2 rounds 30/15: plank + squat');
const SETS = courseFrom('2 x 8 squat, rest 60');
const amounts = (acts: readonly Act[], now: number) =>
	runLogOf(CIRCUIT, acts, now).sets.map(({ amount }) => amount);

describe('a session that went on without anybody', () => {
	const left = withAbsence(CIRCUIT, [start], s(20), s(3600));

	it('counts nothing of what passed', () => {
		expect(momentOf(CIRCUIT, left, s(3600)).phase).toBe('over');
		expect(amounts(left, s(3600))).toEqual([0, 0, 0, 0]);
		expect(runLogOf(CIRCUIT, left, s(3600))).toMatchObject({ done: 'none', seconds: 20 });
	});
	it('counts what was seen before', () => {
		const acts = withAbsence(CIRCUIT, [start], s(50), s(3600));
		expect(amounts(acts, s(3600))).toEqual([30, 0, 0, 0]);
	});
	it('asks how many sets passed, also after the end', () => {
		expect(openAbsence(CIRCUIT, left, s(3600))).toEqual({
			from: s(20),
			to: s(3600),
			sets: 4,
			isLast: true
		});
	});
	it('asks about the two sides of a set as one, also where the second was done before eyes', () => {
		const sides = courseFrom('2 x 30 s per side side plank, rest 30');
		const gone = withAbsence(sides, [start], s(20), s(3600));
		const asked = sides.exercises.reduce((sum, { sets }) => sum + sets, 0);
		expect(openAbsence(sides, gone, s(3600))?.sets).toBe(asked);
		// Back within the last side: the two sides of the first set and one of the second passed unseen.
		const back = withAbsence(sides, [start], s(2), s(132));
		expect(openAbsence(sides, back, s(3600))?.sets).toBe(2);
	});
	it('counts all of it on a yes', () => {
		const acts = answerAbsence(left, 'did', s(3700));
		expect(amounts(acts, s(3700))).toEqual([30, 30, 30, 30]);
		expect(runLogOf(CIRCUIT, acts, s(3700))).toMatchObject({ done: 'all', seconds: 165 });
		expect(openAbsence(CIRCUIT, acts, s(3700))).toBeNull();
	});
	it('counts nothing on a no, and is not asked about again', () => {
		const acts = answerAbsence(left, 'did-not', s(3700));
		expect(amounts(acts, s(3700))).toEqual([0, 0, 0, 0]);
		expect(openAbsence(CIRCUIT, acts, s(3700))).toBeNull();
	});
	it('goes on where it was left', () => {
		const acts = answerAbsence(left, 'back', s(3700));
		expect(momentOf(CIRCUIT, acts, s(3705))).toMatchObject({ phase: 'going', step: 0, gone: 25 });
	});
	it('counts work that goes on before eyes after the return', () => {
		// Away from 20 s to 120 s: back in the fourth step's rest; the last stretch of work begins at 135 s.
		const acts = withAbsence(CIRCUIT, [start], s(20), s(120));
		expect(amounts(acts, s(400))).toEqual([0, 0, 0, 30]);
	});
	it('counts what is done by hand after the return', () => {
		const acts = [...withAbsence(CIRCUIT, [start], s(20), s(112)), { do: 'done', at: s(113) } as Act];
		// The third stretch began at 90 s unseen; it was ended by a tap at 113 s.
		expect(amounts(acts, s(113))[1]).toBe(23);
	});

	it.each([
		['less than a minute and a half', CIRCUIT, [start], 20, 109],
		['a session that is paused', CIRCUIT, [start, { do: 'pause', at: s(10) }], 20, 4000],
		['a session that was over', CIRCUIT, [start], 170, 4000],
		['a set that waits for the person', SETS, [start], 20, 4000],
		['one that was never begun', CIRCUIT, [], 20, 4000]
	] as const)('does not ask about %s', (_, course, acts, seen, now) => {
		expect(withAbsence(course, acts, s(seen), s(now))).toEqual(acts);
	});

	it('never counts more than with a yes, and a yes counts as if the page had been open', () => {
		fc.assert(
			fc.property(fc.nat(200), fc.integer({ min: 90, max: 4000 }), (seen, gone) => {
				const now = s(seen + gone);
				const acts = withAbsence(CIRCUIT, [start], s(seen), now);
				const sum = (of: readonly Act[]) => amounts(of, now).reduce((a, b) => a + b, 0);
				expect(sum(acts)).toBeLessThanOrEqual(sum(answerAbsence(acts, 'did', now)));
				expect(amounts(answerAbsence(acts, 'did', now), now)).toEqual(amounts([start], now));
				// What ended before the page was left is seen.
				expect(sum(acts)).toBeGreaterThanOrEqual(amounts([start], s(seen)).reduce((a, b) => a + b, 0));
			})
		);
	});
});

describe('a device clock that was changed', () => {
	const kept = { acts: [start, { do: 'pause', at: s(40) }] as Act[], seen: s(50), offset: 0 };
	const HOUR = 3_600_000;

	it('takes what was done with it when it shows less than before', () => {
		expect(rebased(kept, s(60), null)).toBe(kept);
		expect(rebased(kept, s(60), 900)).toBe(kept);
		const now = s(50 - 86_400);
		expect(momentOf(CIRCUIT, rebased(kept, now, null).acts, now)).toMatchObject({
			phase: 'paused',
			step: 1,
			gone: 10
		});
	});
	it('does not make an absence of an hour by which it was put on', () => {
		const now = s(3600 + 25);
		const moved = rebased({ acts: [start], seen: s(20), offset: 0 }, now, -HOUR);
		expect(withAbsence(CIRCUIT, moved.acts, moved.seen, now)).toHaveLength(1);
		expect(momentOf(CIRCUIT, moved.acts, now)).toMatchObject({ step: 0, gone: 25 });
	});
	it('does not hide an absence by being put back', () => {
		// Away for an hour, while the clock was put back by an hour.
		const moved = rebased({ acts: [start], seen: s(20), offset: 0 }, s(25), HOUR);
		expect(openAbsence(CIRCUIT, withAbsence(CIRCUIT, moved.acts, moved.seen, s(25)), s(25))?.sets).toBe(4);
	});
	it('asks rather than guesses where the server is not reached', () => {
		const now = s(3600 + 25);
		const moved = rebased({ acts: [start], seen: s(20), offset: 0 }, now, null);
		expect(openAbsence(CIRCUIT, withAbsence(CIRCUIT, moved.acts, moved.seen, now), now)?.sets).toBe(4);
	});
});

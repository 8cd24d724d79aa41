import { DAY_MS } from '../calendar';
import { describe, expect, it } from 'vitest';
import { HOUR, NOTHING_TOLD, opens, somebody, type Told } from '../../../tests/support/triage-people';
import { attendanceOf } from '../attendance';
import { DEFAULT_HOUSE } from '../practice';
import { compareNeed, isAnswered, triage, type Reason, type ReasonKind } from './index';

/** Reasons on the day after those that are past, at noon of it. */
function reasonsOf(
	letters: string,
	told?: Record<number, Told>,
	house = {},
	holds?: { from: number }[]
): Reason[] {
	const past = letters.replace(/[oa]+$/, '').length;
	const now = opens(past + 1) + 8 * HOUR;
	// A week that has begun goes on.
	const facts = somebody(letters.padEnd(Math.ceil((letters.length + 1) / 7) * 7, 'a'), told, holds);
	const attendance = attendanceOf(facts.days, { strip: facts.strip, extras: [] }, now);
	return triage(
		{
			...NOTHING_TOLD,
			...facts,
			attendance
		},
		{ ...DEFAULT_HOUSE, ...house },
		now
	);
}
const kindsOf = (...of: Parameters<typeof reasonsOf>): ReasonKind[] =>
	reasonsOf(...of).map(({ kind }) => kind);

describe('triage', () => {
	it('finds nothing about somebody who trains as planned', () => {
		expect(kindsOf('dddrddr' + 'dddro')).toEqual([]);
	});

	it('takes missed days for one reason, by how many there are', () => {
		expect(reasonsOf('mmo')).toMatchObject([{ kind: 'never started', due: 2, since: opens(3) }]);
		expect(reasonsOf('dddmo')).toMatchObject([
			{ kind: 'first miss', day: 4, doneBefore: 3, since: opens(5) }
		]);
		expect(kindsOf('dmddmo'), 'a second one is no first miss').toEqual([]);
		expect(reasonsOf('dddmmo')).toMatchObject([{ kind: 'missing', due: 2, lastSeen: opens(3) + 2 * HOUR }]);
		expect(kindsOf('dddmmo', {}, { silentFrom: 3 })).toEqual([]);
		expect(reasonsOf('dddmmmmmmmo')).toMatchObject([{ kind: 'silent', due: 7, days: 8 }]);
	});
	it('does not call a first miss what is four days ago', () => {
		expect(kindsOf('dddmo')).toEqual(['first miss']);
		expect(kindsOf('dddmro')).toEqual(['first miss']);
		expect(kindsOf('dddmrrro')).toEqual([]);
	});
	it('asks nobody to reach those to whom nothing is released for missing days', () => {
		expect(reasonsOf('dddmmo', {}, {}, [{ from: opens(4) }])).toMatchObject([
			{ kind: 'held', why: 'clearance', since: opens(4) }
		]);
	});

	it('sees fading by the last 7 days against the 7 before, as the house has it', () => {
		// 7 of 7, then 5 of 7: 28.6 points fewer.
		expect(reasonsOf('dddddddnddnddd')).toMatchObject([
			{ kind: 'fading', before: { credit: 7, due: 7 }, recent: { credit: 5, due: 7 } }
		]);
		expect(kindsOf('dddddddnddnddd', {}, { fadingFrom: 29 })).toEqual([]);
	});

	it('does not call fading who is silent, or has just come back', () => {
		expect(kindsOf('ddddddd' + 'mmmmmdd')).toEqual(['came back']);
		expect(kindsOf('ddddddd' + 'mmmmdddd')).toEqual(['fading']);
		expect(kindsOf('ddddddd' + 'ddmmmmm')).toEqual(['missing']);
	});

	it('puts pain before all, until it is dealt with', () => {
		const told = { 2: { hurts: 'left knee' }, 3: { hurts: 'left knee, sharp' } };
		expect(reasonsOf('dddmmo', told)).toMatchObject([
			{ kind: 'pain', day: 3, hurts: 'left knee, sharp', times: 2, since: opens(3) + 2 * HOUR },
			{ kind: 'missing' }
		]);
		expect(kindsOf('ddd' + 'ddddddd', told), 'a week of training does not deal with it').toContain('pain');
	});

	it('sees who checks in later and later: by the median of three against those before', () => {
		const late = (hours: number) => ({ 4: { hours }, 5: { hours }, 6: { hours: 20 } });
		expect(reasonsOf('dddddd', late(8))).toMatchObject([{ kind: 'later', lately: 8, before: 2 }]);
		expect(kindsOf('dddddd', late(7.9))).toEqual([]);
		expect(
			kindsOf('ddddd', { 3: { hours: 20 }, 4: { hours: 20 }, 5: { hours: 20 } }),
			'two before are too few'
		).toEqual([]);
	});

	it('sees effort that rises while the work falls, and neither alone', () => {
		const up = { 4: { effort: 8 }, 5: { effort: 9 }, 6: { effort: 8.5 } };
		expect(reasonsOf('dddppp', up)).toContainEqual({
			kind: 'strain',
			since: opens(6) + 2 * HOUR,
			effort: 8.5,
			effortBefore: 7,
			credit: 0.5,
			creditBefore: 1
		});
		expect(kindsOf('dddddd', up)).not.toContain('strain');
		expect(kindsOf('dddppp')).not.toContain('strain');
	});

	it('sees the same side behind in an exercise three times running, of several the one furthest', () => {
		const sides = (exercise: string, left: number, right = 10) => ({ exercise, left, right });
		const told = (...lefts: number[]) =>
			Object.fromEntries(lefts.map((left, i) => [i + 1, { sides: [sides('Split squat', left)] }]));
		expect(reasonsOf('dddd', told(10, 8, 7, 9.9 / 1.2))).toMatchObject([
			{ kind: 'uneven', exercise: 'Split squat', side: 'left', times: 3, since: opens(4) + 2 * HOUR }
		]);
		expect(kindsOf('dddd', told(8, 8, 9.1, 8)), 'even enough in between').toEqual([]);
		expect(kindsOf('dd', told(8, 8)), 'two times are too few').toEqual([]);
		const other = {
			1: { sides: [sides('Lunge', 8)] },
			2: { sides: [sides('Lunge', 13, 10)] },
			3: { sides: [sides('Lunge', 8)] }
		};
		expect(kindsOf('ddd', other), 'one side and then the other').toEqual([]);
		const both = (left: number) => ({ sides: [sides('Lunge', 8), sides('Split squat', left)] });
		// Split squat 40, 30 and 20 % behind; lunge 20 %. In between it was not done.
		expect(reasonsOf('ddddd', { 1: both(6), 2: both(7), 3: { sides: [] }, 4: {}, 5: both(8) })).toMatchObject(
			[{ kind: 'uneven', exercise: 'Split squat', behind: expect.closeTo(0.3, 10) as number }]
		);
	});

	it('praises the best test for three days', () => {
		const best = { before: 1, gain: { exercise: 'Plank' } } as never;
		expect(reasonsOf('ddd', { 2: { best } })).toMatchObject([
			{ kind: 'best', day: 2, since: opens(2) + 2 * HOUR, result: { before: 1 } }
		]);
		expect(kindsOf('dddrro', { 2: { best } })).toEqual([]);
	});

	it('takes low energy, high and low effort only when they are told running', () => {
		const each = (what: Told, ...days: number[]) => Object.fromEntries(days.map((day) => [day, what]));
		expect(reasonsOf('dddd', each({ energy: 2 }, 2, 3, 4))).toMatchObject([
			{ kind: 'tired', energy: [2, 2, 2] }
		]);
		expect(kindsOf('dddd', { ...each({ energy: 2 }, 2, 3), 4: { energy: 3 } })).toEqual([]);
		expect(kindsOf('dddd', { ...each({ energy: 2 }, 2, 4), 3: { energy: null } })).toEqual([]);
		expect(reasonsOf('dddd', each({ effort: 9 }, 3, 4))).toMatchObject([{ kind: 'hard', effort: [9, 9] }]);
		expect(kindsOf('dddd', each({ effort: 9 }, 2, 4))).toEqual([]);
		expect(kindsOf('dddd', each({ effort: 9 }, 3, 4), { hardEffort: 10 })).toEqual([]);
		expect(reasonsOf('dddd', each({ effort: 6 }, 2, 3, 4))).toMatchObject([
			{ kind: 'easy', effort: [6, 6, 6] }
		]);
		expect(kindsOf('dddp', each({ effort: 6 }, 2, 3, 4)), 'not all of it done').toEqual([]);
	});

	it('praises who came back after a gap, whether it was excused or not, for three days', () => {
		expect(reasonsOf('ddmmd')).toMatchObject([{ kind: 'came back', day: 5, after: 2 }]);
		expect(reasonsOf('ddeeed')).toMatchObject([
			{ kind: 'came back', day: 6, after: 3, since: opens(6) + 2 * HOUR }
		]);
		expect(kindsOf('ddmmddddd')).not.toContain('came back');
		expect(kindsOf('ddmd'), 'one day is no gap').toEqual([]);
		expect(kindsOf('mmd'), 'nobody comes back who had not begun').not.toContain('came back');
	});

	it('praises a whole week once it is done, and round numbers of sessions', () => {
		expect(reasonsOf('ddrdrrd')).toMatchObject([{ kind: 'full week', due: 4, since: opens(7) + 2 * HOUR }]);
		expect(kindsOf('ddrdoaa')).toEqual([]);
		expect(kindsOf('ddrprrd')).toEqual([]);
		expect(kindsOf('ddrdedr'), 'a day that was excused is not asked for').toEqual(['full week']);
		expect(reasonsOf('rrrr' + 'dddddddddd')).toContainEqual({
			kind: 'sessions',
			since: opens(14) + 2 * HOUR,
			count: 10
		});
		expect(kindsOf('rrrr' + 'ddddddddd')).not.toContain('sessions');
	});

	it('sorts by what is the most urgent', () => {
		const kinds = kindsOf('ddddmm', { 3: { effort: 10 }, 4: { effort: 10, hurts: 'back' } });
		expect(kinds).toEqual(['pain', 'missing', 'hard']);
		const [pain] = reasonsOf('ddddmm', { 4: { hurts: 'back' } });
		const gone = reasonsOf('ddmmm');
		const goneLonger = reasonsOf('dmmmm');
		const all = [[], gone, [pain!], goneLonger];
		expect([...all].sort(compareNeed)).toEqual([[pain], goneLonger, gone, []]);
	});
});

describe('isAnswered', () => {
	const now = opens(20);
	const missing: Reason = { kind: 'missing', since: now - DAY_MS, due: 3, lastSeen: 0 };
	const pain: Reason = { kind: 'pain', since: now - DAY_MS, day: 4, hurts: 'knee', times: 1, isSharp: false };
	const back: Reason = { kind: 'came back', since: now - DAY_MS, day: 4, after: 3 };
	const done = (daysAgo: number, reasons: ReasonKind[], until: number | null = null) => [
		{ at: now - daysAgo * DAY_MS, reasons, until }
	];
	const answered = (reason: Reason, answers: ReturnType<typeof done>) =>
		isAnswered(reason, answers, DEFAULT_HOUSE, now);

	it('is a reason of the kinds there were, for as many days as the house gives it', () => {
		expect(answered(missing, done(2.9, ['missing']))).toBe(true);
		expect(answered(missing, done(3, ['missing']))).toBe(false);
		expect(answered(missing, done(1, ['fading', 'pain']))).toBe(false);
		expect(answered(missing, done(-1, ['missing'])), 'not before it was').toBe(false);
	});
	it('is pain and praise for good, until they are new', () => {
		for (const reason of [pain, back]) {
			expect(answered(reason, done(0.5, [reason.kind]))).toBe(true);
			expect(answered({ ...reason, since: now - 30 * DAY_MS }, done(20, [reason.kind]))).toBe(true);
			expect(answered(reason, done(2, [reason.kind]))).toBe(false);
		}
	});
	it('is what was put off, until its time; new pain is not', () => {
		expect(answered(missing, done(5, ['missing'], now + DAY_MS))).toBe(true);
		expect(answered(missing, done(5, ['missing'], now))).toBe(false);
		expect(answered(missing, done(1, ['missing'], now))).toBe(false);
		expect(answered(pain, done(2, ['pain'], now + DAY_MS))).toBe(false);
		expect(answered(pain, done(0.5, ['pain'], now + DAY_MS))).toBe(true);
	});
});

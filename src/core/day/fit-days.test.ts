import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../tests/support/practice';
import { sessionOf } from '../../../tests/support/sessions';
import type { FitProfile } from '../fit';
import { readKit, type Limitation } from '../kit';
import { compileSession } from '../session';
import { fitDays } from './fit-days';
import { fitRow, plannedParts } from './fit-row';
import type { Override } from './overrides';
import { personalSession } from './personal';

const SESSION = sessionOf(
	'warm-up: circuit 1 round 30/10: march on the spot + arm circles\n3 x 10 goblet squat @ 12 kg, rest 60\n3 x 10 push-up, rest 60\n3 x 10 curl, rest 45'
);
const profile = (own: string | null, limits: Limitation[] = []): FitProfile => ({
	level: 'some experience',
	planFor: 'some experience',
	kit: own === null ? null : readKit(own).kit,
	limits
});
const row = (of: FitProfile, overrides: Override[] = [], session = SESSION) =>
	fitRow(session, personalSession(session, 1, { profile: of, overrides }, PRACTICE), of.level, PRACTICE);

describe('a person beside a session', () => {
	it('has a cell for each exercise of the plan, in its order', () => {
		expect(plannedParts(SESSION)).toEqual([
			{ block: 0, part: 0, exercise: 'March on the spot', load: null },
			{ block: 0, part: 1, exercise: 'Arm circles', load: null },
			{ block: 1, part: 0, exercise: 'Goblet squat', load: '12 kg' },
			{ block: 2, part: 0, exercise: 'Push-up', load: null },
			{ block: 3, part: 0, exercise: 'Curl', load: null }
		]);
		expect(row(profile(null)).cells).toHaveLength(5);
	});

	it('differs by a load, another exercise or one left out, each with its reason', () => {
		const { cells, unfit, nothing } = row(
			profile('pair of dumbbells 8 kg; mat', ['no weight on the wrists'])
		);
		expect(cells.map(({ kind }) => kind)).toEqual(['same', 'same', 'load', 'exercise', 'load']);
		expect(cells[2]).toEqual({
			exercise: 'Goblet squat',
			load: '8 kg',
			kind: 'load',
			why: 'your nearest weight below the plan'
		});
		expect(cells[3]).toMatchObject({
			exercise: 'Floor press',
			why: 'no weight on the wrists, so floor press; your lightest is 8 kg, so 7 reps instead of 8'
		});
		// Eight kilograms are a lot where the plan left it open: fewer repetitions, which is a difference.
		expect(cells[4]).toMatchObject({ exercise: 'Curl', load: '8 kg', kind: 'load' });
		const lighter = row(profile('pair of dumbbells 4 kg; mat'));
		expect(lighter.cells[4]).toEqual({ exercise: 'Curl', load: '4 kg', kind: 'same', why: null });
		expect([unfit, nothing]).toEqual([[], false]);
	});

	it('says which exercises nothing fits for', () => {
		const only = sessionOf('3 x 10 squat, rest 60\n2 x 30 s lat stretch, rest 60');
		const found = row(profile('mat', ['no overhead']), [], only);
		expect(found.cells[1]).toMatchObject({ exercise: null, kind: 'out' });
		expect(found.unfit).toMatchObject([{ exercise: 'Lat stretch', role: 'main' }]);
		expect(found.seconds).toBeLessThan(compileSession(only, PRACTICE).totals.duration);
	});

	it('of a session of which nothing is left has no length', () => {
		const only = sessionOf('2 x 30 s lat stretch, rest 60');
		expect(row(profile('mat', ['no overhead']), [], only)).toMatchObject({
			nothing: true,
			seconds: 0,
			cells: [{ kind: 'out' }]
		});
	});

	it('takes as long as their own session does', () => {
		const own = personalSession(SESSION, 1, { profile: profile('mat'), overrides: [] }, PRACTICE);
		expect(row(profile('mat')).seconds).toBeCloseTo(
			own ? compileSession(own.session, PRACTICE).totals.duration : NaN
		);
	});
});

describe('many people on many days', () => {
	const leaveOut: Override = {
		target: { kind: 'exercise', exercise: 'Push-up' },
		change: { kind: 'leave out' },
		fromDay: 2,
		toDay: 2,
		why: 'wrist'
	};
	const all = [profile('mat'), profile('pair of dumbbells 12 kg; mat')];
	const on = (day: number, place: number, overrides: Override[] = []) => ({
		session: 'a',
		day,
		profile: place,
		overrides
	});
	const sessions = new Map([['a', SESSION]]);

	it('get the same as one by one, in the order of the cases', () => {
		const found = fitDays(sessions, all, [on(1, 0), on(1, 1), on(2, 0)], PRACTICE);
		expect(found.map(({ seconds }) => seconds)).toEqual([
			row(profile('mat')).seconds,
			row(profile('pair of dumbbells 12 kg; mat')).seconds,
			row(profile('mat')).seconds
		]);
		// The same for the same is worked out once.
		expect(found[2]).toBe(found[0]);
	});

	it('have what was decided on its days alone', () => {
		const [before, on2, after] = fitDays(
			sessions,
			all,
			[on(1, 0, [leaveOut]), on(2, 0, [leaveOut]), on(3, 0, [leaveOut])],
			PRACTICE
		);
		expect(on2?.seconds).toBeLessThan(before?.seconds ?? 0);
		expect(after).toBe(before);
	});

	it('want sessions and places that are there', () => {
		expect(() => fitDays(sessions, all, [on(1, 7)], PRACTICE)).toThrow(RangeError);
		expect(() => fitDays(new Map(), all, [on(1, 0)], PRACTICE)).toThrow(/no session a/);
	});
});

import { describe, expect, it } from 'vitest';
import { courseFrom } from '../../../tests/support/course';
import { formsInUse, runLogOf } from './log';
import type { Act } from './moment';

const T = Date.UTC(2026, 4, 13, 6, 0, 0);
const s = (seconds: number) => T + seconds * 1000;
const start: Act = { do: 'start', at: T };
const at = <K extends Act['do']>(seconds: number, kind: K, more: object = {}) =>
	({ do: kind, at: s(seconds), ...more }) as Act;
const amounts = (text: string, acts: Act[], until: number) =>
	runLogOf(courseFrom(text), [start, ...acts], s(until)).sets.map(({ part, set, amount }) => [
		part,
		set,
		amount
	]);

describe('what was done', () => {
	const SETS = '3 x 8 goblet squat @ 12 kg, rest 60';
	it('is what was asked for, where it was said to be done', () => {
		const log = runLogOf(courseFrom(SETS), [start, at(20, 'done')], s(70));
		expect(log.sets).toEqual([
			{ block: 0, part: 0, set: 1, amount: 8, kg: 12, left: null, right: null, effort: null, used: null }
		]);
		expect(log.done).toBe('part');
		// The second "done" ends the rest early, the third the second set.
		expect(amounts(SETS, [at(20, 'done'), at(30, 'done'), at(60, 'done')], 60)).toEqual([
			[0, 1, 8],
			[0, 2, 8]
		]);
	});
	it('is nothing where it was passed over', () => {
		expect(amounts(SETS, [at(5, 'skip')], 6)).toEqual([[0, 1, 0]]);
		expect(runLogOf(courseFrom(SETS), [start, at(5, 'skip')], s(6)).done).toBe('none');
		expect(amounts(SETS, [at(5, 'finish')], 6)).toEqual([[0, 1, 0]]);
	});
	it('is what was said of a set, the last word of it', () => {
		const say = (amount: number, more: object = {}) =>
			at(30, 'log', { exercise: 0, set: 1, kg: 14, effort: 8, amount, ...more });
		const [set] = runLogOf(
			courseFrom(SETS),
			[start, at(20, 'done'), say(10), say(9, { bad: 1, unsure: true })],
			s(40)
		).sets;
		expect(set).toMatchObject({ set: 1, amount: 7, kg: 14, effort: 8 });
	});
	it('is not what was said of it before it was done once more', () => {
		const say = at(30, 'log', { exercise: 0, set: 1, kg: 12, effort: null, amount: 5 });
		const again = [at(20, 'done'), say, at(35, 'back'), at(60, 'done')];
		expect(amounts(SETS, again, 70)).toEqual([[0, 1, 8]]);
		expect(amounts(SETS, [...again, { ...say, at: s(65) }], 70)).toEqual([[0, 1, 5]]);
	});
	it('has its beginning and its end', () => {
		const of = (acts: Act[]) => {
			const { startedAt, endedAt } = runLogOf(courseFrom(SETS), acts, s(500));
			return [startedAt, endedAt];
		};
		expect(of([])).toEqual([null, null]);
		expect(of([start])).toEqual([s(0), null]);
		expect(of([start, at(20, 'done')])).toEqual([s(0), s(80)]);
		expect(of([start, at(20, 'done'), at(30, 'finish')])).toEqual([s(0), s(30)]);
	});
	it('is the time held, where somebody stops before it is over', () => {
		const HOLD = 'circuit 1 round 40/20: plank + squat';
		expect(amounts(HOLD, [at(25.8, 'done')], 26)).toEqual([[0, 1, 25]]);
		expect(amounts(HOLD, [at(25.8, 'skip')], 26)).toEqual([[0, 1, 25]]);
		expect(amounts(HOLD, [], 100)).toEqual([
			[0, 1, 40],
			[1, 1, 40]
		]);
	});
	it('is that of the weaker side', () => {
		const SIDES = '1 x 8 split squat each leg';
		const both = [at(20, 'done'), at(50, 'done')];
		expect(amounts(SIDES, both, 60)).toEqual([[0, 1, 8]]);
		expect(amounts(SIDES, [at(20, 'done'), at(30, 'skip')], 60)).toEqual([[0, 1, 4]]);
		const told = at(55, 'log', { exercise: 0, set: 1, kg: null, effort: null, amount: 6, other: 8 });
		expect(runLogOf(courseFrom(SIDES), [start, ...both, told], s(60)).sets[0]).toMatchObject({
			amount: 6,
			left: 6,
			right: 8
		});
	});
	it('is a set once, also where less weight is taken up within it', () => {
		const DROP = '1 x 10 curl @ 10 kg, drop 1 x 20% on last';
		expect(amounts(DROP, [at(30, 'done'), at(40, 'done'), at(60, 'done')], 70)).toEqual([[0, 1, 10]]);
	});
	it('is all of it when every set is there', () => {
		const log = runLogOf(courseFrom('2 x 8 squat, rest 60'), [start, at(20, 'done'), at(90, 'done')], s(100));
		expect(log).toMatchObject({ done: 'all', seconds: 90 });
	});
});

describe('what was done against the clock', () => {
	const count = (...seconds: number[]) => seconds.map((one) => at(one, 'count', { by: 1 }));
	it('has its time and its rounds, where all of it was done', () => {
		const RACE = 'for time 2 rounds, limit 5 min: 10 squat + 5 push-up';
		const log = runLogOf(courseFrom(RACE), [start, ...count(40, 60, 110, 130)], s(140));
		expect(log.scores).toEqual([{ block: 0, pass: 1, seconds: 130, rounds: 2, reps: 0, splits: [60, 130] }]);
		expect(log.done).toBe('all');
		const told = runLogOf(courseFrom(RACE), [start, at(150, 'done')], s(160));
		expect(told.scores[0]).toMatchObject({ seconds: 150, rounds: 2 });
		expect(told.done).toBe('all');
	});
	it('has as far as they got by the limit', () => {
		const RACE = 'for time 2 rounds, limit 5 min: 10 squat + 5 push-up';
		const log = runLogOf(courseFrom(RACE), [start, ...count(40, 60, 110)], s(400));
		expect(log.scores).toEqual([{ block: 0, pass: 1, seconds: null, rounds: 1, reps: 10, splits: [60] }]);
		expect(log.sets.map(({ part, set, amount }) => [part, set, amount])).toEqual([
			[0, 1, 10],
			[0, 2, 10],
			[1, 1, 5],
			[1, 2, 0]
		]);
	});
	it('has its rounds and what is beyond them', () => {
		const log = runLogOf(
			courseFrom('amrap 4 min: 5 push-up + 10 squat'),
			[start, ...count(20, 50, 70, 100, 130)],
			s(240)
		);
		expect(log.scores).toEqual([{ block: 0, pass: 1, seconds: null, rounds: 2, reps: 5, splits: [50, 100] }]);
		expect(log.sets.map(({ part, amount }) => [part, amount])).toEqual([
			[0, 15],
			[1, 20]
		]);
	});
	it('has the work of each minute', () => {
		expect(amounts('emom 3 min: 8 squat', [at(70, 'skip')], 200)).toEqual([
			[0, 1, 8],
			[0, 2, 0],
			[0, 3, 8]
		]);
	});
});

describe('what was told beside it', () => {
	it('is which form of an exercise it was, from then on', () => {
		const acts = [
			at(20, 'done'),
			at(25, 'swap', { exercise: 0, to: 'Box squat' }),
			at(30, 'done'),
			at(60, 'done')
		];
		const log = runLogOf(courseFrom('3 x 8 squat, rest 60'), [start, ...acts], s(70));
		expect(log.sets.map(({ set, used }) => [set, used])).toEqual([
			[1, null],
			[2, 'Box squat']
		]);
	});
	it('is which forms are in use by now', () => {
		const acts = [
			at(1, 'swap', { exercise: 0, to: 'Box squat' }),
			at(2, 'swap', { exercise: 1, to: 'Wall push-up' }),
			at(3, 'swap', { exercise: 0, to: null })
		];
		expect([...formsInUse(acts)]).toEqual([[1, 'Wall push-up']]);
	});
	it('is what hurts, with the place that the log has', () => {
		const log = runLogOf(
			courseFrom('1 x 8 squat\n1 x 8 push-up'),
			[start, at(5, 'hurts', { exercise: 1, area: 'wrist' })],
			s(10)
		);
		expect(log.hurts).toEqual([{ block: 1, part: 0, exercise: 'Push-up', area: 'wrist' }]);
	});
});

import { DAY_MS } from '../calendar';
import { describe, expect, it } from 'vitest';
import { parseSessionText, prescriptionOf } from '../session';
import { fullLog, type LoggedSet } from '../day';
import { PRACTICE } from '../../../tests/support/practice';
import { askedAndDone, bestsOf, comparedDays, gainsOf, type DoneDay } from '.';
import { oneRepMax } from './one-rep-max';

/** A day on which a session was done as asked, but for what is said. */
function done(
	day: number,
	text: string,
	more: Partial<DoneDay> = {},
	change?: (set: LoggedSet) => object
): DoneDay {
	const { session, faults } = parseSessionText(text, PRACTICE);
	if (faults.length > 0) throw new Error(faults.map(({ message }) => message).join('; '));
	const asked = prescriptionOf(session, PRACTICE);
	const sets = fullLog(asked).map((set) => ({ ...set, ...change?.(set) }));
	return {
		...{
			day,
			at: day * DAY_MS,
			test: false,
			again: false,
			sessionId: 's',
			asked,
			sets,
			scores: [],
			effort: null
		},
		...more
	};
}
const squats = (day: number, reps: number, kg: number, more: Partial<DoneDay> = {}) =>
	done(day, `3 x ${reps} goblet squat @ ${kg} kg, rest 60`, more);
const words = (before: DoneDay, now: DoneDay) =>
	gainsOf([before], now).last.map(({ kind, before, now }) => [kind, before, now]);

describe('what could be lifted once', () => {
	// NSCA, Essentials of Strength Training and Conditioning, table of repetitions and per cent of the one-repetition maximum, from memory.
	const NSCA = { 1: 100, 2: 95, 3: 93, 4: 90, 5: 87, 6: 85, 7: 83, 8: 80, 9: 77, 10: 75, 12: 67 };
	it.each(Object.entries(NSCA))('is near the published table at %s repetitions', (reps, per) => {
		expect(Math.abs(100 / oneRepMax(1, Number(reps))! - per)).toBeLessThan(4.5);
	});
	it('is the load with a thirtieth more for each repetition, and the load itself at one', () => {
		// Epley's formula, worked by hand: 20 · (1 + 9/30).
		expect(oneRepMax(20, 9)).toBeCloseTo(26, 10);
		expect(oneRepMax(20, 1)).toBe(20);
		expect(oneRepMax(20, 12)).toBeCloseTo(28, 10);
	});
	it('says nothing beyond twelve repetitions, and of nothing', () => {
		expect([oneRepMax(20, 13), oneRepMax(0, 5), oneRepMax(20, 0), oneRepMax(NaN, 5)]).toEqual([
			null,
			null,
			null,
			null
		]);
	});
});

describe('what was better', () => {
	it('is more weight with no fewer repetitions', () => {
		expect(words(squats(1, 8, 12), squats(5, 8, 14))).toEqual([
			['load', { amount: 8, kg: 12 }, { amount: 8, kg: 14 }]
		]);
	});
	it('is more weight with fewer, where it took more strength', () => {
		// 12 kg: 12 · (1 + 10/30) = 16.0; 14 · (1 + 6/30) = 16.8; 14 · (1 + 4/30) = 15.9.
		expect(words(squats(1, 10, 12), squats(5, 6, 14))).toHaveLength(1);
		expect(words(squats(1, 10, 12), squats(5, 4, 14))).toEqual([]);
		// Beyond twelve nobody knows.
		expect(words(squats(1, 20, 12), squats(5, 12, 20))).toEqual([]);
	});
	it('is more in a set, or in all, with no less weight', () => {
		expect(words(squats(1, 8, 12), squats(5, 9, 12))).toEqual([
			['most', { amount: 8, kg: 12 }, { amount: 9, kg: 12 }]
		]);
		const more = done(5, '4 x 8 goblet squat @ 12 kg, rest 60');
		expect(words(squats(1, 8, 12), more)).toEqual([['total', 24, 32]]);
		expect(words(squats(1, 8, 12), squats(5, 20, 10))).toEqual([]);
		// One lighter set among more: in all it was not the same weight.
		const mixed = done(5, '4 x 8 goblet squat @ 12 kg, rest 60', {}, ({ set }) =>
			set === 4 ? { kg: 8 } : {}
		);
		expect(words(squats(1, 8, 12), mixed)).toEqual([]);
		expect(words(squats(5, 8, 12), { ...squats(9, 8, 12) })).toEqual([]);
	});
	it('is nothing where the weight was not told, or with fewer of the same', () => {
		const bare = done(5, '3 x 8 goblet squat @ 12 kg, rest 60', {}, () => ({ kg: null }));
		expect(words(squats(1, 8, 12), bare)).toEqual([]);
		expect(words(squats(1, 6, 10), squats(5, 5, 10))).toEqual([]);
	});
	it('is heavier for as long, and not heavier for less long', () => {
		const carried = (day: number, metres: number, kg: number) =>
			done(day, `3 x ${metres} m pack carry @ ${kg} kg, rest 60`);
		expect(words(carried(1, 100, 10), carried(5, 100, 12)).map(([kind]) => kind)).toEqual(['load']);
		expect(words(carried(1, 100, 10), carried(5, 90, 20))).toEqual([]);
		expect(words(carried(1, 100, 12), carried(5, 120, 12)).map(([kind]) => kind)).toEqual(['most']);
		expect(words(carried(1, 100, 12), carried(5, 120, 10))).toEqual([]);
	});
	it('in a set is the one with most', () => {
		const sets = (day: number, ...amounts: number[]) =>
			done(day, '3 x 8 squat, rest 60', {}, ({ set }) => ({ amount: amounts[set - 1] }));
		expect(words(sets(1, 8, 8, 8), sets(5, 9, 11, 10))).toEqual([
			['most', { amount: 8, kg: null }, { amount: 11, kg: null }]
		]);
	});
	it('is longer, of the body alone', () => {
		const hold = (day: number, seconds: number) => done(day, `3 x ${seconds} s plank, rest 30`);
		expect(words(hold(1, 30), hold(5, 40))).toEqual([
			['most', { amount: 30, kg: null }, { amount: 40, kg: null }]
		]);
		expect(words(hold(1, 40), hold(5, 30))).toEqual([]);
	});
	it('is told of the same kind of task alone: a test with a test, a free set with a free set', () => {
		const most = (day: number, amount: number, more: Partial<DoneDay> = {}) =>
			done(day, '1 x 8 push-up', more, () => ({ amount }));
		const free = (day: number, amount: number) => done(day, 'amrap 5 min: 8 push-up', {}, () => ({ amount }));
		const test = (day: number, amount: number) => most(day, amount, { test: true });
		// A test to the limit is above any set of a plan, and says nothing of it.
		expect(words(most(1, 8), test(5, 21))).toEqual([]);
		expect(words(most(1, 8), free(5, 40))).toEqual([]);
		expect(words(free(1, 40), test(5, 41))).toEqual([]);
		expect(words(test(1, 20), test(22, 21)).map(([kind]) => kind)).toEqual(['most']);
		expect(words(free(1, 40), free(5, 41)).map(([kind]) => kind)).toEqual(['most']);
		// The last of its kind is found behind days of another kind.
		expect(gainsOf([test(1, 20), most(8, 10), free(15, 30)], test(22, 22)).last[0]?.since.day).toBe(1);
		expect(comparedDays(most(1, 8), test(5, 21)).map(({ change }) => change)).toEqual([null, null]);
	});
	it('is nothing of warming up', () => {
		const warm = (seconds: number) =>
			`Warm-up\n1 x ${seconds} s march on the spot\nMain\n3 x 8 goblet squat @ 12 kg, rest 60`;
		expect(gainsOf([done(1, warm(30))], done(2, warm(40)))).toMatchObject({ last: [], compared: 1 });
		expect(bestsOf([done(1, warm(30))]).map(({ exercise }) => exercise)).toEqual(['Goblet squat']);
	});
	it('is told of the last time, and of the first test where that was another', () => {
		const days = [squats(1, 6, 8, { test: true }), squats(4, 8, 12), squats(15, 7, 12, { test: true })];
		const now = squats(20, 8, 14, { test: true });
		const gains = gainsOf(days, now);
		expect(gains.last.map(({ since }) => since.day)).toEqual([15]);
		expect(gains.first.map(({ since, before }) => [since.day, before])).toEqual([[1, { amount: 6, kg: 8 }]]);
		expect(gains.compared).toBe(1);
		// The first test was the last time: once is enough.
		expect(gainsOf(days.slice(0, 1), now)).toMatchObject({ first: [], compared: 1 });
		// What is later, or the same day itself, is not before it.
		expect(gainsOf([squats(20, 1, 2), squats(25, 1, 2)], squats(20, 8, 14)).compared).toBe(0);
	});
	it('compares neither what is done on one side with both, nor one band or two weights with another', () => {
		for (const [one, other] of [
			['3 x 8 split squat, rest 60', '3 x 9 split squat per side, rest 60'],
			['3 x 8 goblet squat @ 12 kg, rest 60', '3 x 9 goblet squat @ 2 x 12 kg, rest 60'],
			['3 x 8 biceps curl @ light band, rest 60', '3 x 9 biceps curl @ heavy band, rest 60'],
			['3 x 8 squat, rest 60', '3 x 30 s squat, rest 60']
		] as const)
			expect(gainsOf([done(1, one)], done(2, other)).compared, other).toBe(0);
	});
	it('holds another form under its own name, and empty sets for nothing', () => {
		const easier = done(2, '3 x 8 push-up, rest 60', {}, ({ set }) =>
			set === 3 ? { amount: 0 } : { used: 'Wall push-up' }
		);
		const later = done(6, '3 x 9 wall push-up, rest 60');
		expect(words(easier, later)).toEqual([['most', { amount: 8, kg: null }, { amount: 9, kg: null }]]);
		expect(gainsOf([done(1, '3 x 8 push-up, rest 60')], easier).compared).toBe(0);
	});
	it('is quicker, all of it after not all, or further, of the same block of the same session', () => {
		const score = (seconds: number | null, rounds = 3, reps = 0, block = 1) => ({
			block,
			pass: 1,
			seconds,
			rounds,
			reps,
			splits: []
		});
		const gain = (then: object, now: object, other = 's') =>
			gainsOf(
				[squats(1, 8, 12, { scores: [then as never], sessionId: other })],
				squats(2, 8, 12, { scores: [now as never] })
			).scores.length;
		expect(gain(score(600), score(590))).toBe(1);
		expect(gain(score(590), score(600))).toBe(0);
		expect(gain(score(null), score(900))).toBe(1);
		expect(gain(score(900), score(null, 9))).toBe(0);
		expect(gain(score(600), score(600)), 'as quick').toBe(0);
		expect(gain(score(null, 4, 2), score(null, 4, 2)), 'as far').toBe(0);
		expect(gain(score(null, 4, 9), score(null, 4, 2))).toBe(0);
		expect(gain(score(null, 4, 2), score(null, 4, 9))).toBe(1);
		expect(gain(score(null, 4, 9), score(null, 5, 0))).toBe(1);
		expect(gain(score(null, 5, 0), score(null, 4, 9))).toBe(0);
		expect(gain(score(600), score(590, 3, 0, 2))).toBe(0);
		expect(gain(score(600), score(590), 'another')).toBe(0);
	});
	it('is easier, where the same was done with no less', () => {
		const easier = (then: DoneDay, now: DoneDay) => gainsOf([then], now).easier;
		expect(easier(squats(1, 8, 12, { effort: 8 }), squats(2, 8, 12, { effort: 6 }))).toMatchObject({
			before: 8,
			now: 6
		});
		expect(easier(squats(1, 8, 12, { effort: 8 }), squats(2, 8, 10, { effort: 6 }))).toBeNull();
		expect(easier(squats(1, 8, 12, { effort: 8 }), squats(2, 7, 12, { effort: 6 }))).toBeNull();
		expect(easier(squats(1, 8, 12, { effort: 8 }), squats(2, 8, 12, { effort: 8 }))).toBeNull();
		expect(easier(squats(1, 8, 12), squats(2, 8, 12, { effort: 8 }))).toBeNull();
		expect(easier(squats(1, 8, 12, { effort: 8 }), squats(2, 8, 12))).toBeNull();
		// All of it: one of two exercises was left out.
		const both = '3 x 8 goblet squat @ 12 kg, rest 60\n3 x 8 push-up, rest 60';
		const half = done(2, both, { effort: 4 }, ({ block }) => (block === 1 ? { amount: 0 } : {}));
		expect(easier(done(1, both, { effort: 8 }), half)).toBeNull();
	});
});

describe('a lighter day', () => {
	it('is one of which the same session asked for more before', () => {
		const lighter = (then: DoneDay, now: DoneDay) => gainsOf([then], now).lighterThan;
		const two = done(9, '2 x 8 goblet squat @ 12 kg, rest 60');
		expect(lighter(squats(1, 8, 12), two)).toBe(1);
		expect(lighter(two, squats(12, 8, 12))).toBeNull();
		expect(lighter(squats(1, 8, 12), squats(9, 8, 12))).toBeNull();
		expect(lighter(squats(1, 8, 12, { sessionId: 'other' }), two)).toBeNull();
	});
});

describe('bests', () => {
	it('are the heaviest set, the one with most and the first, each with its day', () => {
		const [best] = bestsOf([squats(9, 6, 16), squats(1, 8, 10), squats(4, 15, 12), squats(12, 6, 16)]);
		expect(best).toMatchObject({
			exercise: 'Goblet squat',
			top: { amount: 6, kg: 16, day: 9 },
			most: { amount: 15, kg: 12, day: 4 },
			first: { amount: 8, kg: 10, day: 1 },
			days: 4
		});
		// 16 · (1 + 6/30), which 12 kg fifteen times says nothing about.
		expect(best?.once).toBeCloseTo(19.2, 10);
	});
	it('estimate from the best set, told in any order, and of repetitions with a load alone', () => {
		const falling = done(1, '3 x 8 goblet squat @ 12 kg, rest 60', {}, ({ set }) => ({ amount: 9 - set }));
		expect(bestsOf([falling])[0]?.once).toBeCloseTo(12 * (1 + 8 / 30), 10);
		expect(bestsOf([done(1, '3 x 100 m pack carry @ 20 kg, rest 60')])[0]?.once).toBeNull();
		expect(bestsOf([done(1, '3 x 8 squat, rest 60')])[0]?.once).toBeNull();
	});
	it('name no second set where the heaviest has most, and estimate nothing of time', () => {
		expect(bestsOf([squats(1, 8, 12)])[0]?.most).toBeNull();
		expect(bestsOf([done(1, '3 x 30 s plank, rest 30')])[0]).toMatchObject({
			once: null,
			unit: 's',
			top: { amount: 30 }
		});
		expect(bestsOf([])).toEqual([]);
	});
	it('come with what was done most often first', () => {
		const both = '3 x 8 goblet squat @ 12 kg, rest 60\n3 x 30 s plank, rest 30';
		expect(
			bestsOf([done(1, both), done(2, '3 x 30 s plank, rest 30')]).map(({ exercise }) => exercise)
		).toEqual(['Plank', 'Goblet squat']);
	});
});

describe('two times of the same', () => {
	it('stand side by side, whatever only one of them has', () => {
		const before = done(1, '3 x 8 goblet squat @ 12 kg, rest 60\n3 x 30 s plank, rest 30');
		const now = done(5, '3 x 8 goblet squat @ 14 kg, rest 60\n3 x 8 push-up, rest 30');
		expect(
			comparedDays(before, now).map(({ exercise, change, before, now }) => [
				exercise,
				change,
				before?.total,
				now?.total
			])
		).toEqual([
			['Goblet squat', 'better', 24, 24],
			['Push-up', null, undefined, 24],
			['Plank', null, 90, undefined]
		]);
		expect(comparedDays(now, before)[0]?.change).toBe('less');
		expect(comparedDays(before, before)[0]?.change).toBe('same');
	});
});

it('sets what was done against what was asked of each exercise', () => {
	const day = done(
		1,
		'2 x 8 goblet squat @ 12 kg, rest 60\n2 x 30 s plank, rest 30',
		{},
		({ block, set }) => ({
			amount: 10 * block + set
		})
	);
	expect(askedAndDone(day).map(({ sets }) => sets.map(({ done }) => done?.amount))).toEqual([
		[1, 2],
		[11, 12]
	]);
});

it('sets what was done against what was asked, set by set', () => {
	const day = squats(1, 8, 12);
	day.sets = day.sets.slice(0, 2).map((set) => ({ ...set, amount: 7 }));
	expect(
		askedAndDone(day).map(({ load, sets }) => [load, sets.map(({ asked, done }) => [asked, done?.amount])])
	).toEqual([
		[
			'12 kg',
			[
				[8, 7],
				[8, 7],
				[8, undefined]
			]
		]
	]);
});

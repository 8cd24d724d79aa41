import { describe, expect, it } from 'vitest';
import { compileSession, parseSessionText, sessionFaults } from '../session';
import { MEASURES, newBenchmark } from './model';
import { testSession } from './benchmark-session';
import { testText } from './benchmark-text';
import { PRACTICE } from '../../../tests/support/practice';

const ALL = [
	newBenchmark('a', 'Push-ups', 'Push-up', 'most reps in a time', { seconds: 60 }),
	newBenchmark('b', 'Plank', 'Plank', 'longest hold'),
	newBenchmark('c', 'Hundred', 'Step-up', 'time for fixed work', { reps: 100 }),
	newBenchmark('d', 'Heavy row', 'One-arm row', 'load and reps', { reps: 8, kg: 12 }),
	newBenchmark('e', 'Carry', 'Pack carry', 'carry distance', { seconds: 600, kg: 20 })
];

describe('testSession', () => {
	it('takes every kind of test, with three minutes of rest before each', () => {
		const session = testSession(ALL, PRACTICE);
		expect(sessionFaults(session, PRACTICE)).toEqual([]);
		const main = session.blocks.filter(({ role }) => role === 'main');
		expect(main.map(({ format }) => format)).toEqual([
			'interval-circuit',
			'straight-sets',
			'for-time',
			'straight-sets',
			'interval-circuit'
		]);
		expect(main.every(({ setup }) => setup?.seconds === 180)).toBe(true);
		expect(main[4]?.parts[0]).toMatchObject({ exercise: 'Pack carry', kg: 20 });
		expect(main[3]?.parts[0]?.perSide).toBe(true);
		// Ten minutes of carrying, one of push-ups: as long as the tests say.
		const work = compileSession(testSession([ALL[0]!, ALL[4]!], PRACTICE), PRACTICE).totals;
		const rest = compileSession(testSession([ALL[0]!], PRACTICE), PRACTICE).totals;
		expect(work.duration - rest.duration).toBe(180 + 600);
	});

	it('puts a number in where a test leaves it open', () => {
		for (const measure of MEASURES)
			expect(
				sessionFaults(testSession([newBenchmark('x', 'X', 'Push-up', measure)], PRACTICE), PRACTICE)
			).toEqual([]);
	});

	it.each(['Carry: far, fast', 'Push / pull + hold', '21-15-9 @ 12', 'Rest 60'])(
		'is made for a test called %s',
		(name) => {
			const session = testSession([newBenchmark('x', name, 'Pack carry', 'carry distance')], PRACTICE);
			expect(session.blocks.find(({ role }) => role === 'main')?.setup?.text).toBe(`rest, then ${name}`);
		}
	);

	it('is refused, and loses no test, where a block cannot be made of one', () => {
		const heavy = newBenchmark('x', 'X', 'One-arm row', 'load and reps', { reps: 8, kg: 900 });
		expect(() => testSession([heavy], PRACTICE)).toThrow('at most 500 kg');
	});

	it('says that there is nothing to test', () => {
		expect(() => testSession([], PRACTICE)).toThrow(RangeError);
	});

	it('reads back from text as it is', () => {
		expect(parseSessionText('note: a\nnote: b\n1 x 10 squat, rest 0', PRACTICE).session.note).toBe('a\nb');
	});
});

describe('testText', () => {
	it('says what is measured under which conditions', () => {
		expect(ALL.map(testText)).toEqual([
			'Push-ups: most reps of Push-up in 60 s',
			'Plank: longest hold, Plank',
			'Hundred: time for 100 × Step-up',
			'Heavy row: load and reps of One-arm row, up to 8',
			'Carry: how far, Pack carry with 20 kg in 600 s'
		]);
	});
});

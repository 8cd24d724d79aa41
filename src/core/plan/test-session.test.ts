import { describe, expect, it } from 'vitest';
import { compileSession, parseSessionText, sessionFaults } from '../session';
import { MEASURES, newTest } from './model';
import { testSession } from './test-session';
import { testText } from './test-text';

const ALL = [
	newTest('a', 'Push-ups', 'Push-up', 'most reps in a time', { seconds: 60 }),
	newTest('b', 'Plank', 'Plank', 'longest hold'),
	newTest('c', 'Hundred', 'Step-up', 'time for fixed work', { reps: 100 }),
	newTest('d', 'Heavy row', 'One-arm row', 'load and reps', { reps: 8, kg: 12 }),
	newTest('e', 'Carry', 'Pack carry', 'carry distance', { seconds: 600, kg: 20 })
];

describe('testSession', () => {
	it('takes every kind of test, with three minutes of rest before each', () => {
		const session = testSession(ALL);
		expect(sessionFaults(session)).toEqual([]);
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
		const work = compileSession(testSession([ALL[0]!, ALL[4]!])).totals;
		const rest = compileSession(testSession([ALL[0]!])).totals;
		expect(work.duration - rest.duration).toBe(180 + 600);
	});

	it('puts a number in where a test leaves it open', () => {
		for (const measure of MEASURES)
			expect(sessionFaults(testSession([newTest('x', 'X', 'Push-up', measure)]))).toEqual([]);
	});

	it('says that there is nothing to test', () => {
		expect(() => testSession([])).toThrow(RangeError);
	});

	it('reads back from text as it is', () => {
		expect(parseSessionText('note: a\nnote: b\n1 x 10 squat, rest 0').session.note).toBe('a\nb');
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

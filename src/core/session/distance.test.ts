/** Ways that are measured in metres: at a pace of their own, and there and back. */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { blockOf } from '../../../tests/support/sessions';
import { howText, paceText, targetText } from './amount';
import { compileSession } from './compile';
import { blockFaults } from './faults';
import { parseLine } from './line';

const partOf = (line: string) => blockOf(line).parts[0]!;
const seconds = (line: string) => compileSession({ blocks: [blockOf(line)] }, PRACTICE).totals.duration;

describe('a pace', () => {
	it.each([
		['1 x 5 km run at 6:00/km', 360],
		['run 5 km @ 6:00 min/km', 360],
		['run 5 km, 5:30 per km', 330],
		['4 x 400 m run @ 4:15/km pace, rest 90', 255],
		['run 5 km at 10 km/h', 360],
		['run 3 km 12 kph', 300]
	])('%s', (line, pace) => {
		expect(partOf(line).pace).toBe(pace);
	});

	it('says how long it takes: 5 km at 6:00 are half an hour, 4 × 400 m at 4:15 are 102 s each', () => {
		expect(seconds('1 x 5 km run at 6:00/km')).toBe(1800);
		expect(seconds('4 x 400 m run @ 4:15/km, rest 90')).toBe(4 * 102 + 3 * 90);
		// Without one at an easy pace: 2.5 m/s.
		expect(seconds('1 x 5 km run')).toBe(2000);
	});

	it('is written and said as runners do', () => {
		expect(lineOf(blockOf('run 5 km at 6:05/km'))).toBe('1 x 5000 m Run @ 6:05/km, rest 60');
		expect(paceText({ pace: 365 })).toBe('6:05/km');
		expect(paceText({})).toBeNull();
		expect(howText(partOf('1 x 2 km pack carry @ 20 kg at 12:00/km effort 7'))).toBe(
			'20 kg, 12:00/km, effort 7'
		);
		expect(howText(partOf('1 x 10 squat'))).toBeNull();
	});

	it('needs a distance, and one that feet can keep', () => {
		const faults = (change: object) => {
			const block = blockOf('1 x 1 km run at 6:00/km');
			const parts = block.parts.map((part) => ({ ...part, ...change }));
			return blockFaults({ ...block, parts }, '', PRACTICE).map(({ message }) => message);
		};
		expect(faults({ target: { kind: 'reps', reps: 10 } })).toEqual(['a pace needs a distance, as in 5 km']);
		expect(faults({ pace: 119 })[0]).toMatch(/120 to 1,?800/);
		expect(faults({ pace: 120 })).toEqual([]);
		expect(parseLine('circuit 3 rounds 40/20: run at 6:00/km', PRACTICE)).toHaveProperty('faults');
	});
});

describe('each way', () => {
	it.each([
		'3 x 20 m each way suitcase carry',
		'3 x 20 m bear crawl there and back',
		'20 m forward and back bear crawl'
	])('%s', (line) => {
		expect(partOf(line).eachWay).toBe(true);
	});

	it('is twice the metres, and no side', () => {
		expect(seconds('1 x 20 m each way suitcase carry')).toBe(2 * seconds('1 x 20 m suitcase carry'));
		expect(partOf('1 x 20 m each way suitcase carry').perSide).toBe(false);
		expect(targetText(partOf('1 x 20 m each way per side suitcase carry'))).toBe('20 m each way per side');
	});

	it('needs a distance', () => {
		const block = blockOf('1 x 20 m each way suitcase carry');
		const parts = block.parts.map((part) => ({ ...part, target: { kind: 'reps', reps: 8 } }));
		expect(blockFaults({ ...block, parts } as typeof block, '', PRACTICE)[0]?.message).toBe(
			'each way needs a distance, as in 20 m each way'
		);
	});
});

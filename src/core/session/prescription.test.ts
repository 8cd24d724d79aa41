import { describe, expect, it } from 'vitest';
import { clockText } from './clock-text';
import { sessionFaults } from './faults';
import { targetText } from './amount';
import { prescriptionOf } from './prescription';
import { haveReady } from './ready';
import { parseSessionText } from './text';
import { PRACTICE } from '../../../tests/support/practice';

const session = (text: string) => {
	const { session: read, faults } = parseSessionText(text, PRACTICE);
	expect(faults).toEqual([]);
	return read;
};

describe('prescriptionOf', () => {
	it('asks for every set, round and minute once', () => {
		const asked = prescriptionOf(
			session(
				'3 x 10 squat\nsuperset 2 rounds: 5 push-up + 5 swing\ncircuit 4 rounds 30/15: plank\nemom 5 min: 8 swing / 6 push-up'
			),
			PRACTICE
		);
		expect(asked.map(({ exercise, sets }) => [exercise, sets])).toEqual([
			['Squat', 3],
			['Push-up', 2],
			['Swing', 2],
			['Plank', 4],
			['Swing', 3],
			['Push-up', 2]
		]);
	});

	it('halves the slot of a circuit that is done per side', () => {
		const [asked] = prescriptionOf(session('circuit 1 round 30/15: bird dog per side'), PRACTICE);
		expect(asked && targetText(asked)).toBe('15 s per side');
	});
});

describe('haveReady', () => {
	it('lists each thing once with its loads, water last', () => {
		expect(
			haveReady(
				session('3 x 10 goblet squat @ 12 kg\n3 x 8 per side one-arm row @ 10 kg\n1 x 30 s plank'),
				PRACTICE
			)
		).toEqual(['chair', 'dumbbells: 1 of 10 kg, 1 of 12 kg', 'mat', 'water']);
	});
});

describe('sessionFaults', () => {
	it('names the place of every fault', () => {
		const { blocks } = session('3 x 10 squat');
		const [first] = blocks;
		if (first?.format !== 'straight-sets') throw new Error('straight sets expected');
		const faults = sessionFaults(
			{
				blocks: [first, { ...first, sets: 10_000, parts: [{ ...first.parts[0]!, exercise: ' ' }] }]
			},
			PRACTICE
		);
		expect(faults.map((fault) => fault.path)).toEqual(['blocks[1].sets', 'blocks[1].parts[0].exercise']);
	});

	it('refuses an empty session and one of too many blocks', () => {
		expect(sessionFaults({ blocks: [] }, PRACTICE)[0]?.message).toContain('at least one block');
		const { blocks } = session('3 x 10 squat');
		expect(
			sessionFaults({ blocks: Array.from({ length: 61 }, () => blocks[0]!) }, PRACTICE)[0]?.message
		).toContain('at most 60');
	});
});

it('clockText shows minutes and, from an hour on, hours', () => {
	expect([0, 75, 599.6, 3675].map(clockText)).toEqual(['0:00', '1:15', '10:00', '1:01:15']);
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyBlock } from '../../../tests/support/arbitrary';
import { parseLine } from './line';
import type { Block } from './formats';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { runs } from '../../../tests/support/runs';

const block = (line: string): Block => {
	const read = parseLine(line, PRACTICE);
	if (!('block' in read)) throw new Error(`${line}: ${read.faults.map((fault) => fault.message).join('; ')}`);
	return read.block;
};
const faults = (line: string) => {
	const read = parseLine(line, PRACTICE);
	return 'faults' in read ? read.faults : [];
};

describe('parseLine', () => {
	it('reads straight sets with tempo, load and rest', () => {
		expect(block('3 x 10 goblet squat 3-1-1 @ 12 kg, rest 90')).toEqual({
			format: 'straight-sets',
			role: 'main',
			sets: 3,
			rest: 90,
			parts: [
				{
					exercise: 'Goblet squat',
					target: { kind: 'reps', reps: 10 },
					perSide: false,
					tempo: [3, 1, 1, 0],
					kg: 12
				}
			]
		});
	});

	it.each([
		['3×10 goblet squats', 'Goblet squat'],
		['3 x 10 GOBLET SQUAT', 'Goblet squat'],
		['3 sets of 10 push ups', 'Push-up']
	])('forgives %s', (line, name) => {
		expect(block(line).parts[0]?.exercise).toBe(name);
	});

	it('reads metres, per side at the end, and rest in minutes and seconds', () => {
		const read = block('3 x 40 m suitcase carry @ 16 kg per side, rest 1:30');
		expect(read).toMatchObject({
			rest: 90,
			parts: [{ perSide: true, kg: 16, target: { kind: 'metres', metres: 40 } }]
		});
	});

	it('turns pounds into kilograms: 25 lb are 11.34 kg', () => {
		expect(block('3 x 8 one-arm row @ 25 lb').parts[0]?.kg).toBe(11.34);
	});

	it('counts a plank in seconds although nothing says so', () => {
		expect(block('2 x 45 plank').parts[0]?.target).toEqual({ kind: 'seconds', seconds: 45 });
	});

	it('reads a superset with both rests', () => {
		expect(
			block('superset 3 rounds, rest 30 inside, 90 after: 10 push-up + 8 per side one-arm row @ 12 kg')
		).toMatchObject({
			format: 'superset',
			rounds: 3,
			restInside: 30,
			restAfter: 90,
			parts: [{ exercise: 'Push-up' }, { exercise: 'One-arm row', perSide: true }]
		});
	});

	it('reads a circuit: the slot is every exercise’s target', () => {
		const read = block('circuit 4 rounds 30/15, 45 between: squat + plank');
		expect(read).toMatchObject({
			format: 'interval-circuit',
			rounds: 4,
			work: 30,
			rest: 15,
			roundRest: 45,
			keepLastRest: false
		});
		expect(read.parts.every((part) => part.target.kind === 'seconds' && part.target.seconds === 30)).toBe(
			true
		);
	});

	it('reads an EMOM with groups in turn', () => {
		expect(block('emom 12 min: 8 squat + 6 push-up / 10 swing')).toMatchObject({
			format: 'emom',
			starts: 12,
			every: 60,
			groups: [[0, 1], [2]]
		});
	});

	it('reads the role off the front', () => {
		expect(block('warm-up: circuit 1 round 40/10: march on the spot').role).toBe('warm-up');
		expect(block('Cool down, 30 s per side calf stretch').role).toBe('cool-down');
	});

	it('asks about an unknown exercise, with the nearest and with the way to make it one of one’s own', () => {
		const [fault] = faults('3 x 10 goblin squat');
		const offers = fault?.offers?.map(({ text }) => text);
		expect(offers?.slice(0, 2)).toEqual(['Squat', 'Goblet squat']);
		expect(offers?.at(-1)).toBe('"goblin squat"');
		const read = parseLine('3 x 10 "goblin squat"', PRACTICE);
		expect(read).toMatchObject({ block: { parts: [{ exercise: 'goblin squat' }] } });
		expect('notes' in read && read.notes).toEqual(['“goblin squat” is taken as an exercise of your own.']);
	});

	it('keeps an unknown one where somebody else asks', () => {
		expect(parseLine('3 x 10 goblin squat', PRACTICE, 'keep')).toMatchObject({
			block: { parts: [{ exercise: 'goblin squat' }] }
		});
	});
});

describe('what parseLine does not understand', () => {
	it.each([
		['', 'nothing typed'],
		['3 x', 'name of an exercise'],
		['3 x goblet squat', 'how much of Goblet squat'],
		['3 x 10 goblet squat @ 8', 'not a load yet'],
		['3 x 10 goblet squat 70%', 'a load is a number'],
		['superset 3 rounds: 10 squat', 'two or three exercises'],
		['circuit 4 rounds: squat + plank', 'seconds of work and rest'],
		['circuit 4 rounds 30/15', 'name of an exercise'],
		['emom: 5 squat', 'needs its minutes'],
		['10000 x 10 squat', '10,000 sets'],
		['0 x 10 squat', '0 sets'],
		['2.5 x 10 squat', 'whole number'],
		['3 x -5 squat', '-5 reps'],
		['3 x 99999 squat', '99,999 reps'],
		['emom 8 min: 40 goblet squat 3-1-1', 'leaves no rest in the minute'],
		['holds: 10 reps calf stretch', 'give it seconds'],
		['3 x 10 squat 0-0-0', 'takes some time']
	])('%s', (line, says) => {
		expect(
			faults(line)
				.map((fault) => fault.message)
				.join(' ')
		).toContain(says);
	});

	it('points at the place', () => {
		const line = 'superset 3 rounds: 10 squat + @ 8 kg';
		const [fault] = faults(line);
		expect(line.slice(fault?.from, fault?.to)).toBe('@ 8 kg');
	});
});

describe('lineOf', () => {
	it('writes what parseLine reads back as the same block', () => {
		fc.assert(
			fc.property(anyBlock, (b) => {
				expect(block(lineOf(b))).toEqual(b);
			}),
			{ numRuns: runs(500) }
		);
	});

	it('never lets any text break the reader', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 200 }), (text) => {
				const read = parseLine(text, PRACTICE);
				if ('faults' in read) for (const fault of read.faults) expect(fault.to).toBeGreaterThan(fault.from);
			}),
			{ numRuns: runs(500) }
		);
	});
});

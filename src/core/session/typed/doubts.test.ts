/** Lines that were read wrong without a word (common practice, no source); beside them lines that are read right. */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../../tests/support/practice';
import { parseSessionText } from '../text';
import { doubtsOf } from './doubts';

const careful = (text: string) => parseSessionText(text, PRACTICE, 'ask', true);

describe('a line that may be read wrong', () => {
	it.each([
		['3x8 squat RIR 2', 'RIR 2'],
		['3x8 squat @ RIR 1-2', '@ RIR 1-2'],
		['3x8 squat RPE 7-8', 'RPE 7-8'],
		['3x8 squat, 1-2 RIR', '1-2 RIR'],
		['3-4 rounds: 10 squat + 8 push-up', '3-4 rounds'],
		['2-3 sets squat 10', '2-3 sets'],
		['3-4 x 10 squat', '3-4 x 1'],
		['10 squat + 8 push-up x 3', '10 squat + 8 push-up x 3'],
		['3x10 goblet squat @ 12 kg each', '@ 12 kg each'],
		['3x10 overhead press 8kg per hand', '8kg per hand'],
		['3x10 curl @ 6 kg/arm', '@ 6 kg/arm'],
		['3x8 goblet squat @ 12/14/16 kg', '@ 12/14/16 kg'],
		['8 backpack press 3 x 12,5 kg', '3 x 12,5 kg'],
		['backpack press 5x20kg 5 reps', '5x20kg'],
		['3 x 12/10 split squat', '3 x 12/10'],
		['3 sets of 30/15 plank', '3 sets of 30/15'],
		['run 1:30:00', '1:30:00'],
		['1,000 m run', '1,000'],
		['1,5 km run', '1,5'],
		['plank 20 s – 40 s', '20 s – 40 s'],
		['10 squat, hold 3 s', 'hold 3 s'],
		['3x10 squat, rest 2', 'rest 2'],
		['3x10 squat, 1 rest', '1 rest']
	])('is asked about: %s', (line, stretch) => {
		const [doubt] = doubtsOf(line);
		expect(line.slice(doubt?.from, doubt?.to)).toBe(stretch);
		expect(doubt?.offers?.length).toBeGreaterThan(0);
		const { faults, session } = careful(line);
		expect(faults[0]).toMatchObject({ line: 1, from: doubt?.from, to: doubt?.to });
		expect(session.blocks).toEqual([]);
	});

	it.each([
		'3x8-12 goblet squat @ 12 kg, effort 8, rest 90',
		'3 x 10 squat RPE 8',
		'3 x 10 squat, 2 RIR',
		'3 x 12/10/8 goblet squat @ 12,5 kg, rest 60',
		'circuit 3 rounds 40/20: plank + squat',
		'3 x 10 split squat each leg @ 2 x 8 kg, rest 60 s',
		'3 x 20-40 s plank, 90 s rest',
		'3 x 8 squat 3-1-1, rest 1:30',
		'3 x 8 squat, rest 2 min',
		'21-15-9 squat + push-up, limit 10 min',
		'superset 3 rounds, rest 0 inside, 90 after: 8 squat + 8 push-up'
	])('is not asked about where it is clear: %s', (line) => {
		expect(doubtsOf(line)).toEqual([]);
	});

	it('reads hours of a stopwatch either way', () => {
		expect(doubtsOf('plank 1:30:00')[0]?.offers?.map(({ text }) => text)).toEqual(['90 min', '1:30']);
	});

	it('does not quote what was not written', () => {
		const { faults } = careful('4 x 8/10/12 push-up x 3');
		expect(faults.map(({ message }) => message).join(' ')).not.toContain('“”');
	});

	it('asks what a bare number beside a run is', () => {
		const { faults } = careful('1 x 5 run');
		expect(faults[0]?.message).toMatch(/5 what\?/);
		expect(faults[0]?.offers?.map(({ label }) => label)).toEqual(['5 min', '5 m', '5 km']);
	});

	it('leads on with what is offered', () => {
		for (const [line, pick, written] of [
			['3 x 8 goblet squat RIR 2, rest 60', 0, '3 x 8 reps Goblet squat effort 8, rest 60'],
			['3 x 10 overhead press 8kg per hand, rest 60', 0, '3 x 10 reps Overhead press @ 2 x 8 kg, rest 60'],
			['3 x 10 squat, rest 2', 0, '3 x 10 reps Squat, rest 120'],
			['8 backpack press 3 x 12,5 kg, rest 60', 0, '3 x 8 reps Backpack press @ 12.5 kg, rest 60']
		] as const) {
			const [doubt] = doubtsOf(line);
			const text = line.slice(0, doubt!.from) + doubt!.offers![pick]!.text + line.slice(doubt!.to);
			const { session, faults } = careful(text);
			expect(faults).toEqual([]);
			expect(session.blocks.map(lineOf)).toEqual([written]);
		}
	});
});

describe('pasted text', () => {
	it('says what each line became, and is not held up by one that is not understood', () => {
		const { became, session, name } = careful(
			'Hut legs\n\nWarm-up\n2 min march\n\nLEGS\n3 x 10 goblet squat @ 12 kg, rest 60\n3 x 8 flurbs, rest 60\nnote: breathe'
		);
		expect(name).toBe('Hut legs');
		expect(became.map(({ lines, isFaulty }) => [lines, isFaulty])).toEqual([
			[[1], false],
			[[4], false],
			[[6], false],
			[[7], false],
			[[8], true],
			[[9], false]
		]);
		expect(became[3]?.words).toBe('Straight sets, 3 × · rest 60: 10 reps Goblet squat, 12 kg');
		expect(session.blocks).toHaveLength(2);
		// A heading that is none of ours ends the warm-up.
		expect(session.blocks.map(({ role }) => role)).toEqual(['warm-up', 'main']);
	});
	it.each(['## Legs', '**Legs**', 'Legs:', 'BLOCK B', '# Strong part'])(
		'ends the role of a heading with another one: %s',
		(heading) => {
			const { session } = careful(`Warm-up\n1 x 10 squat\n${heading}\n3 x 10 squat`);
			expect(session.blocks.map(({ role }) => role)).toEqual(['warm-up', 'main']);
		}
	);
	it.each(['Notes', '3 rounds:', 'A1 Squat'])('keeps it before what is no heading: %s', (line) => {
		const { session } = careful(`Warm-up\n1 x 10 squat\n${line}\n1 x 10 push-up`);
		expect(session.blocks.at(-1)?.role).toBe('warm-up');
	});
});

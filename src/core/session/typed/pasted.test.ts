/** Whole sessions as coaches write them down (common practice, no source), and the blocks that they are. */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../../tests/support/practice';
import { parseSessionText } from '../text';

const pasted = (text: string) => parseSessionText(text.replace(/^\t+/gm, ''), PRACTICE);
const blocks = (text: string): string[] => {
	const { session, faults } = pasted(text);
	expect(faults).toEqual([]);
	return session.blocks.map(lineOf);
};

describe('a session pasted as it was written', () => {
	it('with headings, bullets and a name', () => {
		const text = `Lower body strength

		WARM-UP
		- 2 min march
		- 10 squats

		Main:
		1. Goblet squat 4x8 @ 16kg, 90 s rest
		2. RDL 3x10 @ 2 x 12 kg
		3) Split squat 3x8 each leg

		Cool-down (5 min)
		• 30 s calf stretch each side
		• 30 s child's pose`;
		expect(blocks(text)).toEqual([
			'warm-up: 1 x 120 s March on the spot, rest 60',
			'warm-up: 1 x 10 reps Squat, rest 60',
			'4 x 8 reps Goblet squat @ 16 kg, rest 90',
			'3 x 10 reps Romanian deadlift @ 2 x 12 kg, rest 60',
			'3 x 8 reps per side Split squat, rest 60',
			'cool-down: 1 x 30 s per side Calf stretch, rest 60',
			'cool-down: 1 x 30 s Child rest, rest 60'
		]);
		expect(pasted(text).name).toBe('Lower body strength');
	});

	it('with exercises below what they are done in', () => {
		expect(
			blocks(`Monday: Engine
			3 rounds, rest 90:
			- 10 swings @ 12 kg
			- 8 push-ups
			- 30 s plank

			30 on 15 off x 4
			squats
			mountain climbers

			AMRAP 10:
			5 pull-ups
			10 push-ups`)
		).toEqual([
			'3 rounds, rest 0 inside, 90 after: 10 reps Swing @ 12 kg + 8 reps Push-up + 30 s Plank',
			'circuit 4 rounds 30/15: Squat + Mountain climber',
			'amrap 10 min: 5 reps Pull-up + 10 reps Push-up'
		]);
	});

	it('with pairs by their letters and a rest below them', () => {
		expect(
			blocks(`A1 Goblet squat 3x10 @ 12 kg
			A2 Push-ups 3x8
			Rest 75 s
			B1. Floor press 3x8 2x10kg
			B2. Band row 3x12 red band
			C1 Plank 3x30s`)
		).toEqual([
			'superset 3 rounds, rest 30 inside, 75 after: 10 reps Goblet squat @ 12 kg + 8 reps Push-up',
			'superset 3 rounds, rest 30 inside, 90 after: 8 reps Floor press @ 2 x 10 kg + 12 reps Band row @ red band',
			'3 x 30 s Plank, rest 60'
		]);
	});

	it.each([
		['Monday', 'Monday'],
		['Day 3 – Carry day', 'Carry day'],
		['## Tue: Upper body', 'Upper body'],
		['**Ridge load**', 'Ridge load']
	])('takes %s for its name, and says so', (line, name) => {
		const read = pasted(`${line}\n3x10 squats`);
		expect([read.name, read.notes[0]?.message]).toEqual([
			name,
			`“${name}” is taken as the name of the session.`
		]);
		expect(read.faults).toEqual([]);
	});

	it('asks where it was typed, also in lines that belong together', () => {
		const read = pasted('3 rounds:\n- 10 squats\n- 8 flurbs\n\n3x10 goblet sqaut');
		expect(read.faults).toMatchObject([
			{ line: 3, from: 4, to: 10 },
			{ line: 5, from: 5, to: 17, offers: [{ text: 'Goblet squat' }, { text: '"goblet sqaut"' }] }
		]);
	});

	it('takes one day at a time', () => {
		expect(pasted('Monday\n3x10 squats\nTuesday\n3x10 curls').faults).toMatchObject([
			{ line: 3, message: 'a second day begins here: one session at a time, please' }
		]);
	});

	it('pairs with different numbers of sets are asked about', () => {
		expect(pasted('A1 squat 3x10\nA2 push-up 4x8').faults[0]?.message).toContain('a line of their own');
	});

	it('looks at no more than a session can hold', () => {
		const { faults } = pasted(`${'note: a\n'.repeat(500)}3x10 squats`);
		expect(faults).toMatchObject([{ line: 401, message: expect.stringContaining('101 lines') as string }]);
		expect(pasted(`3 x 10 ${'x'.repeat(3000)}`).faults[0]?.message).toContain('at most 2,000 letters');
	});
});

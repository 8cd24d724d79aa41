import { describe, expect, it } from 'vitest';
import { STANDARD } from '../exercise';
import { parseSessionText, type Session } from '../session';
import { muchText, outlineOf } from './outline';
import { PRACTICE, practiceWith } from '../../../tests/support/practice';

const session = (text: string): Session => parseSessionText(text, PRACTICE).session;

describe('outlineOf', () => {
	const outline = outlineOf(
		session(
			[
				'note: Slow.',
				'link: Film | https://films.example/a',
				'warm-up: circuit 2 rounds 30/10: march on the spot + bird dog per side',
				'repeat 3 times, rest 60:',
				'setup 20 s: swap to the heavy pair',
				'superset 2 rounds, rest 30 inside, 90 after: 10 or 40 s goblet squat 3-1-1 @ 12 kg + 8 per side one-arm row @ 12 kg',
				'3 x 8 curl @ 8 kg, drop 2 x 25% on last, rest 60',
				'end repeat',
				'recovery: easy walk'
			].join('\n')
		),
		PRACTICE
	);

	it('says all that stands beside the blocks', () => {
		expect(outline).toMatchObject({
			note: 'Slow.',
			links: [{ title: 'Film', url: 'https://films.example/a' }],
			recovery: ['easy walk'],
			counting: 'Unsure of a rep? Count the lower number.',
			ready: ['chair', 'dumbbells: 2 of 8 kg, 1 of 12 kg', 'mat', 'water']
		});
	});

	it('names blocks by role or format, with set-up and repeat where they begin', () => {
		expect(outline.blocks.map(({ title, setup, repeat }) => [title, setup, repeat])).toEqual([
			['Warm-up', null, null],
			['Superset', 'swap to the heavy pair', 'this and the next block, 3 times, 60 s between'],
			['Straight sets', null, null]
		]);
		// warm-up 4 × 30 + 3 × 10, set-up 20: the superset begins at 170
		expect(outline.blocks[1]?.start).toBe(170);
	});

	it('says of each exercise how much, how fast, how heavy, and what is easier', () => {
		const [squat, row] = outline.blocks[1]?.parts ?? [];
		expect(squat).toMatchObject({
			mark: 'A1',
			exercise: 'Goblet squat',
			much: '10 or 40 s',
			load: '12 kg',
			tempo: '3-1-1-0',
			easier: 'Slow squat'
		});
		expect(squat?.cues).toContain('Down to 90° at the knee');
		expect(squat?.cautions).toEqual([]);
		expect(row).toMatchObject({ mark: 'A2', much: '8 per side', easier: 'Seated band row' });
	});

	it('leaves to the block what the block says for all', () => {
		expect(outline.blocks[0]?.parts.map(({ much }) => much)).toEqual(['', 'half each side']);
		const steady = session('steady 20 min, talk test: or 2000 m brisk walk').blocks[0]!;
		expect(muchText(steady, steady.parts[0]!)).toBe('or 2000 m');
	});

	it('speaks of the coach’s own in the coach’s words', () => {
		const own = { ...STANDARD.find('Squat')!, name: 'Hut squat', ownId: 'x', cues: ['Beam on the shoulder'] };
		const read = outlineOf(session('3 x 10 "hut squat"'), practiceWith({ exercises: [own] }));
		expect(read.blocks[0]?.parts[0]?.cues[0]).toBe('Beam on the shoulder');
	});

	it('marks minutes and stations by their group', () => {
		const marks = (text: string) =>
			outlineOf(session(text), PRACTICE).blocks[0]?.parts.map(({ mark }) => mark);
		expect(marks('emom 6 min: 5 squat + 5 curl / 5 swing')).toEqual(['1', '1', '2']);
		expect(marks('stations: 5 squat + 20 s plank / 5 swing + 20 s plank')).toEqual(['1', '1', '2', '2']);
	});
});

/** Loads that differ by level: typed, read back, made heavier, held against what people have. */
import { describe, expect, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../tests/support/practice';
import { blockOf, sessionOf } from '../../../tests/support/sessions';
import { checkSession } from '../analysis';
import { newRule, sessionInWeek } from '../plan';
import { sessionFor } from './by-level';
import { blockFaults } from './faults';
import { parseLine } from './line';
import { haveReady } from './ready';

const WRITTEN = '3 x 10 reps Goblet squat @ 8/12/16 kg, rest 60';

describe('loads by level', () => {
	it.each([
		['goblet squat 3x10 8/12/16kg', WRITTEN],
		['3x10 goblet squat @ 8 / 12 / 16 kg', WRITTEN],
		['3 x 10 goblet squat @ 12 kg, beginners 8 kg, trained 16 kg', WRITTEN],
		['3 x 10 goblet squat @ 12 kg (8 kg for beginners, 16 kg for advanced)', WRITTEN],
		['3 x 10 goblet squat beginner: 8 kg, intermediate: 12 kg, advanced: 16 kg', WRITTEN],
		['3 x 10 goblet squat @ 12 kg, beginners 8 kg', '3 x 10 reps Goblet squat @ 8/12/12 kg, rest 60'],
		['3 x 8 overhead press 2 x 6/8/10 kg', '3 x 8 reps Overhead press @ 2 x 6/8/10 kg, rest 60'],
		['3 x 8 goblet squat 20/25/30 lb', '3 x 8 reps Goblet squat @ 9.07/11.34/13.61 kg, rest 60']
	])('“%s” is read as meant, and from what is written of it', (typed, written) => {
		expect(lineOf(blockOf(typed))).toBe(written);
		expect(lineOf(blockOf(written))).toBe(written);
	});

	it('asks what everybody else lifts where one level alone is said', () => {
		const read = parseLine('3 x 10 goblet squat, beginners 8 kg', PRACTICE);
		expect('faults' in read && read.faults.map(({ message }) => message)).toEqual([
			'“beginners 8 kg”: which load has everybody else? Add it, as in @ 12 kg'
		]);
	});

	it('says when a level has two loads', () => {
		const read = parseLine('3 x 10 goblet squat @ 12 kg, beginners 8 kg, novices 6 kg', PRACTICE);
		expect('faults' in read && read.faults[0]?.message).toContain('said twice');
	});

	it.each([
		[{ kgByLevel: [8, 12, 16] as [number, number, number], kg: 10 }, '.parts[0].kgByLevel'],
		[{ kgByLevel: [0, 12, 16] as [number, number, number], kg: 12 }, '.parts[0].kgByLevel'],
		[{ kgByLevel: [8, 12, 501] as [number, number, number], kg: 12 }, '.parts[0].kgByLevel']
	])('%j is refused', (loads, path) => {
		const block = blockOf('3 x 10 goblet squat @ 12 kg');
		const [part] = block.parts;
		if (!part) throw new Error('no part');
		expect(blockFaults({ ...block, parts: [{ ...part, ...loads }] }, '', PRACTICE)).toMatchObject([{ path }]);
	});

	it('are those of one level, in the same session where nothing differs', () => {
		const session = sessionOf(`${WRITTEN}\n3 x 10 push-up`);
		expect(sessionFor(session, 'trained').blocks.map(lineOf)).toEqual([
			'3 x 10 reps Goblet squat @ 16 kg, rest 60',
			'3 x 10 reps Push-up, rest 60'
		]);
		const plain = sessionOf('3 x 10 push-up');
		expect(sessionFor(plain, 'trained')).toBe(plain);
	});

	it('are of one exercise of a pair alone, where the other has none', () => {
		const pair = sessionOf('superset 2 rounds: 10 goblet squat @ 8/12/16 kg + 10 curl @ 6 kg');
		expect(sessionFor(pair, 'beginner').blocks[0]?.parts.map(({ kg }) => kg)).toEqual([8, 6]);
	});

	it('all grow by the same step', () => {
		const rule = newRule('r', { exercise: 'Goblet squat' }, [{ kind: 'load', kg: 2 }]);
		const { session, changes } = sessionInWeek(
			sessionOf(WRITTEN),
			's',
			3,
			{ rules: [rule], deload: null },
			PRACTICE
		);
		expect(session.blocks.map(lineOf)).toEqual(['3 x 10 reps Goblet squat @ 12/16/20 kg, rest 60']);
		expect(changes).toMatchObject([{ from: '8/12/16 kg', to: '12/16/20 kg' }]);
	});

	it('are all to have ready, and the heaviest of them is held against reason', () => {
		expect(haveReady(sessionOf(WRITTEN), PRACTICE)[0]).toMatch(/8 kg.*12 kg.*16 kg/);
		const beyond = checkSession(sessionOf('3 x 10 goblet squat @ 8/12/160 kg'), PRACTICE).filter(
			({ rule }) => rule === 'load beyond reason'
		);
		expect(beyond).toMatchObject([{ title: 'Goblet squat with 160 kg: is that meant?' }]);
	});
});

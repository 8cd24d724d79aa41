import { describe, expect, it } from 'vitest';
import { STANDARD } from '$core/exercise';
import {
	blockFaults,
	formatNamed,
	formatNames,
	numberOf,
	parseLine,
	withNumber,
	type Block,
	type FormatName
} from '$core/session';
import { fieldsOf, freshBlock, freshPart, readClock, readTempo } from './block-fields';
import { lineOf, PRACTICE } from '../../../../tests/support/practice';

function fresh(format: FormatName): Block {
	const names = ['Squat', 'Plank'].slice(0, formatNamed(format).takes[0]);
	const made = freshBlock(format, 'main', names, STANDARD);
	if ('fault' in made) throw new Error(made.fault);
	return made;
}

describe('a picked block', () => {
	it.each(formatNames())('%s is sound, has its fields, and is read back from its line', (format) => {
		const block = fresh(format);
		expect(blockFaults(block, '', PRACTICE)).toEqual([]);
		for (const field of fieldsOf(block))
			if (!field.nullable)
				expect(numberOf(block, field.key), field.key).toBeGreaterThanOrEqual(field.bounds[0]);
		expect(parseLine(lineOf(block), PRACTICE)).toMatchObject({ block });
	});

	it('counts an exercise as the library does', () => {
		expect(freshPart('plank', 'superset', STANDARD).target).toEqual({ kind: 'seconds', seconds: 30 });
		expect(freshPart('pack carry', 'superset', STANDARD).target).toEqual({ kind: 'metres', metres: 40 });
		expect(freshPart('bird dog', 'straight-sets', STANDARD)).toMatchObject({
			exercise: 'Bird dog',
			perSide: true
		});
		expect(freshPart('squat', 'interval-circuit', STANDARD, 45).target).toEqual({
			kind: 'seconds',
			seconds: 45
		});
		expect(freshPart(' hut lift ', 'straight-sets', STANDARD).exercise).toBe('hut lift');
	});
});

it('the parts of a circuit go along with its slot', () => {
	expect(withNumber(fresh('interval-circuit'), 'work', 50).parts[0]?.target).toEqual({
		kind: 'seconds',
		seconds: 50
	});
});

describe('what is typed into fields', () => {
	it.each([
		['12:00', 720],
		['90', 90],
		['1:05', 65],
		['', null],
		['soon', null],
		['1:2:3', null]
	])('%j is %s seconds', (text, seconds) => expect(readClock(text)).toBe(seconds));

	it.each([
		['3-1-1', [3, 1, 1, 0]],
		['3-1-1-2', [3, 1, 1, 2]],
		[' ', null],
		['3-1', 'fault'],
		['slow', 'fault']
	])('tempo %j', (text, tempo) => expect(readTempo(text)).toEqual(tempo));
});

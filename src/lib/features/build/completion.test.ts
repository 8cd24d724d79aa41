import { describe, expect, it } from 'vitest';
import { completed, fragmentAt } from './completion';

/** The line with | where the caret is. */
const at = (line: string) => fragmentAt(line.replace('|', ''), line.indexOf('|'));

describe('fragmentAt', () => {
	it.each([
		['3 x 10 gob|', 'gob'],
		['3 x 10 per side one-arm r|', 'one-arm r'],
		['superset 3 rounds: 10 push-up + 8 row|', 'row'],
		['emom 8 min: 10 swing / 6 step|', 'step'],
		['30 s pla|nk', 'pla'],
		['12 1¼ pus|', 'pus'],
		['10 or 40 s squ|', 'squ'],
		['warm-up: circuit 2 rounds 30/10: march|', 'march'],
		['2 x 40 m suit|', 'suit']
	])('%s', (line, name) => expect(at(line)?.name).toBe(name));

	it.each(['3 x 10|', '3 x 10 squat @ 12 k|', '3 x 10 squat, re|', '|'])('no name stands at %s', (line) =>
		expect(at(line)).toBeNull()
	);
});

describe('completed', () => {
	it('puts the name in place of what was typed and goes on behind it', () => {
		const line = '3 x 10 gob + 8 curl';
		const done = completed(line, fragmentAt(line, 10)!, 'Goblet squat');
		expect(done).toEqual({ text: '3 x 10 Goblet squat + 8 curl', caret: 20 });
		expect(completed('3 x 10 gob', fragmentAt('3 x 10 gob', 10)!, 'Goblet squat').text).toBe(
			'3 x 10 Goblet squat '
		);
	});
});

/** Whatever is typed, each of its characters is used or reported: nothing is dropped. */
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { PRACTICE } from '../../../../tests/support/practice';
import { runs } from '../../../../tests/support/runs';
import { parseLine } from '../line';
import { phrasesOf } from './phrases-of';

const TYPED = readFileSync(new URL('../../../../tests/corpus/typed-lines.txt', import.meta.url), 'utf8')
	.split('\n')
	.filter((line) => line && !line.startsWith('#'))
	.map((line) => line.split(' => ')[0] ?? '');
/** Pieces of what coaches type, shaken together, and anything at all. */
const anyLine = fc.oneof(
	fc.string({ maxLength: 120 }),
	fc
		.array(fc.constantFrom(...TYPED.flatMap((line) => line.split(' '))), { maxLength: 12 })
		.map((words) => words.join(' '))
);

describe('phrases', () => {
	it('hold every character that is no space, once and in order', () => {
		fc.assert(
			fc.property(anyLine, (line) => {
				let at = 0;
				for (const { from, to } of phrasesOf(line, PRACTICE)) {
					expect(from).toBeGreaterThanOrEqual(at);
					expect(line.slice(at, from).trim()).toBe('');
					expect(to).toBeGreaterThan(from);
					at = to;
				}
				expect(line.slice(at).trim()).toBe('');
			}),
			{ numRuns: runs(1000) }
		);
	});
});

describe('a word that means nothing', () => {
	it.each(['blorp', '~', '99 %'])(
		'%s is asked about wherever it stands in a line that is understood',
		(odd) => {
			for (const line of TYPED.filter((typed) => 'block' in parseLine(typed, PRACTICE))) {
				const words = line.split(' ');
				for (let at = 0; at <= words.length; at++) {
					const typed = [...words.slice(0, at), odd, ...words.slice(at)].join(' ');
					const read = parseLine(typed, PRACTICE);
					expect('faults' in read, typed).toBe(true);
				}
			}
		}
	);
});

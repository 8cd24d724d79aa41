/** What coaches type, line by line, against what they mean (common practice, no source): tests/corpus/typed-lines.txt. */
import { readFileSync } from 'node:fs';
import { describe, it } from 'vitest';
import { lineOf, PRACTICE } from '../../../../tests/support/practice';
import { parseLine } from '../line';

const CORPUS = readFileSync(new URL('../../../../tests/corpus/typed-lines.txt', import.meta.url), 'utf8')
	.split('\n')
	.filter((line) => line && !line.startsWith('#'))
	.map((line) => line.split(' => ') as [typed: string, meant: string]);

/** The line as it was understood, or what is asked back. */
function understood(typed: string): string {
	const read = parseLine(typed, PRACTICE);
	return 'block' in read
		? lineOf(read.block)
		: `? ${read.faults.map(({ message, offers = [] }) => [message, ...offers.map(({ label }) => label)].join(' ')).join('; ')}`;
}
const asMeant = (typed: string, meant: string): boolean =>
	meant.startsWith('?')
		? understood(typed).startsWith('?') && understood(typed).includes(meant.slice(1).trim())
		: understood(typed) === meant;

describe('a typed line', () => {
	it.each(CORPUS)('%s', (typed, meant) => {
		if (asMeant(typed, meant)) return;
		throw new Error(`${understood(typed)} instead of ${meant}`);
	});
});

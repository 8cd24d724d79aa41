/**
 * Blocks as lines of text, both ways. How lines are written is in docs/formats/session-lines.md; `parseLine` understands
 * what coaches type and asks about the rest, `formatLine` writes the one form that everything is read back from.
 */
import type { Library } from '../exercise';
import type { Practice } from '../practice';
import { amountsText, effortText, paceText } from './amount';
import { blockFaults } from './faults';
import { formatOf, saysHowMuch, type Block } from './formats';
import { insteadText, nameText } from './instead';
import { loadText } from './loads';
import { LIMITS, type Part } from './parts';
import type { LineFault } from './typed/asked';
import type { UnknownNames } from './typed/exercise-of';
import { readLine } from './typed/read-line';

export type ParsedLine = { block: Block; notes: string[] } | { faults: LineFault[] };

/**
 * Reads one typed line into a block. Nothing of it is passed over: what has no use is a fault.
 *
 * @returns the block and notes about what was assumed, or the places that were not understood and what may be meant
 * @example parseLine('goblet squats 3x10 @ 12kg, 90 s rest', practice)
 */
export function parseLine(line: string, practice: Practice, unknown: UnknownNames = 'ask'): ParsedLine {
	if (!line.trim()) return { faults: [{ from: 0, to: 1, message: 'nothing typed yet' }] };
	if (line.length > LIMITS.line) {
		const message = `a line has at most ${LIMITS.line.toLocaleString('en')} letters, this one ${line.length.toLocaleString('en')}`;
		return { faults: [{ from: 0, to: line.length, message }] };
	}
	const read = readLine(line, practice, unknown);
	if ('faults' in read) return read;
	const wrong = blockFaults(read.block, '', practice);
	const { block, notes, placeOf } = read;
	if (wrong.length === 0) return { block, notes };
	return {
		faults: wrong.map(({ path, message }) => {
			const { from, to } = placeOf(path);
			return { from, to, message };
		})
	};
}

/** A tempo whose numbers fall like the repetitions of a ladder says what it is. */
const tempoText = (tempo: NonNullable<Part['tempo']>): string =>
	`${tempo[0] >= 10 ? 'tempo ' : ''}${tempo.join('-')}`;

function partText(part: Part, fixed: boolean, library: Library): string {
	const load = loadText(part);
	return [
		fixed ? null : amountsText(part.target, part.each),
		part.or ? `or ${amountsText(part.or)}` : null,
		part.partial,
		part.eachWay ? 'each way' : null,
		part.perSide ? 'per side' : null,
		nameText(part.exercise, library),
		part.tempo ? tempoText(part.tempo) : null,
		load && `@ ${load.replace('×', 'x')}`,
		part.pace === undefined ? null : `@ ${paceText(part)}`,
		effortText(part),
		...(part.instead ?? []).map((one) => insteadText(one, library))
	]
		.filter(Boolean)
		.join(' ');
}

/** The block as one line; `parseLine` gives the same block back, without what is set up before it. */
export function formatLine(block: Block, { library }: Pick<Practice, 'library'>): string {
	const line = formatOf(block).line(block, (part) => partText(part, saysHowMuch(block.format), library));
	return block.role === 'main' ? line : `${block.role}: ${line}`;
}

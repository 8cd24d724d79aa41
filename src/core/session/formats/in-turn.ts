import { LIMITS, type BlockBase, type Part } from '../parts';
import type { TimelineWriter } from '../timeline';
import type { Said } from '../phrase/said';
import type { Field } from './format';
import { roundsWords } from './grammar';

/** Exercises one after the other, a rest from one to the next and another one after each round. */
export interface InTurn extends BlockBase {
	rounds: number;
	/** Seconds between the exercises of a round. */
	restInside: number;
	/** Seconds after a round. */
	restAfter: number;
}

const rest = <B extends InTurn>(key: 'restInside' | 'restAfter', label: string): Field<B> => ({
	key,
	label,
	unit: 's',
	says: `seconds of ${label}`,
	bounds: [0, LIMITS.seconds],
	knob: 'rest'
});

export const inTurnFields = <B extends InTurn>(): Field<B>[] => [
	{ key: 'rounds', label: 'rounds', unit: '', bounds: [1, LIMITS.sets], knob: 'often' },
	rest('restInside', 'rest inside'),
	rest('restAfter', 'rest after')
];

export function writeInTurn(block: InTurn, out: TimelineWriter): void {
	for (let round = 1; round <= block.rounds; round++) {
		block.parts.forEach((part, i) => {
			out.work(part, i, round);
			if (i < block.parts.length - 1) out.put('rest', block.restInside, { round });
		});
		if (round < block.rounds || out.keepsLastRest) out.put('round-rest', block.restAfter, { round });
	}
}

/** The numbers of a typed line, with the usual rests where it says none. */
export const readInTurn = (
	said: Said,
	usual: Pick<InTurn, 'rounds' | 'restInside' | 'restAfter'>
): Pick<InTurn, 'rounds' | 'restInside' | 'restAfter'> => ({
	rounds: said.times() ?? usual.rounds,
	restInside: said.rest('inside') ?? usual.restInside,
	restAfter: said.rest('after', 'between', null) ?? usual.restAfter
});

/** `3 rounds · 30 s between exercises, 90 s after each round`. */
export const inTurnSummary = (block: InTurn): string =>
	`${roundsWords(block.rounds)} · ${block.restInside} s between exercises, ${block.restAfter} s after each round`;

/** The rule as it is said aloud: `3 rounds of 2 exercises`. */
export const inTurnCalled = ({ rounds, parts }: InTurn): string =>
	`${roundsWords(rounds)} of ${parts.length} ${parts.length === 1 ? 'exercise' : 'exercises'}`;

/** The same as a line, as far as the exercises. */
export const inTurnLine = (block: InTurn, part: (part: Part) => string): string =>
	`${roundsWords(block.rounds)}, rest ${block.restInside} inside, ${block.restAfter} after: ` +
	block.parts.map(part).join(' + ');

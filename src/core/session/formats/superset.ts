import type { Part, Role } from '../parts';
import type { Format } from './format';
import {
	inTurnCalled,
	inTurnFields,
	inTurnLine,
	inTurnSummary,
	readInTurn,
	writeInTurn,
	type InTurn
} from './in-turn';

/** Two or three exercises back to back, a short rest inside, a longer one after the last. */
export interface Superset extends InTurn {
	format: 'superset';
}

/** 30 s at most inside a pair, 90 s after it (common practice, no source). */
const USUAL = { rounds: 3, restInside: 30, restAfter: 90 };

/** Two or three exercises as a superset. */
export const newSuperset = (
	parts: Part[],
	role: Role,
	numbers: Pick<Superset, 'rounds' | 'restInside' | 'restAfter'>
): Superset => ({ format: 'superset', role, ...numbers, parts });

export const superset: Format<Superset> = {
	name: 'superset',
	label: 'Superset',
	keywords: ['superset', 'super set', 'pair', 'tri-set'],
	starter: '3 rounds, rest 30 inside, 90 after',
	fields: inTurnFields<Superset>(),
	met: { met: 3.5, code: '02054' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'never',
	lifting: true,
	takes: [2, 3],

	write: writeInTurn,

	timesDone: (block) => block.rounds,
	withRestInside: (block, seconds) => ({ ...block, restInside: seconds }),
	asPair: ({ rounds, restInside, restAfter }) => ({ rounds, restInside, restAfter }),
	mark: (_block, part) => `A${part + 1}`,
	summary: (block) => `${block.parts.length === 3 ? 'tri-set · ' : ''}${inTurnSummary(block)}`,

	called: inTurnCalled,

	claims: ({ labelled, items }) => labelled && items.length <= 3,
	read(said, parts) {
		if (parts.length < 2) return { fault: 'a superset needs two or three exercises joined by +' };
		return {
			format: 'superset',
			...readInTurn(said, USUAL),
			parts
		};
	},

	line: (block, part) => `superset ${inTurnLine(block, part)}`
};

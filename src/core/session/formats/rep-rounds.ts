import { LIMITS } from '../parts';
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

/** Any number of exercises by repetitions, one after the other, with a rest after each round. */
export interface RepRounds extends InTurn {
	format: 'rep-rounds';
}

/** Straight on inside, a minute after a round (common practice, no source). */
const USUAL = { rounds: 1, restInside: 0, restAfter: 60 };

export const repRounds: Format<RepRounds> = {
	name: 'rep-rounds',
	label: 'Rounds',
	keywords: [],
	starter: '3 rounds',
	fields: inTurnFields<RepRounds>(),
	met: { met: 4.3, code: '02035' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'on cardio days',
	lifting: true,
	inTurn: 'even',
	takes: [2, LIMITS.parts],

	write: writeInTurn,

	timesDone: (block) => block.rounds,
	withRestInside: (block, seconds) => ({ ...block, restInside: seconds }),
	summary: inTurnSummary,
	called: inTurnCalled,

	claims: ({ items }) => items.length > 1,
	read(said, parts) {
		return {
			format: 'rep-rounds',
			...readInTurn(said, USUAL),
			parts
		};
	},

	line: inTurnLine
};

import { LIMITS } from '../parts';
import type { Format } from './format';
import { roundsWords } from './grammar';
import { inTurnFields, writeInTurn, type InTurn } from './in-turn';

/** Any number of exercises by repetitions, one after the other, with a rest after each round. */
export interface RepRounds extends InTurn {
	format: 'rep-rounds';
}

/** Straight on inside, a minute after a round (common practice, no source). */
const DEFAULTS = { restInside: 0, restAfter: 60 };

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
	takes: [2, LIMITS.parts],

	write: writeInTurn,

	timesDone: (block) => block.rounds,
	withRestInside: (block, seconds) => ({ ...block, restInside: seconds }),
	summary: (block) =>
		`${roundsWords(block.rounds)} · rest ${block.restInside} inside, ${block.restAfter} after`,

	claims: ({ items }) => items.length > 1,
	read(said, parts) {
		return {
			format: 'rep-rounds',
			rounds: said.times() ?? 1,
			restInside: said.rest('inside') ?? DEFAULTS.restInside,
			restAfter: said.rest('after', 'between', null) ?? DEFAULTS.restAfter,
			parts
		};
	},

	line: (block, part) =>
		`${roundsWords(block.rounds)}, rest ${block.restInside} inside, ${block.restAfter} after: ` +
		block.parts.map(part).join(' + ')
};

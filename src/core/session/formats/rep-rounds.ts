import { LIMITS, type BlockBase } from '../parts';
import type { Format } from './format';
import { roundsWords } from './grammar';

/** Any number of exercises by repetitions, one after the other, with a rest after each round. */
export interface RepRounds extends BlockBase {
	format: 'rep-rounds';
	rounds: number;
	/** Seconds from one exercise to the next. */
	restInside: number;
	/** Seconds after a round. */
	restAfter: number;
}

/** Straight on inside, a minute after a round (common practice, no source). */
const DEFAULTS = { restInside: 0, restAfter: 60 };

export const repRounds: Format<RepRounds> = {
	name: 'rep-rounds',
	label: 'Rounds',
	keywords: [],
	starter: '3 rounds',
	fields: [
		{ key: 'rounds', label: 'rounds', unit: '', bounds: [1, LIMITS.sets], knob: 'often' },
		{
			key: 'restInside',
			label: 'rest inside',
			unit: 's',
			says: 'seconds of rest inside',
			bounds: [0, LIMITS.seconds],
			knob: 'rest'
		},
		{
			key: 'restAfter',
			label: 'rest after',
			unit: 's',
			says: 'seconds of rest after',
			bounds: [0, LIMITS.seconds],
			knob: 'rest'
		}
	],
	met: { met: 4.3, code: '02035' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'on cardio days',
	lifting: true,
	takes: [2, LIMITS.parts],

	write(block, out) {
		for (let round = 1; round <= block.rounds; round++) {
			block.parts.forEach((part, i) => {
				out.work(part, i, round);
				if (i < block.parts.length - 1) out.put('rest', block.restInside, { round });
			});
			if (round < block.rounds || out.practice.timing.keepLastRest)
				out.put('round-rest', block.restAfter, { round });
		}
	},

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

import { COMMON } from '../../findings';
import type { Practice } from '../../practice';
import { clockText } from '../clock-text';
import { LIMITS, type BlockBase } from '../parts';
import { lapSeconds } from '../timeline';
import type { Format } from './format';
import { roundsWords, spokenTime, timeWords } from './grammar';

/** A fixed amount of work, as fast as it can be done well, under a time limit. The limit is the block's length. */
export interface ForTime extends BlockBase {
	format: 'for-time';
	rounds: number;
	/** Seconds. */
	limit: number;
}

/** Seconds at the tempo given, without pauses; may lie beyond the limit. */
export const expectedFinish = (block: ForTime, practice: Practice): number =>
	Array.from({ length: block.rounds }, (_, i) => lapSeconds(block.parts, practice, i + 1)).reduce(
		(a, b) => a + b,
		0
	);

export const forTime: Format<ForTime> = {
	name: 'for-time',
	label: 'For time',
	keywords: ['for time'],
	starter: '3 rounds, limit 12 min',
	fields: [
		{ key: 'rounds', label: 'rounds', unit: '', bounds: [1, LIMITS.sets], knob: 'often' },
		{
			key: 'limit',
			label: 'limit',
			unit: 'clock',
			says: 'seconds of the limit',
			bounds: [10, LIMITS.seconds],
			knob: 'work'
		}
	],
	met: { met: 8, code: '02040' },
	countedIn: 'sets',
	cardio: null,
	effort: null,
	aerobic: 'on cardio days',
	lifting: true,
	inTurn: 'even',
	takes: [1, LIMITS.parts],

	write(block, out) {
		const end = out.now + block.limit;
		for (let round = 1; round <= block.rounds; round++)
			block.parts.forEach((part, i) => out.workUntil(end, part, i, round));
		out.put('rest', end - out.now, { round: block.rounds });
	},

	clock: ({ rounds }) => ({ kind: 'limit', rounds }),
	timesDone: (block) => block.rounds,
	findings(block, practice) {
		const expected = expectedFinish(block, practice);
		if (expected <= block.limit) return [];
		const rounds = Math.floor((block.rounds * block.limit) / expected);
		const limit = Math.ceil(expected / 60) * 60;
		const fewer = { label: `Use ${roundsWords(rounds)}`, block: { ...block, rounds } };
		const longer = { label: `Set the limit to ${clockText(limit)}`, block: { ...block, limit } };
		return [
			{
				rule: 'limit too short',
				severity: 'watch',
				title: `Expected at ${clockText(expected)}, the limit is ${clockText(block.limit)}`,
				figure: `Most would not finish ${roundsWords(block.rounds)} at the tempo given.`,
				part: null,
				source: COMMON,
				remedy: rounds >= 1 ? fewer : limit > LIMITS.seconds ? null : longer
			}
		];
	},

	summary: (block, practice) =>
		`${roundsWords(block.rounds)} · limit ${clockText(block.limit)}, expected ${clockText(expectedFinish(block, practice))}`,

	called: ({ rounds, limit }) => `${roundsWords(rounds)} for time, limit ${spokenTime(limit)}`,

	claims: (line) => line.has('limit') || line.ladder,
	read(said, parts) {
		const limit = said.limit();
		if (limit === null)
			return { fault: 'work for time needs a time limit, as in for time 3 rounds, limit 12 min' };
		return { format: 'for-time', rounds: said.times() ?? 1, limit, parts };
	},

	line: (block, part) =>
		`for time ${roundsWords(block.rounds)}, limit ${timeWords(block.limit)}: ${block.parts.map(part).join(' + ')}`
};

import { COMMON } from '../../findings';
import type { Practice } from '../../practice';
import { clockText } from '../clock-text';
import { LIMITS, type BlockBase } from '../parts';
import { lapSeconds } from '../timeline';
import type { Format } from './format';
import { spokenTime, timeWords } from './grammar';

/** A fixed time, as many rounds as possible in it. */
export interface Amrap extends BlockBase {
	format: 'amrap';
	/** Seconds. */
	length: number;
}

/** Rounds that fit into the time at the tempo given, with their fraction. */
export function expectedRounds(block: Amrap, practice: Practice): number {
	const lap = lapSeconds(block.parts, practice, 1);
	return lap > 0 ? block.length / lap : 0;
}

export const amrap: Format<Amrap> = {
	name: 'amrap',
	label: 'AMRAP',
	keywords: ['amrap', 'as many rounds as possible'],
	starter: '10 min',
	fields: [
		{
			key: 'length',
			label: 'length',
			unit: 'clock',
			says: 'seconds of work',
			bounds: [10, LIMITS.seconds],
			knob: 'often'
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
		const end = out.now + block.length;
		// A lap of no length would never end; faults name it, the timeline stays empty.
		if (lapSeconds(block.parts, out.practice, 1) <= 0) return;
		for (let round = 1; out.now < end; round++)
			block.parts.forEach((part, i) => out.workUntil(end, part, i, round));
	},

	clock: () => ({ kind: 'time' }),
	timesDone: (block, _part, practice) => Math.max(1, Math.floor(expectedRounds(block, practice))),
	// The time is what is asked for; how many rounds go into it is the result.
	timesOwed: () => 1,

	findings(block, practice) {
		const rounds = expectedRounds(block, practice);
		if (rounds >= 1) return [];
		const length = Math.ceil(block.length / rounds / 60) * 60;
		return [
			{
				rule: 'less than a round',
				severity: 'watch',
				title: `One round takes longer than the ${clockText(block.length)} there are`,
				figure: `${rounds.toFixed(1)} of a round at the tempo given.`,
				part: null,
				source: COMMON,
				// One that takes longer than a block may last is not mended by time.
				remedy:
					length > LIMITS.seconds
						? null
						: { label: `Give it ${clockText(length)}`, block: { ...block, length } }
			}
		];
	},
	summary(block, practice) {
		const rounds = expectedRounds(block, practice);
		return `${timeWords(block.length)} · about ${rounds < 10 ? rounds.toFixed(1) : Math.round(rounds)} rounds expected`;
	},

	called: ({ length }) => `${spokenTime(length)}, as many rounds as possible`,

	ownTime: true,
	read(said, parts) {
		const length = said.seconds('min');
		if (length === null) return { fault: 'how long? An AMRAP needs its time, as in amrap 10 min' };
		return { format: 'amrap', length, parts };
	},

	line: (block, part) => `amrap ${timeWords(block.length)}: ${block.parts.map(part).join(' + ')}`
};

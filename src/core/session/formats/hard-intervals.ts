import { clockText } from '../clock-text';
import { LIMITS, type BlockBase } from '../parts';
import { spokenTime } from './grammar';
import type { Format } from './format';
import { isLocomotion } from './locomotion';

/** Hard and easy in turn. The first exercise is the hard one, a second one is what is done in the easy seconds. */
export interface HardIntervals extends BlockBase {
	format: 'hard-intervals';
	times: number;
	/** Seconds. */
	hard: number;
	easy: number;
}

export const hardIntervals: Format<HardIntervals> = {
	name: 'hard-intervals',
	label: 'HIIT',
	keywords: ['hiit', 'hard intervals', 'intervals'],
	starter: '8 x 30/60',
	fields: [
		{ key: 'times', label: 'times', unit: '', bounds: [1, LIMITS.sets], knob: 'often' },
		{
			key: 'hard',
			label: 'hard',
			unit: 's',
			says: 'hard seconds',
			bounds: [1, LIMITS.seconds],
			knob: 'work'
		},
		{ key: 'easy', label: 'easy', unit: 's', says: 'easy seconds', bounds: [0, LIMITS.seconds], knob: 'rest' }
	],
	met: { met: 8, code: '02020' },
	countedIn: 'minutes',
	cardio: 'hard',
	effort: 8,
	aerobic: 'always',
	lifting: false,
	inTurn: 'always',
	takes: [1, 2],

	write(block, out) {
		const between = block.parts.length > 1 ? ('work' as const) : ('rest' as const);
		for (let round = 1; round <= block.times; round++) {
			out.put('work', block.hard, { part: 0, round, hard: true });
			if (round < block.times || out.keepsLastRest)
				out.put(between, block.easy, { part: between === 'work' ? 1 : null, round });
		}
	},

	timesDone: (block, part) => (part === 0 ? block.times : block.times - 1),
	target: (block, part) => ({ kind: 'seconds', seconds: block.parts[0] === part ? block.hard : block.easy }),
	summary: (block) =>
		`${block.times} × ${block.hard} s hard, ${block.easy} s easy · ${clockText(block.times * block.hard)} hard in all`,

	called: ({ times, hard, easy }) =>
		`${times === 1 ? 'once' : `${times} times`} ${spokenTime(hard)} hard, ${spokenTime(easy)} easy`,

	claims: (line) =>
		line.has('slot') && (line.hard || line.items.every(({ exercise }) => exercise && isLocomotion(exercise))),
	read(said, parts) {
		const slot = said.slot();
		if (!slot) return { fault: 'hard intervals need their hard and easy seconds, as in hiit 8 x 30/60' };
		const { work: hard, rest: easy } = slot;
		return {
			format: 'hard-intervals',
			times: said.times() ?? 8,
			hard,
			easy,
			parts: parts.map((part, i) => ({
				...part,
				target: { kind: 'seconds', seconds: i === 0 ? hard : Math.max(1, easy) }
			}))
		};
	},

	line: (block, part) =>
		`hiit ${block.times} x ${block.hard}/${block.easy}: ${block.parts.map(part).join(' + ')}`
};

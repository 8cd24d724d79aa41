import { LIMITS, type BlockBase } from '../model';
import { numberBefore, roundsWords, secondsAfter, type Format } from './format';

/** Holds and stretches: seconds each, per side where the part says so, `rest` to get from one to the next. */
export interface Holds extends BlockBase {
	format: 'holds';
	rounds: number;
	rest: number;
}

/** Seconds to get from one hold into the next (common practice, no source). */
const DEFAULT_REST = 5;

export const holds: Format<Holds> = {
	name: 'holds',
	label: 'Holds',
	keywords: ['holds', 'hold', 'stretches', 'stretch'],
	starter: 'rest 5',
	fields: [
		{ key: 'rounds', label: 'rounds', unit: '', knob: 'often' },
		{ key: 'rest', label: 'rest', unit: 's', knob: 'rest' }
	],
	met: { met: 2.3, code: '02101' },
	takes: [1, LIMITS.parts],

	check(block, faults) {
		faults.whole('.rounds', 'rounds', block.rounds, 1, LIMITS.sets);
		faults.whole('.rest', 'seconds of rest', block.rest, 0, LIMITS.seconds);
		block.parts.forEach((part, i) => {
			if (part.target.kind !== 'seconds')
				faults.add(`.parts[${i}].target`, `${part.exercise} is held: give it seconds, as in 30 s`);
		});
	},

	write(block, out) {
		for (let round = 1; round <= block.rounds; round++) {
			block.parts.forEach((part, i) => {
				out.work(part, i, round);
				const last = round === block.rounds && i === block.parts.length - 1;
				if (!last || out.options.keepLastRest) out.put('rest', block.rest, { round });
			});
		}
	},

	timesDone: (block) => block.rounds,
	summary: (block) =>
		(block.rounds > 1 ? `${roundsWords(block.rounds)} · ` : '') + `${block.rest} s from one to the next`,

	read(head, parts) {
		return {
			format: 'holds',
			rounds: numberBefore(head, /rounds?|x|×/) ?? 1,
			rest: secondsAfter(head, /rest/) ?? DEFAULT_REST,
			parts
		};
	},

	line: (block, part) =>
		`holds ${roundsWords(block.rounds)}, rest ${block.rest}: ${block.parts.map(part).join(' + ')}`
};
